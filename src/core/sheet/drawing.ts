/**
 * A sheet as a list of marks in millimetres. The PDF and the PNG are both drawn from this list, so
 * they can't disagree. Greys are 8-bit sRGB codes, 255 is bare paper; a few fills are three such codes.
 */
import type { Triple } from '../colour/srgb';
import { type BoxMm, boxMm } from '../geometry/box';
import type { SheetLayout } from './layout';
import { MARKER_MODULES, markerModuleIsBlack } from './markers';
import { formatSheetTag, type SheetTag } from './qr';
import type { ScaleLayout } from './scale-layout';

export type Mark =
  | { readonly kind: 'fill'; readonly box: BoxMm; readonly code: number | Triple }
  | { readonly kind: 'outline'; readonly box: BoxMm; readonly code: number; readonly lineMm: number }
  /** Closed rings, drawn as a line, or filled by the even-odd rule. */
  | {
      readonly kind: 'path';
      readonly rings: readonly (readonly (readonly [xMm: number, yMm: number])[])[];
      readonly code: number;
      readonly lineMm: number | 'fill';
    }
  /** An open stroke with round ends. */
  | {
      readonly kind: 'stroke';
      readonly points: readonly (readonly [xMm: number, yMm: number])[];
      readonly code: number;
      readonly lineMm: number;
    }
  /** A picture, PNG or JPEG, stretched over its box. */
  | { readonly kind: 'picture'; readonly box: BoxMm; readonly image: Uint8Array }
  | { readonly kind: 'qr'; readonly box: BoxMm; readonly text: string }
  | {
      readonly kind: 'text';
      readonly text: string;
      readonly xMm: number;
      /** Baseline of the first line. */
      readonly yMm: number;
      readonly sizeMm: number;
      readonly weight: 'regular' | 'strong';
      readonly align: 'left' | 'centre' | 'right';
      /** Lines are broken to this width; null keeps one line. */
      readonly wrapMm: number | null;
      readonly code: number;
    };

export interface SheetDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly title: string;
  readonly marks: readonly Mark[];
}

/** Grey of the outlines that paint covers. */
export const OUTLINE_CODE = 200;
export const OUTLINE_MM = 0.25;

/** What stands on a sheet besides what its terms say. */
export interface SheetWords {
  readonly title: string;
  readonly subtitle: string;
  /** The student's display name, or a number where a glyph is missing; empty for a sheet to all. */
  readonly name: string;
  /** The class's names of the values, in reading order. */
  readonly labels: readonly string[];
  /** The order of work, for sheets that have room for it. */
  readonly work: readonly string[];
  /** The cautions that fit beside the work. */
  readonly care: string;
  readonly exercise: string | null;
  readonly student: string | null;
}

/** Words on a sheet: position of the first baseline and size in mm; black and regular unless said. */
export function text(
  words: string,
  xMm: number,
  yMm: number,
  sizeMm: number,
  more: Partial<Extract<Mark, { kind: 'text' }>> = {},
): Mark {
  return {
    kind: 'text',
    text: words,
    xMm,
    yMm,
    sizeMm,
    weight: 'regular',
    align: 'left',
    wrapMm: null,
    code: 0,
    ...more,
  };
}

/** Markers, module by module. */
export function markerFills(markers: SheetLayout['markers']): Mark[] {
  return markers.flatMap((marker) => {
    const module = marker.sizeMm / MARKER_MODULES;
    const marks: Mark[] = [{ kind: 'fill', box: boxMm(marker.xMm, marker.yMm, marker.sizeMm, marker.sizeMm), code: 0 }];
    for (let r = 0; r < MARKER_MODULES; r++)
      for (let c = 0; c < MARKER_MODULES; c++)
        if (!markerModuleIsBlack(marker.id, r, c))
          marks.push({
            kind: 'fill',
            box: boxMm(marker.xMm + c * module, marker.yMm + r * module, module, module),
            code: 255,
          });
    return marks;
  });
}

export interface Heading {
  readonly title: string;
  readonly subtitle: string;
  readonly name: string;
  /** What the code in the corner says. */
  readonly tag: SheetTag;
}

/** What every sheet shows: markers, ramps, ticks, code, heading, outlines of what is to be painted. */
export function frameMarks(layout: SheetLayout, heading: Heading): Mark[] {
  const left = layout.inside.xMm;
  const firstDab = layout.dabs[0];
  return [
    ...markerFills(layout.markers),
    ...layout.patches.map((p): Mark => ({ kind: 'fill', box: p, code: p.code })),
    ...layout.chroma.map((p): Mark => ({ kind: 'fill', box: p, code: p.rgb })),
    ...layout.ticks.map((box): Mark => ({ kind: 'fill', box, code: 0 })),
    { kind: 'qr', box: layout.qrBox, text: formatSheetTag(heading.tag) },
    text(heading.title, left, 32, 5, { weight: 'strong' }),
    text(heading.subtitle, left, 38, 3.4),
    text(heading.name, left, 46, 4.2, { weight: 'strong' }),
    ...[...layout.cells, ...layout.dabs, ...layout.chips].map((box): Mark => ({
      kind: 'outline',
      box,
      code: OUTLINE_CODE,
      lineMm: OUTLINE_MM,
    })),
    ...(firstDab ? [text('Test dabs', left, firstDab.yMm - 2.5, 3)] : []),
    ...(layout.chips[0] ? [text('Chips: each under the grey that is as light', left, layout.chips[0].yMm - 6, 3)] : []),
  ];
}

/** The marks of a sheet with a row of steps; `kind` as its code names it. */
export function drawScaleSheet(layout: ScaleLayout, words: SheetWords, kind = 'scale'): SheetDrawing {
  const left = layout.inside.xMm;
  const column = (layout.inside.widthMm - 8) / 2;
  const { title, subtitle, name } = words;
  const tag = {
    kind,
    steps: layout.steps,
    paper: layout.paper,
    exercise: words.exercise,
    student: words.student,
  };
  const marks: Mark[] = [
    ...frameMarks(layout, { title, subtitle, name, tag }),
    ...layout.cells.map((cell) =>
      text(words.labels[cell.index - 1] ?? '', cell.xMm + cell.widthMm / 2, cell.yMm - 3, 4, {
        align: 'centre',
        weight: 'strong',
      }),
    ),
  ];
  for (const chip of layout.chips.slice(0, layout.steps))
    marks.push(
      text(words.labels[chip.index - 1] ?? '', chip.xMm + chip.widthMm / 2, chip.yMm - 1.8, 3, { align: 'centre' }),
    );
  const y = layout.wordsTopMm + 4;
  marks.push(
    text('Order of work', left, y, 3.6, { weight: 'strong' }),
    text('Care', left + column + 8, y, 3.6, { weight: 'strong' }),
    text(words.care, left + column + 8, y + 6, 3.2, { wrapMm: column }),
    text(words.work.map((line, i) => `${i + 1}.  ${line}`).join('\n'), left, y + 6, 3.2, { wrapMm: column }),
  );
  return { widthMm: layout.widthMm, heightMm: layout.heightMm, title, marks };
}
