/** Taking back what was done at the Table, the last first, over all hand-ins of a sitting. */
import { type Deed, deedWords } from '@/core/critique/deed';
import { deeds, handIns, sittings, students } from '@/data/schema/tables';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { NotFound, Refused, type Teacher } from '../access/actor';
import { isSame } from '../access/meanwhile';
import { grade } from '../grading/grading';
import { setFrameIsDark, takeReadingBack } from '../hand-in/notan-hand-ins';
import type { House } from '../house';
import { unpaintMasses } from '../reference/set-ups';
import { gradesOf } from '../views/grading';
import { CHANGED_SINCE, encloseAsBefore, putCorrectionBack, takeInAgain, undraw } from './corrections-back';
import { editItem, setWord } from './critiquing';
import { decide, fetchBack, withdraw } from './deciding';
import { putMarkBack, takeMarkBack } from './marking';
import { isStanding } from './noting';
import { takeQuestionBack } from './opinions';
import { speakTo } from './register';
import { unsayOwn } from './remarks';
import { takeAnswerBack } from './replies';
import { standingEdit, standingWord } from './standing';

/** The last thing that a teacher did in their sitting and has not taken back; null where there is nothing. */
export async function lastDeed(house: House, teacher: Teacher) {
  const [last] = await house.db
    .select({ id: deeds.id, deed: deeds.deed, handInId: deeds.handInId, student: students.name })
    .from(deeds)
    .innerJoin(sittings, isStanding(teacher))
    .innerJoin(handIns, eq(deeds.handInId, handIns.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .orderBy(desc(deeds.seq))
    .limit(1);
  return last ? { id: last.id, handInId: last.handInId, say: deedWords(last.deed, last.student) } : null;
}

interface At {
  readonly house: House;
  readonly teacher: Teacher;
  readonly handInId: string;
  readonly attemptId: string;
}

/** What was given by a criterion, as it is given anew. */
const asGiven = ({ points, level }: { readonly points: number | null; readonly level: string | null }) =>
  level === null ? { kind: 'points' as const, points } : { kind: 'level' as const, level };

/** How each is undone. */
const UNDO: { readonly [D in Deed['did']]: (at: At, deed: Extract<Deed, { did: D }>) => Promise<unknown> } = {
  decided: ({ house, teacher, attemptId }) => withdraw(house, teacher, attemptId, null),
  withdrew: async ({ house, teacher, attemptId }, { verdict, wasSent }) => {
    await decide(house, teacher, attemptId, verdict, { holds: !wasSent, note: null });
  },
  sent: ({ house, teacher, attemptId }) => fetchBack(house, teacher, attemptId),
  async edited({ house, teacher, attemptId }, { key, before, after }) {
    const { edit, written } = await standingEdit(house, attemptId, key);
    if (!isSame(edit, after)) throw new Refused(CHANGED_SINCE);
    const back = { say: before.say ?? '', action: before.action ?? '', dropped: before.dropped };
    await editItem(house, teacher, attemptId, key, back, written, null);
  },
  async worded({ house, teacher, attemptId }, { before, after }) {
    const { word, written } = await standingWord(house, attemptId);
    if (word !== after) throw new Refused(CHANGED_SINCE);
    await setWord(house, teacher, attemptId, before, written, null);
  },
  said: ({ house, teacher, attemptId }, { id }) => unsayOwn(house, teacher, attemptId, id),
  marked: ({ house, teacher, attemptId }, { id }) => takeMarkBack(house, teacher, attemptId, id, null),
  unmarked: ({ house, teacher, attemptId }, { id, mark }) => putMarkBack(house, teacher, attemptId, id, mark),
  spoke: ({ house, teacher, handInId }, { before }) => speakTo(house, teacher, handInId, before, null),
  answered: ({ house, teacher, attemptId }) => takeAnswerBack(house, teacher, attemptId),
  asked: ({ house, teacher, attemptId }, { id }) => takeQuestionBack(house, teacher, attemptId, id),
  accepted: ({ house, teacher, attemptId }, { id }) => takeReadingBack(house, teacher, attemptId, id),
  async graded({ house, teacher, attemptId }, { criterion, before, after }) {
    const stands = (await gradesOf(house, [attemptId])).find((g) => g.criterion === criterion);
    if (stands?.points !== after?.points || stands?.level !== after?.level) throw new Refused(CHANGED_SINCE);
    await grade(house, teacher, attemptId, criterion, before && asGiven(before), null);
  },
  corrected: ({ house, teacher, attemptId }, deed) => undraw(house, teacher, attemptId, deed),
  uncorrected: ({ house, teacher, attemptId }, deed) => putCorrectionBack(house, teacher, attemptId, deed),
  enclosed: ({ house, teacher, attemptId }, deed) => encloseAsBefore(house, teacher, attemptId, deed),
  'set-aside': ({ house, teacher, attemptId }, deed) => takeInAgain(house, teacher, attemptId, deed),
  async brushed({ house, teacher, attemptId }, { before, after }) {
    if (!(await unpaintMasses(house, teacher, attemptId, before, after))) throw new Refused(CHANGED_SINCE);
  },
  framed: ({ house, teacher, attemptId }, { after }) => setFrameIsDark(house, teacher, attemptId, !after, null),
};

/**
 * Takes a deed back; returns whose it was. One that can't be taken back any more is passed over from then on.
 *
 * @throws Refused with why it stands; NotFound where it is not theirs, or was taken back already.
 */
export async function takeBack(house: House, teacher: Teacher, id: string): Promise<{ readonly handInId: string }> {
  const own = and(eq(deeds.id, id), eq(deeds.teacherId, teacher.userId), isNull(deeds.takenBackAt));
  const [row] = await house.db.select().from(deeds).where(own);
  if (!row) throw new NotFound();
  // Marked when it is done: cut off in between, it is taken back once more, finds nothing to do, and is passed over.
  const isOver = () => house.db.update(deeds).set({ takenBackAt: new Date() }).where(own);
  const { deed, handInId, attemptId } = row;
  try {
    const undo = UNDO[deed.did] as (at: At, deed: Deed) => Promise<unknown>;
    await undo({ house, teacher, handInId, attemptId: attemptId ?? '' }, deed);
  } catch (error) {
    // What failed for another reason can be tried again.
    if (error instanceof NotFound || error instanceof Refused) await isOver();
    throw error instanceof NotFound ? new Refused(CHANGED_SINCE) : error;
  }
  await isOver();
  return { handInId };
}
