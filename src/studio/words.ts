/** Schemas for what people type. Any Unicode is welcome; lengths count characters as people see them. */
import { NUMBERING_IDS } from '@/core/exercise/numbering';
import { z } from 'zod';

const length = (s: string) => [...new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(s)].length;

/** What shows nothing: controls but line ends, and invisible marks but those that join letters of some scripts. */
const UNSEEN = /(?![\n\t])\p{Cc}|(?![\u200c\u200d])\p{Cf}/gu;

const words = (most: number, what: string) =>
  z
    .string()
    .max(most * 20, `${what} is too long: keep it to ${most} characters.`)
    .transform((s) => s.replace(UNSEEN, '').normalize('NFC').trim())
    .refine((s) => length(s) <= most, `${what} is too long: keep it to ${most} characters.`);

export const nameSchema = words(80, 'This name').refine((s) => s !== '', 'Give a name.');
export const textSchema = words(2000, 'This text');
/** What a teacher writes in a letter may be as long as a letter gets. */
export const letterTextSchema = words(20_000, 'This text');
export const emailSchema = z.email('Give an e-mail address, such as name@studio.example.').max(254);
export const passwordSchema = z.string().min(8, 'Use at least 8 characters.').max(200, 'Use at most 200 characters.');
export const numberingSchema = z.enum(NUMBERING_IDS);
