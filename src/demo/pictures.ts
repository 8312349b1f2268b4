/** The rendered pictures that ship with the studio, by the names of their folders. */
import path from 'node:path';

export const PICTURE_FOLDER = path.resolve('assets/references');
export const PICTURES = [
  'salt-pans',
  'stair-hall',
  'breakwater',
  'net-loft',
  'jug-and-eggs',
  'greenhouse-bench',
] as const;
