/** A student's work of a term on paper: exercise by exercise, with try beside try and what was said of each. */
import { boxMm } from '@/core/geometry/box';
import { type Mark, type SheetDrawing, text } from '@/core/sheet/drawing';
import { type PaperId, PAPERS } from '@/core/sheet/paper';
import { breakLines, LEADING } from './fonts';
import type { LetterPicture } from './letter-pages';
import { runsFromRight } from './visual-order';

export interface PortfolioTry {
  /** "Try 2, 14 November". */
  readonly name: string;
  /** What was said of it, a paragraph each; the whole letter stands elsewhere. */
  readonly words: readonly string[];
  readonly picture: LetterPicture | null;
}

export interface PortfolioWords {
  readonly paper: PaperId;
  readonly student: string;
  readonly className: string;
  readonly exercises: readonly { readonly title: string; readonly tries: readonly PortfolioTry[] }[];
}

const MARGIN_MM = 19;
const FOOT_MM = 8;
const COLUMNS = 3;
const GAP_MM = 6;
const PICTURE_MM = 62;
const SIZES = { title: 5.6, name: 3.4, small: 2.9 } as const;
/** Where the first row begins, below the heading of a page. */
const TOP_MM = MARGIN_MM + 16;
/** More of a letter than that is read in the letter. */
const MOST_LINES = 24;
const GOES_ON = '… and more in the letter';

interface Placed {
  readonly marks: Mark[];
  readonly heightMm: number;
}

/** A try in its column, from `yMm` down. */
function placedTry({ name, words, picture }: PortfolioTry, xMm: number, yMm: number, widthMm: number): Placed {
  const marks: Mark[] = [];
  let at = yMm;
  if (picture) {
    const own = Math.min(widthMm, PICTURE_MM * picture.widthOverHeight);
    const heightMm = own / picture.widthOverHeight;
    marks.push({ kind: 'picture', image: picture.image, box: boxMm(xMm, at, own, heightMm) });
    at += heightMm + 1.5;
  }
  const put = (line: string, sizeMm: number, weight: 'regular' | 'strong', fromRight: boolean) => {
    const align = fromRight ? ('right' as const) : ('left' as const);
    marks.push(text(line, fromRight ? xMm + widthMm : xMm, at + sizeMm, sizeMm, { weight, align }));
    at += sizeMm * LEADING;
  };
  for (const line of breakLines(name, 'strong', SIZES.name, widthMm)) put(line, SIZES.name, 'strong', false);
  const lines = words.flatMap((part) => {
    const fromRight = runsFromRight(part);
    return breakLines(part, 'regular', SIZES.small, widthMm).map((line) => ({ line, fromRight }));
  });
  for (const { line, fromRight } of lines.slice(0, MOST_LINES)) put(line, SIZES.small, 'regular', fromRight);
  if (lines.length > MOST_LINES) put(GOES_ON, SIZES.small, 'regular', false);
  return { marks, heightMm: at - yMm };
}

/** The pages of one exercise: its tries in rows, as many pages as they take. */
function pagesOf({ title, tries }: PortfolioWords['exercises'][number], paper: PaperId): Mark[][] {
  const { widthMm, heightMm } = PAPERS[paper];
  const column = (widthMm - 2 * MARGIN_MM - (COLUMNS - 1) * GAP_MM) / COLUMNS;
  const foot = heightMm - MARGIN_MM - FOOT_MM;
  const head = () => [text(title, MARGIN_MM, MARGIN_MM + SIZES.title, SIZES.title, { weight: 'strong' })];
  const pages: Mark[][] = [head()];
  let yMm = TOP_MM;
  for (let from = 0; from < tries.length; from += COLUMNS) {
    const row = (y: number) =>
      tries.slice(from, from + COLUMNS).map((own, k) => placedTry(own, MARGIN_MM + k * (column + GAP_MM), y, column));
    const tall = Math.max(...row(yMm).map((placed) => placed.heightMm));
    if (yMm + tall > foot && yMm > TOP_MM) {
      pages.push(head());
      yMm = TOP_MM;
    }
    pages.at(-1)?.push(...row(yMm).flatMap((placed) => placed.marks));
    yMm += tall + GAP_MM;
  }
  return pages;
}

/** The pages of a portfolio; one that says so where nothing was handed in yet. */
export function portfolioPages({ paper, student, className, exercises }: PortfolioWords): SheetDrawing[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const title = `${student}, ${className}`;
  const empty = [{ title: 'Nothing was handed in yet', tries: [] }];
  const pages = (exercises.length > 0 ? exercises : empty).flatMap((exercise) => pagesOf(exercise, paper));
  return pages.map((marks, k) => {
    const foot = text(`${title} · ${k + 1} of ${pages.length}`, MARGIN_MM, heightMm - MARGIN_MM, SIZES.small);
    return { widthMm, heightMm, title, marks: [...marks, foot] };
  });
}
