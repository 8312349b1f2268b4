/** The sentences of this family by whom they are for. */
import type { Catalogue } from '../rule';
import type { Register } from '../voice';
import { ADVANCED } from './advanced-words';
import { CHILDREN } from './children-words';
import type { ScaleFacts } from './facts';
import type { ScaleNames } from './words';
import { BEGINNERS } from './words';

export const SCALE_WORDS: Record<Register, Catalogue<ScaleFacts, ScaleNames>> = {
  children: CHILDREN,
  beginners: BEGINNERS,
  advanced: ADVANCED,
};
