/** What can be looked at of a painting that was laid on its reference: what was wanted (in greys, in colours), what was drawn, how they differ. */
export const PAINTING_PICTURES = ['wanted', 'drawn', 'difference', 'masses', 'colours'] as const;
export type PaintingPicture = (typeof PAINTING_PICTURES)[number];
/** Those that are made of greys alone. */
export type GreyPainting = Exclude<PaintingPicture, 'colours'>;
