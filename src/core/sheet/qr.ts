/** What a sheet's QR code says: `FG1:kind:N:paper:exercise:student`, ids only, `-` where there is none. */
import { z } from 'zod';
import { PAPER_IDS, type PaperId } from './paper';

export interface SheetTag {
  readonly kind: string;
  readonly steps: number;
  readonly paper: PaperId;
  readonly exercise: string | null;
  readonly student: string | null;
}

const id = z
  .string()
  .regex(/^(-|[A-Za-z0-9]{1,40})$/)
  .transform((s) => (s === '-' ? null : s));
const fields = z.tuple([
  z.literal('FG1'),
  z.string().regex(/^[a-z-]{1,20}$/),
  z
    .string()
    .regex(/^\d{1,2}$/)
    .transform(Number),
  z.enum(PAPER_IDS),
  id,
  id,
]);

/** What the code of a sheet says: FG1:kind:steps:paper:exercise:student, “-” where there is none. */
export function formatSheetTag(tag: SheetTag): string {
  return ['FG1', tag.kind, tag.steps, tag.paper, tag.exercise ?? '-', tag.student ?? '-'].join(':');
}

/** The tag, or null when the text is not one of ours. */
export function parseSheetTag(text: string): SheetTag | null {
  const parsed = fields.safeParse(text.split(':'));
  if (!parsed.success) return null;
  const [, kind, steps, paper, exercise, student] = parsed.data;
  return { kind, steps, paper, exercise, student };
}
