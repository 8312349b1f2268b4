/** What the Table is handed: one hand-in, the attempt that is shown of it, and what its family has to show besides. */
import type { Mark } from '@/core/critique/marks';
import type { Given } from '@/core/grading/scheme';
import type { Register } from '@/core/critique/voice';
import type { Remark } from '@/core/formats/remarks-csv';
import type { SaidItem } from '@/core/critique/letter';
import type { MassEdit, SetUpMass } from '@/core/reference/set-up';
import type { AttemptState, HandInState } from '@/data/schema/tables';
import type { Alike } from '@/studio/views/alike';
import type { AttemptView } from '@/studio/views/attempt';
import type { Beside } from '@/studio/views/beside';
import type { CriterionView } from '@/studio/views/grading';
import type { KeptCorrection } from '@/studio/views/corrections';
import type { RescueOffer } from '@/studio/views/rescue-offers';
import type { Measured } from '@/studio/views/measured';
import type { OpinionView } from '@/studio/views/opinions';
import type { TryView } from '@/studio/views/tries';
import type { Question } from '../opinions/SecondOpinion';
import type { Answer } from '../parts/answer';
import type { CorrectingWith } from './correction/layer-kinds';
import type { WayGiven } from './correction/use-correction';

export interface ItemChange {
  readonly say?: string;
  readonly action?: string;
  readonly dropped?: boolean;
}

/** What was said of one thing before, the newest first: what is seen, and what to do. */
export interface Phrases {
  readonly say: readonly string[];
  readonly action: readonly string[];
}

/** What a teacher does on every Table. */
export interface TableActions {
  changeItem(
    attemptId: string,
    key: string,
    change: ItemChange,
    seen: number,
  ): Promise<Answer<Omit<SaidItem, 'original'>, void>>;
  changeWord(attemptId: string, word: string, seen: number): Promise<Answer<string, number>>;
  /** Says what no rule has said. */
  sayOfOwn(attemptId: string, own: Omit<Remark, 'key'>): Promise<Answer<unknown, void>>;
  keepOwnRemark(remark: Remark): Promise<Answer<unknown, void>>;
  /** Keeps a mark on a picture as soon as it is drawn. */
  markPicture(attemptId: string, mark: Mark): Promise<Answer<unknown, string>>;
  takeBackMark(attemptId: string, id: string): Promise<Answer<unknown, void>>;
  /** Keeps a way of a correction with every stroke; beside it where somebody else changed it meanwhile. */
  correctPicture(attemptId: string, given: WayGiven, seen: number): Promise<Answer<unknown, KeptCorrection>>;
  /** Says which way goes with the letter; null for none. */
  sendCorrection(attemptId: string, id: string | null): Promise<Answer<unknown, void>>;
  setCorrectionApart(attemptId: string, id: string, why: string): Promise<Answer<unknown, void>>;
  dropCorrection(attemptId: string, id: string): Promise<Answer<unknown, void>>;
  /** Lays it before another teacher, and takes a question back that nobody answered. */
  layBefore(attemptId: string, question: Question): Promise<Answer<unknown, void>>;
  unask(attemptId: string, id: string): Promise<Answer<unknown, void>>;
  /** Lays it beside the exemplars of what it is painted from, and one more picture where its id is given. */
  lookBeside(attemptId: string, also: string | null): Promise<Answer<unknown, Beside>>;
  /** Ways to mend an old painting, before anything is painted. */
  proposeRescue(attemptId: string): Promise<Answer<unknown, readonly RescueOffer[]>>;
  /** Answers what the student wrote to the letter; no words say that it was read. */
  answerTo(attemptId: string, text: string): Promise<Answer<unknown, void>>;
  writeFor(handInId: string, register: Register | null): Promise<Answer<unknown, void>>;
  /** Sends it with a decision; unless `isSure`, not where a nearly equal one was judged otherwise. */
  giveVerdict(attemptId: string, verdict: string, isSure: boolean): Promise<Answer<unknown, void>>;
  withdrawVerdict(attemptId: string): Promise<Answer<unknown, void>>;
  measureOnceMore(attemptId: string): Promise<Answer<unknown, void>>;
  /** Gives a grade by a criterion of the class; null takes it back. */
  giveGrade(attemptId: string, criterionId: string, given: Given | null): Promise<Answer<unknown, void>>;
  /** Measures anew what was measured against something that was changed since. */
  measureAgainstNow(attemptId: string): Promise<Answer<unknown, void>>;
}

