/** What goes to and comes from a worker thread. Errors come back as data: classes do not survive the way. */
import type { CardReadings } from '@/core/capture/card-profile';
import type { StoredFit } from '@/core/mixing/stored-fit';
import type { NotanResult } from '@/core/notan/result';
import type { RescuePlan } from '@/core/painting/rescue/plan';
import type { DabResult } from '@/core/scale/read-dab';
import type { ScaleResult } from '@/core/scale/result';
import type { MessagePort } from 'node:worker_threads';
import type { PracticeTask } from './practice/camera';
import type { PracticeReadingTask } from './practice/reading';
import type { AsAWhole, AsAWholeTask } from './tasks/as-a-whole';
import type { BringInTask, BroughtIn } from './tasks/bring-in';
import type { CarryTask } from './tasks/carry';
import type { CorrectionTask } from './tasks/correction';
import type { DabTask } from './tasks/dab';
import type { FitTask } from './tasks/fit';
import type { LookTaken, LookTask } from './tasks/look';
import type { LosslessTask } from './tasks/lossless';
import type { MeasureScaleTask, Stage } from './tasks/measure';
import type { Nearest, NearestTask } from './tasks/nearest';
import type {
  JudgeNotanTask,
  NotanHandIn,
  NotanHandInTask,
  ReadingMaskTask,
  TonesPictureTask,
} from './tasks/notan-hand-in';
import type { PaintingFromLife, PaintingFromLifeTask } from './tasks/painting-from-life';
import type { PaintingHandIn, PaintingHandInTask, PaintingPictureTask } from './tasks/painting-hand-in';
import type { Pictures, PicturesTask } from './tasks/pictures';
import type { ReferenceFileTask } from './tasks/reference-file';
import type { ReferenceInColourTask } from './tasks/reference-in-colour';
import type { RescueTask } from './tasks/rescue';
import type { SortedPicture, SortTask } from './tasks/sort';

export type Task =
  | AsAWholeTask
  | BringInTask
  | NotanHandInTask
  | JudgeNotanTask
  | ReadingMaskTask
  | TonesPictureTask
  | PaintingHandInTask
  | PaintingPictureTask
  | PaintingFromLifeTask
  | ReferenceFileTask
  | ReferenceInColourTask
  | CarryTask
  | CorrectionTask
  | LookTask
  | RescueTask
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
  'as-a-whole': AsAWhole;
  'bring-in': BroughtIn;
  'measure-notan': NotanHandIn;
  'judge-notan': NotanResult;
  'reading-mask': Uint8Array | null;
  'measure-painting': PaintingHandIn;
  'painting-picture': Uint8Array;
  'measure-from-life': PaintingFromLife;
  'reference-file': Uint8Array;
  'reference-in-colour': Uint8Array;
  'tones-picture': Uint8Array;
  carry: CardReadings;
  correction: Uint8Array;
  look: LookTaken;
  lossless: Uint8Array;
  rescue: RescuePlan[];
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
