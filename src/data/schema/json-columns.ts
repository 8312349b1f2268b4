/** Columns of JSON, each checked by its schema on the way out of the database. */
import { storedCardSchema } from '@/core/capture/stored-card';
import { storedTargetSchema } from '@/core/capture/stored-target';
import { storedLayersSchema } from '@/core/correction/layer';
import { deedSchema } from '@/core/critique/deed';
import { sentLetterSchema } from '@/core/critique/letter';
import { markSchema } from '@/core/critique/marks';
import { PAINT_IDS } from '@/core/exercise/paints';
import { readingSchema } from '@/core/formats/readings-csv';
import { shelfItemSchema } from '@/core/formats/shelf-csv';
import { schemeSchema } from '@/core/grading/scheme';
import { measuredResultSchema } from '@/core/kinds/measured-result';
import { exerciseTermsSchema } from '@/core/kinds/table';
import { lookMarksSchema, storedLookSchema } from '@/core/look/stored-look';
import { loggedMixSchema } from '@/core/mixing/logged-mix';
import { figuresSchema, storedFitSchema } from '@/core/mixing/stored-fit';
import { meetingRuleSchema } from '@/core/planning/meetings';
import { placingSchema } from '@/core/planning/timetable';
import { preparationSchema } from '@/core/reference/preparation';
import { paintedMassesSchema, setUpSchema } from '@/core/reference/set-up';
import { massSchema } from '@/core/tones/mass';
import { customType } from 'drizzle-orm/pg-core';
import { z } from 'zod';

/** Terms are data from outside whenever they are read: old ones get what was added since, wrong ones are told. */
function checkedJson<T>(schema: z.ZodType<T>) {
  return customType<{ data: T; driverData: unknown }>({
    dataType: () => 'jsonb',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (stored) => schema.parse(typeof stored === 'string' ? JSON.parse(stored) : stored),
  });
}
export const knownCard = checkedJson(storedCardSchema);
export const captureTarget = checkedJson(storedTargetSchema);
export const sentLetter = checkedJson(sentLetterSchema);
export const doneDeed = checkedJson(deedSchema);
export const drawnMark = checkedJson(markSchema);
export const correctionLayers = checkedJson(storedLayersSchema);
export const measuredResult = checkedJson(measuredResultSchema);
export const storedLook = checkedJson(storedLookSchema);
export const lookMarks = checkedJson(lookMarksSchema);
export const exerciseTerms = checkedJson(exerciseTermsSchema);
export const gradingScheme = checkedJson(schemeSchema);
export const meetingRule = checkedJson(meetingRuleSchema);
export const placing = checkedJson(placingSchema);
export const shelfItem = checkedJson(shelfItemSchema);
export const paintList = checkedJson(z.array(z.enum(PAINT_IDS)));
export const ownFigures = checkedJson(figuresSchema);
export const paintFit = checkedJson(storedFitSchema);
export const loggedMix = checkedJson(loggedMixSchema);
export const preparation = checkedJson(preparationSchema);
export const setUp = checkedJson(setUpSchema);
export const paintedMasses = checkedJson(paintedMassesSchema);
/** What a painting was measured against: enough to show it, and to judge one in few tones again. */
export const measuredAgainst = checkedJson(
  z.object({
    /** A prepared picture, or a set-up: its id, and how often it had been changed. Of its own earlier state there is no more to say. */
    kind: z.enum(['picture', 'set-up', 'itself']).default('picture'),
    reference: z.string(),
    revision: z.number().int(),
    /** File of the tones as wanted and as drawn; of a painting in many values, of those that were wanted. */
    planes: z.string(),
    /**
     * File of the painting's own lightness, 16 bits, laid on the values that were wanted where there are such; null in rows
     * from before it was kept.
     */
    lightness: z.string().nullable().default(null),
    names: z.array(massSchema),
    /** Readings that counted. */
    readings: z.array(z.string()),
  }),
);
export const printerReadings = checkedJson(readingSchema.array());
