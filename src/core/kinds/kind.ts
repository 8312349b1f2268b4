/**
 * What a kind of exercise is, to the rest of the program: its terms, its sheet, what is to be painted, how it is measured.
 * Everything that differs from kind to kind stands here or in the table of families (`families.ts`); whoever wants to know
 * asks `kindOf`, and never which kind it is.
 */
import type { z } from 'zod';
import type { MediumId } from '../exercise/media';
import type { NumberedScale } from '../exercise/numbering';
import type { ReadingOrder, WorkOrder } from '../exercise/scale';
import type { PureAt } from '../exercise/targets';
import type { ExerciseTerms, NotanSchool } from '../exercise/terms';
import type { AccentAsked } from '../painting/colour/colour-accents';
import type { StageAsked } from '../painting/stage';
import type { Stage } from '../planning/stage';
import type { SheetDrawing, SheetWords } from '../sheet/drawing';
import type { PictureLayout } from '../sheet/picture-layout';
import type { ScaleLayout } from '../sheet/scale-layout';
import type { FamilyId } from './family-ids';

/** A value that is to be painted, and how much of the sheet it covers. */
export interface ValueArea {
  readonly lightness: number;
  readonly areaMm2: number;
}

/** A row of steps that is mixed from two paints, or through a pure colour between them. */
export interface MixedRow {
  readonly order: ReadingOrder;
  readonly work: WorkOrder;
  /** The colour that it is made of and where that stands; null for greys. */
  readonly hue: { readonly name: string; readonly pureAt: PureAt } | null;
}

/** What a painting in few tones is to be measured against: how many, and by which school. */
export interface WantedTones {
  readonly tones: number;
  readonly school: NotanSchool;
}

/** A stage that is handed in by itself. */
export interface HandInStage extends StageAsked {
  readonly id: string;
  readonly name: string;
  /** How many steps a part may be off by there. */
  readonly toleranceSteps: number;
}

/** Sorts of sheets: a row of cells, the outlines of bands, one frame to paint a picture in, several frames. */
export const SHEET_SORTS = ['row', 'bands', 'frame', 'frames'] as const;
export type SheetSort = (typeof SHEET_SORTS)[number];

/** The ways in which a painting is framed in its photograph, the usual one first. */
export const FRAMINGS = ['sheet', 'brackets', 'corners'] as const;
export type Framing = (typeof FRAMINGS)[number];

export interface Kind<T extends { readonly kind: string } = ExerciseTerms> {
  readonly id: T['kind'];
  /** By which family's ways it is measured, judged and shown. */
  readonly family: FamilyId;
  readonly name: string;
  /** What an exercise of it is called until somebody calls it otherwise. */
  readonly usualTitle: string;
  /** One sentence to the student. */
  readonly task: string;
  /** How long it usually takes, minutes; an estimate. */
  readonly minutes: readonly [number, number];
  /**
   * Whether Fair Grey reads it: always, against a picture or a set-up that it is painted from, or against a picture alone; a
   * person judges the others.
   */
  readonly measured: boolean | 'with-reference' | 'with-picture';
  /** Ways in which it may be framed where it is read. */
  framings(terms: T): readonly Framing[];
  /** What its sheet is: sheets of one sort may stand for each other where they have as many steps. */
  readonly sheet: SheetSort;
  /** Whether a look in mid-work reads it. */
  readonly looks: boolean;
  /** Terms as they come from a form, a file or the database. */
  readonly terms: z.ZodType<T>;
  /** Its usual terms in a medium. */
  usual(medium: MediumId): T;
  /** One line for lists: "9 steps in gouache". */
  inShort(terms: T): string;
  /** Values that it asks for, in reading order, L*: its steps, its tones, or five to stand for a picture. */
  values(terms: T): number[];
  /** What its values are numbered as; null where they have no numbers. */
  numbered(terms: T): NumberedScale | null;
  layout(terms: T): ScaleLayout | PictureLayout;
  /** The sheet to paint on. Throws DoesNotFit where the frame can't hold what is asked for. */
  draw(terms: T, words: SheetWords): SheetDrawing;
  /** Widths of what is to be filled, mm. */
  widths(terms: T): number[];
  /** What is to be painted, by value. */
  areas(terms: T): ValueArea[];
  /** Whether it is painted on paper, whatever the medium. */
  readonly alwaysOnPaper: boolean;
  /** How to go about it, as numbered lines. `mixing` names the puddles in the order to mix them, where there is a recipe. */
  work(terms: T, labels: readonly string[], mixing: readonly string[] | null): string[];
  stages(terms: T): Stage[];
  /** What of its own a hand-in is held against, never what it is painted from: its state before, or its first panel; nothing unless said. */
  readonly againstItself?: 'state-before' | 'first-panel';
  /** Of a painting in one hue, whether a touch of another may stand in it; not looked for unless said. */
  accent?(terms: T): AccentAsked['accent'];
  /** Stages that are handed in one after the other, each with its own question; none unless said. */
  handInStages?(terms: T): readonly HandInStage[];
  row(terms: T): MixedRow;
  /** What it is measured against, where it is painted from a picture or a set-up; null for kinds that are not. */
  wanted(terms: T): WantedTones | null;
}
