/** A font that ships with the program, opened. */
import type { Font } from 'fontkit';

export type Weight = 'regular' | 'strong';

export interface ShippedFont {
  /** What documents call it. */
  readonly key: string;
  readonly bytes: Buffer;
  readonly font: Font;
}
