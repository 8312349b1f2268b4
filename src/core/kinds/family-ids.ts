/** Families of kinds: what they have in common is how they are measured, judged and shown. */
export const FAMILY_IDS = ['steps', 'bands', 'chips', 'tones', 'paintings', 'by-eye'] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];
