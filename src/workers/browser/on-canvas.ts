/// <reference lib="webworker" />
/** A picture laid on a canvas of the page, code by code as its file has them. */

export interface OnCanvas {
  readonly context: OffscreenCanvasRenderingContext2D;
  readonly pixels: ImageData;
}

/** Throws where the browser has no canvas for it. */
export async function onCanvas(picture: Blob, canvas: OffscreenCanvas): Promise<OnCanvas> {
  const bitmap = await createImageBitmap(picture, { colorSpaceConversion: 'none' });
  const { width, height } = bitmap;
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('There is no canvas to draw on.');
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return { context, pixels: context.getImageData(0, 0, width, height) };
}
