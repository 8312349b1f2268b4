/** What a teacher did at a hand-in, with what stood there before, so that it can be taken back. */
import { z } from 'zod';
import { storedLayersSchema } from '../correction/layer';
import { paintedMassesSchema } from '../reference/set-up';
import { markSchema } from './marks';
import { VERDICTS } from './verdict';
import { registerSchema } from './voice';

const verdict = z.enum(VERDICTS);
/** How a finding stood. */
const edit = z.object({ say: z.string().nullable(), action: z.string().nullable(), dropped: z.boolean() });

/** What was given by a criterion: points, or a step. */
const grade = z.object({ points: z.number().nullable(), level: z.string().nullable() });

/** A correction as it was drawn and named. */
const drawn = z.object({ name: z.string(), layers: storedLayersSchema });
export type DrawnCorrection = z.infer<typeof drawn>;

export const deedSchema = z.discriminatedUnion('did', [
  z.object({ did: z.literal('decided'), verdict, wasSent: z.boolean() }),
  z.object({ did: z.literal('withdrew'), verdict, wasSent: z.boolean() }),
  z.object({ did: z.literal('sent'), verdict }),
  z.object({ did: z.literal('edited'), key: z.string(), before: edit, after: edit }),
  z.object({ did: z.literal('worded'), before: z.string(), after: z.string() }),
  z.object({ did: z.literal('said'), id: z.string() }),
  z.object({ did: z.literal('marked'), id: z.string() }),
  z.object({ did: z.literal('unmarked'), id: z.string(), mark: markSchema }),
  z.object({
    did: z.literal('spoke'),
    before: registerSchema.nullable(),
    after: registerSchema.nullable(),
  }),
  z.object({ did: z.literal('answered') }),
  z.object({ did: z.literal('asked'), id: z.string() }),
  z.object({ did: z.literal('accepted'), id: z.string() }),
  z.object({ did: z.literal('graded'), criterion: z.string(), before: grade.nullable(), after: grade.nullable() }),
  /** Nothing before where it was begun. */
  z.object({ did: z.literal('corrected'), id: z.string(), before: drawn.nullable(), after: drawn }),
  z.object({
    did: z.literal('uncorrected'),
    id: z.string(),
    was: drawn.extend({ setAside: z.string().nullable(), withLetter: z.boolean() }),
  }),
  /** Which correction goes with the letter, null for none; and how the one that does now had been set aside. */
  z.object({
    did: z.literal('enclosed'),
    before: z.string().nullable(),
    after: z.string().nullable(),
    aside: z.string().nullable(),
  }),
  z.object({
    did: z.literal('set-aside'),
    id: z.string(),
    before: z.string().nullable(),
    after: z.string(),
    withLetter: z.boolean(),
  }),
  z.object({
    did: z.literal('brushed'),
    before: paintedMassesSchema.nullable(),
    after: paintedMassesSchema,
  }),
  z.object({ did: z.literal('framed'), after: z.boolean() }),
]);
export type Deed = z.infer<typeof deedSchema>;

const WORDS_OF_VERDICT = { pass: '“pass”', again: '“once more”' } as const;

/** What is taken back, as the end of "take back …"; the name of whose it is follows. */
const WORDS: { readonly [D in Deed['did']]: (deed: Extract<Deed, { did: D }>) => string } = {
  decided: (deed) => `${WORDS_OF_VERDICT[deed.verdict]} for`,
  withdrew: (deed) => `that you withdrew ${WORDS_OF_VERDICT[deed.verdict]} for`,
  sent: () => 'the letter to',
  edited: ({ before, after }) => {
    if (before.dropped === after.dropped) return 'the change of a remark to';
    return after.dropped ? 'a remark that was dropped for' : 'a remark that was taken in for';
  },
  worded: () => 'the change of your own words to',
  said: () => 'your own remark to',
  marked: () => 'the mark on the picture of',
  unmarked: () => 'a mark that was taken off the picture of',
  spoke: () => 'whom the letter is written for, of',
  answered: () => 'your answer to',
  asked: () => 'the question to a colleague about',
  accepted: () => 'the reading that was accepted for',
  graded: () => 'a grade of',
  corrected: ({ before }) => (before ? 'the change of a correction for' : 'the correction that was drawn for'),
  uncorrected: () => 'that a correction was removed for',
  enclosed: () => 'which correction goes with the letter to',
  'set-aside': () => 'that a correction was set aside for',
  brushed: () => 'the masses that were shown on the picture of',
  framed: ({ after }) =>
    after ? 'the frame that was taken as the dark end for' : 'that the frame was no longer the dark end for',
};

/** What a deed is called where it can be taken back, as “pass” for Bea. */
export function deedWords(deed: Deed, student: string): string {
  const words = WORDS[deed.did] as (deed: Deed) => string;
  return `${words(deed)} ${student}`;
}