/** What is done with paintings in few tones besides. */
export interface TonesActions {
  acceptAsReading(attemptId: string, region: string, scope: string): Promise<Answer<unknown, void>>;
  judgeOnceMore(attemptId: string): Promise<Answer<unknown, void>>;
  forgetReadings(exerciseId: string): Promise<Answer<unknown, void>>;
  judgeByMasses(attemptId: string, edits: readonly MassEdit[]): Promise<Answer<unknown, void>>;
  takeFrameAsDark(attemptId: string, frameIsDark: boolean): Promise<Answer<unknown, void>>;
}

/** How the straightened strip is laid over the greys that were wanted. */
export interface StripRow {
  readonly perRow: number;
  /** Distance of two cells, and margin, in percent of the strip's width. */
  readonly gapPercent: number;
  /** A picture with bands, or a board, is taller than a strip. */
  readonly tall: boolean;
}

/** Whether what was measured still stands. */
export type Standing = 'as-it-is' | 'other-reference' | 'other-set-up' | 'other-readings';

export interface ScalePart {
  readonly kind: 'scale';
  readonly measured: Extract<Measured, { kind: 'scale' }>;
  /** What to add for each step of the least work. */
  readonly repaint: readonly string[] | null;
  readonly row: StripRow;
}

export interface TonesPart {
  readonly kind: 'notan';
  readonly measured: Extract<Measured, { kind: 'notan' }>;
  /** Greys that the exercise's tones are painted in, L*, the lightest first. */
  readonly greys: readonly number[];
  readonly standing: Standing;
  /** What it was painted from in life; null where there was a picture, or nothing that is kept. */
  readonly setUp: { readonly id: string; readonly title: string; readonly masses: readonly SetUpMass[] } | null;
  /** How many readings were accepted for everyone. */
  readonly readingsForEveryone: number;
}

export interface PaintingPart {
  readonly kind: 'painting';
  readonly measured: Extract<Measured, { kind: 'painting' }>;
  /** The set-up that it is painted from in life; null where it is painted from a picture. */
  readonly setUp: TonesPart['setUp'];
  /** What it is looked at beside: what it is painted from, how it was before, or its first panel, if there is that. */
  readonly beside: 'reference' | 'before' | 'first' | 'nothing';
  readonly standing: Standing;
}

/** What a family shows of its own, with what it was measured from; null where nothing was read. */
export type TablePart = ScalePart | TonesPart | PaintingPart;

export interface TableProps<P extends TablePart | null = TablePart | null> {
  readonly handIn: {
    readonly id: string;
    readonly exerciseId: string;
    readonly student: string;
    readonly title: string;
    readonly state: HandInState;
    readonly previous: string | null;
    readonly next: string | null;
    readonly place: string;
    /** What there is to say of its date; empty where it came in time. */
    readonly late: string;
    /** Whom its letter is written for; null is as in its class. */
    readonly register: Register | null;
    readonly classRegister: Register;
  };
  readonly attempts: readonly {
    readonly id: string;
    readonly number: number | null;
    readonly state: AttemptState;
    readonly stage: string | null;
  }[];
  readonly shown: AttemptView | null;
  readonly isCurrent: boolean;
  readonly labels: readonly string[];
  readonly part: P;
  /** Words that the teacher has used before, by the code of what they were said of. */
  readonly phrases: Readonly<Record<string, Phrases>>;
  /** The teacher's own remarks that no rule makes. */
  readonly remarks: readonly Remark[];
  /** What other teachers think of it, and who could be asked. */
  readonly opinions: readonly OpinionView[];
  readonly colleagues: readonly { readonly id: string; readonly name: string }[];
  /** What corrections are drawn with; null where there is nothing to correct. */
  readonly correctingWith: CorrectingWith | null;
  /** By what the class is graded, with what was measured and given; empty where it is not. */
  readonly grading: readonly CriterionView[];
  /** All tries that count, where there is more than one. */
  readonly tries: readonly TryView[];
  /** Others' of the same exercise that are nearly equal by what was measured, and decided. */
  readonly alike: readonly Alike[];
  readonly actions: TableActions & { readonly tones: TonesActions };
}
