/** What a class has in common, on paper: a page a thing, with hand-ins that show it. */
import { lightnessToGreyCode } from '../colour/grey-code';
import { boxMm } from '../geometry/box';
import { type Mark, type SheetDrawing, text } from '../sheet/drawing';
import { type PaperId, PAPERS } from '../sheet/paper';

/** A hand-in as it is shown: the cells of its strip in L* as read and as wanted, or a picture. */
export type ShownOnPaper =
  | {
      readonly kind: 'cells';
      readonly name: string;
      readonly cells: readonly { readonly lightness: number; readonly target: number }[];
    }
  | { readonly kind: 'picture'; readonly name: string; readonly image: Uint8Array; readonly widthOverHeight: number };

export interface GroupThing {
  readonly heading: string;
  readonly say: string;
  readonly shown: readonly ShownOnPaper[];
}

export interface GroupWords {
  readonly paper: PaperId;
  readonly title: string;
  readonly className: string;
  readonly things: readonly GroupThing[];
}

const MARGIN_MM = 18;
const SIZES = { title: 5, say: 8, name: 3.4 } as const;
const TOP_MM = 58;
const STRIP = { heightMm: 17, everyMm: 26, notchMm: 3 } as const;
const GAP_MM = 6;
const COLUMNS = 3;

/** A strip: its cells in the greys that were read, and on each a notch in the grey that was wanted. */
function strip(cells: Extract<ShownOnPaper, { kind: 'cells' }>['cells'], yMm: number, widthMm: number): Mark[] {
  const each = widthMm / cells.length;
  return cells.flatMap(({ lightness, target }, i): Mark[] => {
    const xMm = MARGIN_MM + i * each;
    const middle = xMm + each / 2;
    const foot = yMm + STRIP.heightMm;
    const notch = [
      [middle - STRIP.notchMm, foot],
      [middle, foot - 1.4 * STRIP.notchMm],
      [middle + STRIP.notchMm, foot],
    ] as const;
    return [
      { kind: 'fill', box: boxMm(xMm, yMm, each, STRIP.heightMm), code: lightnessToGreyCode(lightness) },
      { kind: 'path', rings: [notch], code: lightnessToGreyCode(target), lineMm: 'fill' },
    ];
  });
}

function marksOf(shown: readonly ShownOnPaper[], widthMm: number, footMm: number): Mark[] {
  const rows = Math.max(1, Math.ceil(shown.length / COLUMNS));
  const cellWidth = (widthMm - (COLUMNS - 1) * GAP_MM) / COLUMNS;
  const cellHeight = (footMm - TOP_MM - (rows - 1) * GAP_MM) / rows;
  return shown.flatMap((one, k): Mark[] => {
    if (one.kind === 'cells') {
      const yMm = TOP_MM + k * STRIP.everyMm;
      const named = text(one.name, MARGIN_MM, yMm + STRIP.heightMm + SIZES.name + 0.8, SIZES.name);
      return [...strip(one.cells, yMm, widthMm), ...(one.name === '' ? [] : [named])];
    }
    const [column, row] = [k % COLUMNS, Math.floor(k / COLUMNS)];
    const room = cellHeight - (one.name === '' ? 0 : SIZES.name + 2);
    const own = Math.min(cellWidth, room * one.widthOverHeight);
    const xMm = MARGIN_MM + column * (cellWidth + GAP_MM);
    const yMm = TOP_MM + row * (cellHeight + GAP_MM);
    const heightMm = own / one.widthOverHeight;
    return [
      { kind: 'picture', box: boxMm(xMm, yMm, own, heightMm), image: one.image },
      ...(one.name === '' ? [] : [text(one.name, xMm, yMm + heightMm + SIZES.name + 0.8, SIZES.name)]),
    ];
  });
}

/** Pages across, a thing a page; one page that says so where there is nothing in common. */
export function groupPages({ paper, title, className, things }: GroupWords): SheetDrawing[] {
  const { widthMm: short, heightMm: long } = PAPERS[paper];
  const widthMm = long - 2 * MARGIN_MM;
  const footMm = short - MARGIN_MM - 6;
  const head = text(`${title}, ${className}`, MARGIN_MM, MARGIN_MM + SIZES.title, SIZES.title);
  const nothing = {
    heading: '',
    say: 'These hand-ins have nothing in common that the measurement can tell.',
    shown: [],
  };
  return (things.length > 0 ? things : [nothing]).map(({ heading, say, shown }, k, all) => ({
    widthMm: long,
    heightMm: short,
    title: `${title}, together`,
    marks: [
      head,
      text(heading, MARGIN_MM, MARGIN_MM + 14, SIZES.title, { weight: 'strong' }),
      text(say, MARGIN_MM, MARGIN_MM + 26, SIZES.say, { wrapMm: widthMm }),
      ...marksOf(shown, widthMm, footMm),
      text(`${k + 1} of ${all.length}`, long - MARGIN_MM, short - MARGIN_MM + 4, SIZES.name, { align: 'right' }),
    ],
  }));
}
