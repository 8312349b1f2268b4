/// <reference lib="webworker" />
/** The browser worker that looks at a photograph before it is sent. Started when the page opens, so that it is warm. */
import { QUICK_PX, quickCheck } from '@/core/capture/quick-check';
import { exerciseLayout } from '@/core/kinds/table';
import { uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';
import type { OpenCv } from '@/core/vision/opencv';
import type { QuickAnswer, QuickQuestion } from './protocol';

declare const self: DedicatedWorkerGlobalScope & { cv?: OpenCv | Promise<OpenCv> };

const loading: Promise<{ cv: OpenCv }> = (async () => {
  importScripts('/workers/opencv.js');
  if (!self.cv) throw new Error('OpenCV did not load.');
  return { cv: await self.cv };
})();

async function copyOf(file: Blob) {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const reducedBy = Math.max(1, Math.max(bitmap.width, bitmap.height) / QUICK_PX);
  const [width, height] = [Math.round(bitmap.width / reducedBy), Math.round(bitmap.height / reducedBy)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('There is no canvas to draw on.');
  context.imageSmoothingQuality = 'medium';
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const rgba = context.getImageData(0, 0, width, height).data;
  const rgb = new Uint8Array(width * height * 3);
  for (let i = 0, p = 0; p < rgb.length; i += 4, p += 3) {
    rgb[p] = rgba[i] as number;
    rgb[p + 1] = rgba[i + 1] as number;
    rgb[p + 2] = rgba[i + 2] as number;
  }
  return { photo: uprightPhoto(raster('srgb8', width, height, 3, rgb)), reducedBy };
}

self.onmessage = async ({ data }: MessageEvent<QuickQuestion>) => {
  const tell = (answer: QuickAnswer) => self.postMessage(answer);
  try {
    const { cv } = await loading;
    const start = performance.now();
    const { photo, reducedBy } = await copyOf(data.file);
    const issues = quickCheck(cv, photo, reducedBy, (paper) => exerciseLayout({ ...data.terms, paper }));
    tell({ id: data.id, issues, milliseconds: performance.now() - start });
  } catch {
    // Whatever can't be looked at here is looked at by the studio.
    tell({ id: data.id, issues: null, milliseconds: 0 });
  }
};
