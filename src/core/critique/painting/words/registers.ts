/** The sentences of this family by whom they are for. */
import type { Catalogue } from '../../rule';
import type { Register } from '../../voice';
import { ADVANCED } from './advanced';
import { CHILDREN } from './children';
import type { PaintingFacts } from '../facts';
import type { NoNames } from './beginners';
import { BEGINNERS } from './beginners';

export const PAINTING_WORDS: Record<Register, Catalogue<PaintingFacts, NoNames>> = {
  children: CHILDREN,
  beginners: BEGINNERS,
  advanced: ADVANCED,
};
