/** Parts of form under a light. */
export const FORM_PARTS = ['lit', 'shadow', 'cast', 'halftone', 'reflected', 'highlight', 'accent', 'ground'] as const;
export type FormPart = (typeof FORM_PARTS)[number];
