/** Ways to mend an old painting: from what was measured to what a teacher chooses from. */
import { defaultTerms } from '@/core/kinds/table';
import { samplePainting } from '@/core/painting/sample-result';
import { raster } from '@/core/raster/raster';
import { attempts } from '@/data/schema/tables';
import { lightnessToPng } from '@/workers/decoding/planes';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { NotFound, Refused } from '../access/actor';
import { keepCorrection } from '../critique/correcting';
import { measureAttempt } from '../hand-in/measuring';
import { keepFile } from '../hand-in/receive';
import { setExercise } from '../plan/exercises';
import { eachInNewStudio, type TestStudio, viewOf } from '../test-studio';
import { rescueOffers } from './rescue-offers';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

const [W, H] = [120, 100];
/** A wall, a table and a box, all of about one grey. */
const lightnessAt = (i: number) => {
  const [x, y] = [i % W, Math.floor(i / W)];
  return x > 30 && x < 70 && y > 30 && y < 80 ? 46 : y > 65 ? 60 : 53;
};

async function oldPainting(): Promise<string> {
  const { house, teacher, classId, bea } = studio;
  const exerciseId = await setExercise(house, teacher, classId, {
    ...{ title: 'An old one, mended', note: '', dueAt: null },
    terms: defaultTerms('rescue', 'acrylic'),
  });
  const laid = await lightnessToPng(
    raster(
      'lightness',
      W,
      H,
      1,
      Float32Array.from({ length: W * H }, (_, i) => lightnessAt(i)),
    ),
  );
  const stage = { asks: 'as-it-was' as const, last: false, unevenness: null, apart: null, swapped: [] };
  studio.nextPainting({ result: samplePainting({ stage, shapes: [] }), wanted: null, laid });
  const id = await studio.send(bea, 10, exerciseId);
  await measureAttempt(house, id);
  const grey = sharp({ create: { width: 4 * W, height: 4 * H, channels: 3, background: '#888' } });
  const stripHash = await keepFile(house, await grey.jpeg().toBuffer(), 'image/jpeg');
  await house.db.update(attempts).set({ stripHash }).where(eq(attempts.id, id));
  return id;
}

test('each way has a picture, what is repainted with what, and a time; one is taken over as a correction', async () => {
  const { house, teacher } = studio;
  const id = await oldPainting();
  const offers = await rescueOffers(house, teacher, id);
  expect(offers.length).toBeGreaterThan(0);
  for (const { preview, parts, repainted, time, layers } of offers) {
    expect(preview).toMatch(/^data:image\/jpeg;base64,/);
    expect(layers).toHaveLength(parts.length);
    expect(parts[0]?.say).toMatch(/^The .*shape .*: .* (lighter|darker)$/);
    expect(parts[0]?.paint).toMatch(/white|black/);
    expect([repainted, time].join(' ')).toMatch(/painted over about/);
  }
  const [first] = offers;
  await keepCorrection(house, teacher, id, { id: null, name: 'The least', layers: first?.layers }, 0);
  const view = await viewOf(studio, id);
  expect(view?.corrections[0]?.layers).toHaveLength(first?.layers.length ?? 0);
  expect(view?.critique?.items.some((i) => i.original.code === 'corrected_lightness')).toBe(true);
});

test('nobody else asks for it, and what was not measured has none', async () => {
  const { house, teacher, bea } = studio;
  const id = await oldPainting();
  await expect(rescueOffers(house, { ...teacher, userId: 'other' }, id)).rejects.toThrow(NotFound);
  const scale = await studio.send(bea, 77);
  await expect(rescueOffers(house, teacher, scale)).rejects.toThrow(Refused);
});
