/** Whom letters are written for, as it is chosen. */
import type { Register } from '@/core/critique/voice';

export const REGISTER_NAMES: Record<Register, string> = {
  children: 'Children',
  beginners: 'Beginners',
  advanced: 'Those who have painted for long',
};
