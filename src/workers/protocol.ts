/** What goes to and comes from a worker thread. Errors come back as data: classes do not survive the way. */
import type { MessagePort } from 'node:worker_threads';
import type { StoredFit } from '@/core/mixing/stored-fit';
import type { DabResult } from '@/core/scale/read-dab';
import type { ScaleResult } from '@/core/scale/result';
import type { CardReadings } from '@/core/capture/card-profile';
import type { NotanResult } from '@/core/notan/result';
import type { BringInTask, BroughtIn } from './bring-in-task';
import type { CarryTask } from './carry-task';
import type { DabTask } from './dab-task';
import type { FitTask } from './fit-task';
import type { LookTaken, LookTask } from './look-task';
import type { LosslessTask } from './lossless';
import type { MeasureScaleTask, Stage } from './measure-task';
import type { Nearest, NearestTask } from './nearest-task';
import type {
  JudgeNotanTask,
  NotanHandIn,
  NotanHandInTask,
  ReadingMaskTask,
  TonesPictureTask,
} from './notan-hand-in-task';
import type { ReferenceFileTask } from './reference-file-task';
import type { SortedPicture, SortTask } from './sort-task';
import type { Pictures, PicturesTask } from './pictures-task';
import type { PracticeReadingTask } from './practice-reading';
import type { PracticeTask } from './practice-task';

export type Task =
  | BringInTask
  | NotanHandInTask
  | JudgeNotanTask
  | ReadingMaskTask
  | TonesPictureTask
  | ReferenceFileTask
  | CarryTask
  | LookTask
  | LosslessTask
  | SortTask
  | MeasureScaleTask
  | DabTask
  | FitTask
  | NearestTask
  | PicturesTask
  | PracticeTask
  | PracticeReadingTask;

export interface Answers {
  'bring-in': BroughtIn;
  'measure-notan': NotanHandIn;
  'judge-notan': NotanResult;
  'reading-mask': Uint8Array | null;
  'reference-file': Uint8Array;
  'tones-picture': Uint8Array;
  carry: CardReadings;
  look: LookTaken;
  lossless: Uint8Array;
  sort: SortedPicture;
  'measure-scale': ScaleResult;
  dab: DabResult;
  fit: StoredFit;
  nearest: Nearest[];
  pictures: Pictures;
  practice: Uint8Array;
  'practice-reading': number[];
}

export interface WorkerRequest {
  readonly task: Task;
  readonly port: MessagePort | null;
}

export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly unusable: boolean; readonly message: string };

export interface StageMessage {
  readonly stage: Stage;
}
