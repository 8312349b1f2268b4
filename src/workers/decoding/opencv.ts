/** Loads OpenCV once a thread. Always handed on in a box: the module must never be awaited by itself. */
import type { OpenCv } from '@/core/vision/opencv';
import { createRequire } from 'node:module';

let loading: Promise<{ cv: OpenCv }> | null = null;

export function loadOpenCv(): Promise<{ cv: OpenCv }> {
  loading ??= (async () => {
    const module: unknown = createRequire(import.meta.url)('@techstark/opencv-js');
    const cv = (module instanceof Promise ? await module : module) as OpenCv;
    return { cv };
  })();
  return loading;
}
