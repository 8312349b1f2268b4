/** The sentences of this family by whom they are for. */
import type { Catalogue } from '../rule';
import type { Register } from '../voice';
import { ADVANCED } from './advanced-words';
import { CHILDREN } from './children-words';
import type { ToneFacts } from './facts';
import type { ToneNames } from './tone-names';
import { BEGINNERS } from './words';

export const TONE_WORDS: Record<Register, Catalogue<ToneFacts, ToneNames>> = {
  children: CHILDREN,
  beginners: BEGINNERS,
  advanced: ADVANCED,
};
