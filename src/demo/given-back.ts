/** What has been said already in the sample world: own remarks, and one painting that is marked, given back and asked about. */
import type { Layer } from '@/core/correction/layer';
import type { Mark } from '@/core/critique/marks';
import { exercises, handIns } from '@/data/schema/tables';
import type { Student, Teacher } from '@/studio/access/actor';
import { keepCorrection } from '@/studio/critique/correcting';
import { setWord } from '@/studio/critique/critiquing';
import { decide } from '@/studio/critique/deciding';
import { drawMark } from '@/studio/critique/marking';
import { keepRemark } from '@/studio/critique/remarks';
import { replyTo } from '@/studio/critique/replies';
import type { House } from '@/studio/house';
import { attemptsAt, currentOf } from '@/studio/views/attempt';
import { and, eq } from 'drizzle-orm';

const REMARKS = [
  { key: 'brave', kind: 'works', say: 'Brave: you left the edge open where nothing happens.', action: '' },
  {
    key: 'brush',
    kind: 'fix',
    say: 'The brush is too small for this shape.',
    action: 'Take one that feels too large.',
  },
  { key: 'sign', kind: 'fix', say: 'The sheet has no name on it.', action: 'Sign it on the back, in pencil.' },
  { key: 'slow', kind: 'works', say: 'You took your time over the first mix, and it shows.', action: '' },
] as const;

/** Places round a middle, shares of the picture. */
const ringRound = (x: number, y: number, wide: number, tall: number): [number, number][] =>
  Array.from({ length: 24 }, (_, k) => {
    const turn = (2 * Math.PI * k) / 24;
    return [x + wide * Math.cos(turn), y + tall * Math.sin(turn)];
  });

const mark = (kind: Mark['kind'], points: Mark['points'], words: string): Mark => ({
  ...{ kind, on: 'painting', points, about: null, words },
});
/** On the still life of the jug: an egg, the jug's light and where its shadow falls. */
const MARKS: readonly Mark[] = [
  mark('outline', ringRound(0.83, 0.68, 0.09, 0.1), 'Paint these two as one light.'),
  mark(
    'arrow',
    [
      [0.3, 0.22],
      [0.62, 0.36],
    ],
    'The lightest light of all. Keep it for last.',
  ),
  mark('pin', [[0.42, 0.7]], 'Lose this edge: half close your eyes, and it is gone.'),
];

/** On the same: the egg at the right lighter, and the edge below the jug lost. */
const CORRECTION: readonly Layer[] = [
  {
    id: 'eggs',
    name: 'egg at the right',
    change: { kind: 'lightness', by: 7 },
    mask: { soft: 0.02, edits: [{ kind: 'outline', adds: true, points: ringRound(0.83, 0.68, 0.09, 0.1) }] },
  },
  {
    id: 'edge',
    name: 'edge below the jug',
    change: { kind: 'soften', by: 0.012 },
    mask: {
      soft: 0.01,
      edits: [{ kind: 'stroke', adds: true, width: 0.06, points: [0.36, 0.66, 0.42, 0.7, 0.5, 0.73] }],
    },
  },
];

/** `title` is that of the painting's exercise. */
export async function giveBack(
  { house, teacher, classId }: { readonly house: House; readonly teacher: Teacher; readonly classId: string },
  student: Student,
  title: string,
): Promise<void> {
  for (const remark of REMARKS) await keepRemark(house, teacher, remark);
  const [own] = await house.db
    .select({ id: handIns.id })
    .from(handIns)
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(and(eq(exercises.classId, classId), eq(exercises.title, title), eq(handIns.studentId, student.studentId)));
  const attempt = own && currentOf(await attemptsAt(house.db, [own.id]));
  if (!attempt) return;
  for (const one of MARKS) await drawMark(house, teacher, attempt.id, one);
  await keepCorrection(house, teacher, attempt.id, { id: null, name: 'A lighter egg', layers: CORRECTION }, 0);
  await setWord(house, teacher, attempt.id, 'Look at it from across the room before you touch it again.', null);
  await decide(house, teacher, attempt.id, 'again');
  await replyTo(house, student, attempt.id, {
    about: null,
    text: 'Shall I lose the edge with a dry brush, or paint the wall over it?',
  });
}
