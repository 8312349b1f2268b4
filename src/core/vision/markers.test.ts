/** Every marker that is printed is found under its own number by the detector that looks for it. */
import { sheetToPng } from '@/print/sheet-png';
import { loadOpenCv } from '@/workers/decoding/opencv';
import sharp from 'sharp';
import { drawExerciseSheet } from '../handout/exercise-sheet';
import { sampleWords } from '../handout/sample-words';
import { defaultTerms } from '../kinds/table';
import { bracketPage, drawBrackets } from '../sheet/brackets';
import { PAPER_IDS, PAPERS } from '../sheet/paper';
import { findMarkers } from './markers';

const words = sampleWords({ title: 'T', className: 'C' });

async function foundOn(png: Buffer): Promise<number[]> {
  const { cv } = await loadOpenCv();
  const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
  return findMarkers(cv, new Uint8Array(data), info.width, info.height)
    .map((m) => m.id)
    .sort((a, b) => a - b);
}

test.each(PAPER_IDS)('sheets and corner pieces on %s', async (paper) => {
  const terms = { ...defaultTerms('notan'), paper };
  expect(await foundOn(await sheetToPng(drawExerciseSheet(terms, words), 150))).toEqual([...PAPERS[paper].markerIds]);
  expect(await foundOn(await sheetToPng(drawBrackets(bracketPage(paper)), 150))).toEqual([8, 9, 10, 11]);
});
