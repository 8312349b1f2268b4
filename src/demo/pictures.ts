/** The rendered pictures that ship with the studio, by the names of their folders. */
import type { Mass } from '@/core/tones/mass';
import path from 'node:path';

type MassPart = Mass['part'];

/** A shape of a picture, by a place in it, as somebody names it who asks for nothing special. */
export const namedShape = (x: number, y: number, name: string, part: MassPart = null, emphasis = 1) => ({
  at: { x, y },
  name,
  emphasis,
  part,
  material: 'matt' as const,
  blocked: 0,
  standing: 'painted' as const,
  steps: null,
});

export const PICTURE_FOLDER = path.resolve('assets/references');
export const PICTURES = [
  'salt-pans',
  'stair-hall',
  'breakwater',
  'net-loft',
  'jug-and-eggs',
  'greenhouse-bench',
] as const;
