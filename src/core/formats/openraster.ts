/** The list of layers of an OpenRaster file (baseline 0.0.5, "stack.xml"): the topmost first. */
export const OPENRASTER_TYPE = 'image/openraster';

export interface Layer {
  readonly name: string;
  /** Path in the archive. */
  readonly file: string;
}

const safe = (words: string) => words.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');

/** `layers` from the topmost down. */
export function stackXml(width: number, height: number, layers: readonly Layer[]): string {
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<image version="0.0.5" w="${width}" h="${height}">`,
    '  <stack>',
    ...layers.map((l) => `    <layer name="${safe(l.name)}" src="${safe(l.file)}" x="0" y="0"/>`),
    '  </stack>',
    '</image>',
    '',
  ].join('\n');
}
