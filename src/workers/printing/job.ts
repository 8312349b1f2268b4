/** What is printed: pages that are drawn already, or the pages of an exercise for each of its students. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { drawExerciseSheet, drawHandout, type ExerciseWords } from '@/core/handout/exercise-sheet';
import { groupPages, type GroupThing, type GroupWords, type ShownOnPaper } from '@/core/handout/group-pages';
import { drawRecipePage } from '@/core/handout/recipe-page';
import { letterPages, type LetterPicture, type LetterWords } from '@/print/letter-pages';
import { portfolioPages, type PortfolioTry, type PortfolioWords } from '@/print/portfolio-pages';
import type { SheetDrawing } from '@/core/sheet/drawing';
import sharp from 'sharp';

/** Sheets to paint on, and what else is drawn for a class. */
export type SheetJob =
  | { readonly kind: 'drawn'; readonly sheets: readonly SheetDrawing[] }
  | { readonly kind: 'exercise'; readonly terms: ExerciseTerms; readonly for: readonly ExerciseWords[] };

export type PrintJob =
  | SheetJob
  | { readonly kind: 'letters'; readonly letters: readonly LetterOrder[] }
  | { readonly kind: 'group'; readonly group: GroupOrder }
  | { readonly kind: 'portfolio'; readonly portfolio: PortfolioOrder };

/** What a class has in common, its pictures still files. */
export type GroupOrder = Omit<GroupWords, 'things'> & {
  readonly things: readonly (Omit<GroupThing, 'shown'> & {
    readonly shown: readonly (
      Extract<ShownOnPaper, { kind: 'cells' }> | { readonly kind: 'file'; readonly name: string; readonly file: string }
    )[];
  })[];
};

/** A portfolio, its pictures still files. */
export type PortfolioOrder = Omit<PortfolioWords, 'exercises'> & {
  readonly exercises: readonly {
    readonly title: string;
    readonly tries: readonly (Omit<PortfolioTry, 'picture'> & { readonly file: string | null })[];
  }[];
};

/** A letter whose picture is still a file. */
export type LetterOrder = Omit<LetterWords, 'picture' | 'correction' | 'reference'> & {
  readonly pictureFile: string | null;
  /** PNG of what it is painted from. */
  readonly paintedFrom: Uint8Array | null;
  /** JPEG of the correction. */
  readonly corrected: Uint8Array | null;
};

/** Dots across a picture on paper, and no more than that. */
const ACROSS = 1400;
const IN_A_COLUMN = 700;

async function pictureFrom(file: string | Uint8Array, across = ACROSS): Promise<LetterPicture> {
  const { data, info } = await sharp(file)
    .resize({ width: across, withoutEnlargement: true })
    .jpeg({ quality: 88 })
    .toBuffer({ resolveWithObject: true });
  return { image: new Uint8Array(data), widthOverHeight: info.width / info.height };
}

/** The pages of letters, each picture opened when its letter is drawn. */
export async function* letterSheets(letters: readonly LetterOrder[]): AsyncGenerator<SheetDrawing> {
  for (const { pictureFile, corrected, paintedFrom, ...words } of letters) {
    const picture = pictureFile === null ? null : await pictureFrom(pictureFile);
    const correction = corrected && (await pictureFrom(corrected));
    const reference = paintedFrom && (await pictureFrom(paintedFrom));
    yield* letterPages({ ...words, picture, correction, reference });
  }
}

/** The pages of what a class has in common. */
export async function* groupSheets({ things, ...words }: GroupOrder): AsyncGenerator<SheetDrawing> {
  const loaded: GroupThing[] = [];
  for (const { shown, ...thing } of things) {
    const pictures: ShownOnPaper[] = [];
    for (const one of shown)
      pictures.push(one.kind === 'cells' ? one : { kind: 'picture', name: one.name, ...(await pictureFrom(one.file)) });
    loaded.push({ ...thing, shown: pictures });
  }
  yield* groupPages({ ...words, things: loaded });
}

/** The pages of a student's work, exercise by exercise. */
export async function* portfolioSheets({ exercises, ...words }: PortfolioOrder): AsyncGenerator<SheetDrawing> {
  const loaded: PortfolioWords['exercises'][number][] = [];
  for (const { title, tries } of exercises) {
    const shown: PortfolioTry[] = [];
    for (const { file, ...own } of tries)
      shown.push({ ...own, picture: file === null ? null : await pictureFrom(file, IN_A_COLUMN) });
    loaded.push({ title, tries: shown });
  }
  yield* portfolioPages({ ...words, exercises: loaded });
}

/** The pages of an exercise for one student: a sheet, its handout, and its mixes where there are any. */
export function exercisePages(terms: ExerciseTerms, words: ExerciseWords): SheetDrawing[] {
  const mixes = drawRecipePage(terms, words);
  return [drawExerciseSheet(terms, words), drawHandout(terms, words), ...(mixes ? [mixes] : [])];
}

/** The pages of a job, each drawn when it is asked for. */
export function* pagesOf(job: SheetJob): Generator<SheetDrawing> {
  if (job.kind === 'drawn') yield* job.sheets;
  else for (const words of job.for) yield* exercisePages(job.terms, words);
}
