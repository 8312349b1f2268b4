/** What a worker thread runs: one task at a time, stages told through the port that came with it. */
import type { MessagePort } from 'node:worker_threads';
import { UnusablePicture } from './decoding/decode';
import type { Outcome, Task, WorkerRequest } from './protocol';
import { asAWhole } from './tasks/as-a-whole';
import { bringIn } from './tasks/bring-in';
import { carryFile } from './tasks/carry';
import { correctionTask } from './tasks/correction';
import { readDabFile } from './tasks/dab';
import { fitTask } from './tasks/fit';
import { takeLook } from './tasks/look';
import { losslessPng } from './tasks/lossless';
import { measureScaleFile } from './tasks/measure';
import { nearestTask } from './tasks/nearest';
import { judgeNotan, measureNotanHandIn, readingMask, tonesPicture } from './tasks/notan-hand-in';
import { measurePaintingFromLife } from './tasks/painting-from-life';
import { measurePaintingHandIn, paintingPicture } from './tasks/painting-hand-in';
import { makePictures } from './tasks/pictures';
import { referenceFile } from './tasks/reference-file';
import { referenceInColour } from './tasks/reference-in-colour';
import { rescueTask } from './tasks/rescue';
import { sortPicture } from './tasks/sort';

async function run(task: Task, port: MessagePort | null): Promise<unknown> {
  switch (task.task) {
    case 'measure-scale':
      return measureScaleFile(task, (stage) => port?.postMessage({ stage }));
    case 'measure-notan':
      return measureNotanHandIn(task, (stage) => port?.postMessage({ stage }));
    case 'judge-notan':
      return judgeNotan(task);
    case 'reading-mask':
      return readingMask(task);
    case 'tones-picture':
      return tonesPicture(task);
    case 'measure-painting':
      return measurePaintingHandIn(task, (stage) => port?.postMessage({ stage }));
    case 'measure-from-life':
      return measurePaintingFromLife(task, (stage) => port?.postMessage({ stage }));
    case 'painting-picture':
      return paintingPicture(task);
    case 'as-a-whole':
      return asAWhole(task);
    case 'bring-in':
      return bringIn(task);
    case 'reference-file':
      return referenceFile(task);
    case 'reference-in-colour':
      return referenceInColour(task);
    case 'carry':
      return carryFile(task);
    case 'correction':
      return correctionTask(task);
    case 'look':
      return takeLook(task);
    case 'lossless':
      return losslessPng(task);
    case 'rescue':
      return rescueTask(task);
    case 'sort':
      return sortPicture(task);
    case 'dab':
      return readDabFile(task);
    case 'fit':
      return fitTask(task);
    case 'nearest':
      return nearestTask(task);
    case 'pictures':
      return makePictures(task);
    case 'practice': {
      // Loaded only when asked for: the simulated devices are no part of measuring.
      const { practiceShot } = await import('./practice/camera');
      return practiceShot(task);
    }
    case 'practice-reading': {
      const { practiceReading } = await import('./practice/reading');
      return practiceReading(task);
    }
  }
}

export default async function entry({ task, port }: WorkerRequest): Promise<Outcome<unknown>> {
  try {
    return { ok: true, value: await run(task, port) };
  } catch (error) {
    if (error instanceof UnusablePicture) return { ok: false, unusable: true, message: error.message };
    return {
      ok: false,
      unusable: false,
      message: error instanceof Error ? (error.stack ?? error.message) : String(error),
    };
  } finally {
    port?.close();
  }
}
