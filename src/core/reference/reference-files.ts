/** What a prepared reference can be taken out as. */
export const REFERENCE_FILES = ['grey', 'squinted', 'tones', 'map', 'traced', 'layers', 'sheets'] as const;
export type ReferenceFile = (typeof REFERENCE_FILES)[number];
