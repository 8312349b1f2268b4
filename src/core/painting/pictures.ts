/** What can be looked at of a painting that was laid on its reference: what was wanted, what was drawn, and how they differ. */
export const PAINTING_PICTURES = ['wanted', 'drawn', 'difference', 'masses'] as const;
export type PaintingPicture = (typeof PAINTING_PICTURES)[number];
