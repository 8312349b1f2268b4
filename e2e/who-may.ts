/** Who may do what: every route and every action of the built application stands here, or the test of it fails. */
import { defaultTerms } from '@/core/kinds/table';

/**
 * Those who knock. `assistant` drafts for the class of `teacher`, who owns the studio; `newcomer` is signed in and belongs to no class
 * yet, as somebody of another role would be.
 */
export const PEOPLE = [
  'nobody',
  'newcomer',
  'student',
  'other student',
  'student elsewhere',
  'teacher',
  'other teacher',
  'assistant',
] as const;
export type Who = (typeof PEOPLE)[number];

/** What there is to be had in the room of `teacher` and `student`. */
export interface Things {
  readonly classId: string;
  readonly studentId: string;
  readonly exerciseId: string;
  readonly handInId: string;
  readonly attemptId: string;
  readonly trayId: string;
  readonly strayId: string;
  readonly setUpId: string;
  readonly printerId: string;
  readonly referenceId: string;
}

const EVERYBODY: readonly Who[] = PEOPLE;
const SIGNED_IN: readonly Who[] = [
  ...(['student', 'other student', 'student elsewhere', 'teacher', 'other teacher', 'assistant'] as const),
];
const TEACHERS: readonly Who[] = ['teacher', 'other teacher', 'assistant'];
const STUDENTS: readonly Who[] = ['student', 'other student', 'student elsewhere'];
const OF_CLASS: readonly Who[] = ['student', 'other student', 'teacher', 'assistant'];
const STUDENTS_OF_CLASS: readonly Who[] = ['student', 'other student'];
const THEIRS: readonly Who[] = ['student', 'teacher', 'assistant'];
const OWN: readonly Who[] = ['student'];
const TEACHER: readonly Who[] = ['teacher'];
/** Who looks at hand-ins and drafts, whether they teach the class or not. */
const DRAFTING: readonly Who[] = ['teacher', 'assistant'];

interface Door {
  readonly may: readonly Who[];
  /** What is posted there needs a body; without one whoever may gets a sentence, and others nothing. */
  readonly post?: true;
  /** There is nothing to show in a room where nothing was measured: only who must stay out is looked at. */
  readonly empty?: true;
  /** What comes after the address. */
  readonly query?: string;
}

export const ROUTES: Record<string, Door> = {
  '/(studio)/page': { may: TEACHERS },
  '/(studio)/ledger/page': { may: TEACHERS },
  '/(studio)/ledger/[classId]/page': { may: DRAFTING },
  '/(studio)/ledger/remarks/page': { may: TEACHERS },
  '/(studio)/palette/page': { may: TEACHERS },
  '/(studio)/palette/cupboard/page': { may: TEACHERS },
  '/(studio)/palette/files/page': { may: DRAFTING, query: '?class=[classId]' },
  '/(studio)/plan/page': { may: TEACHERS },
  '/(studio)/plan/new/page': { may: TEACHERS },
  '/(studio)/plan/[exerciseId]/page': { may: DRAFTING },
  '/(studio)/plan/[exerciseId]/revise/page': { may: DRAFTING },
  '/(studio)/rack/page': { may: TEACHERS, empty: true },
  '/(studio)/rack/[classId]/page': { may: DRAFTING },
  '/(studio)/rack/[classId]/beside/page': { may: DRAFTING, empty: true },
  '/(studio)/rack/[classId]/together/page': { may: DRAFTING, query: '?exercise=[exerciseId]' },
  '/together/[exerciseId]/route': { may: DRAFTING },
  '/archive/[classId]/route': { may: TEACHER },
  '/restore/route': { may: TEACHERS, post: true },
  '/(studio)/ledger/[classId]/record/page': { may: DRAFTING },
  '/results/[classId]/[table]/route': { may: DRAFTING, empty: true },
  '/(studio)/ledger/[classId]/seen/page': { may: TEACHER },
  '/(studio)/ledger/[classId]/grades/page': { may: DRAFTING },
  '/(studio)/ledger/[classId]/post/page': { may: TEACHER },
  '/(studio)/ledger/[classId]/student/[studentId]/page': { may: TEACHER },
  '/(studio)/you/page': { may: TEACHERS },
  // Whoever has the secret of one; nobody here has.
  '/calendar/[secret]/route': { may: EVERYBODY, empty: true },
  '/post/[classId]/route': { may: TEACHER },
  '/portfolio/[studentId]/route': { may: ['student', 'teacher'] },
  '/(studio)/references/page': { may: TEACHERS },
  '/(studio)/references/[referenceId]/page': { may: TEACHER },
  '/(studio)/references/set-up/[setUpId]/page': { may: TEACHER },
  '/(studio)/table/[handInId]/page': { may: DRAFTING },
  '/my/page': { may: STUDENTS },
  '/my/[exerciseId]/page': { may: STUDENTS_OF_CLASS },
  '/sign-in/page': { may: EVERYBODY, empty: true },
  '/begin/page': { may: EVERYBODY, empty: true },
  '/health/route': { may: EVERYBODY },
  '/health/live/route': { may: EVERYBODY },
  '/health/ready/route': { may: EVERYBODY },
  '/icon.svg/route': { may: EVERYBODY },
  '/brackets/route': { may: SIGNED_IN },
  '/chart/route': { may: TEACHERS },
  '/shelf/route': { may: TEACHERS },
  '/remarks/route': { may: TEACHERS },
  // A letter that was not sent is nobody's but the teacher's.
  '/letter/[attemptId]/route': { may: DRAFTING },
  '/sheet/[exerciseId]/route': { may: OF_CLASS },
  '/reference-sheet/[exerciseId]/route': { may: OF_CLASS, empty: true },
  '/timetable/[exerciseId]/route': { may: DRAFTING, empty: true },
  '/finder/[printerId]/route': { may: TEACHER, empty: true },
  '/palette/file/[classId]/[medium]/route': { may: DRAFTING, empty: true },
  '/card/[classId]/route': { may: DRAFTING, empty: true, query: '?as=csv' },
  '/record/[studentId]/route': { may: TEACHER },
  '/tray/[trayId]/route': { may: DRAFTING },
  '/reference/[referenceId]/[kind]/route': { may: TEACHER },
  '/reference-file/[referenceId]/[what]/route': { may: TEACHER, empty: true },
  '/picture/[attemptId]/[kind]/route': { may: THEIRS },
  // Nobody of this room was asked: whoever may not look at such a page finds none.
  '/(studio)/asked/[opinionId]/page': { may: TEACHER, empty: true },
  '/asked/[opinionId]/picture/route': { may: TEACHER, empty: true },
  '/join/page': { may: EVERYBODY, empty: true },
  '/corrected/[correctionId]/[what]/route': { may: DRAFTING, empty: true },
  '/laid/[attemptId]/[which]/route': { may: DRAFTING, empty: true },
  '/tones/[attemptId]/[which]/route': { may: DRAFTING, empty: true },
  '/live/[attemptId]/route': { may: THEIRS },
  '/look/[exerciseId]/route': { may: STUDENTS_OF_CLASS, empty: true },
  '/hand-in/[exerciseId]/route': { may: STUDENTS_OF_CLASS, post: true },
  '/check/[exerciseId]/route': { may: STUDENTS_OF_CLASS, post: true, empty: true },
  '/practice/[exerciseId]/route': { may: STUDENTS_OF_CLASS, post: true, empty: true },
  '/bring-in/prepared/route': { may: TEACHERS, post: true },
  '/prepared/[referenceId]/route': { may: TEACHER },
  '/pile/[classId]/route': { may: TEACHER, post: true },
  '/bring-in/route': { may: TEACHERS, post: true },
};
/** Pages of the framework's own, which show nothing of anybody. */
export const NOBODYS = ['/_global-error/page', '/_not-found/page'];

/** What an action is asked with, and who may ask that. Those that take something away stand last. */
interface Deed {
  readonly may: readonly Who[];
  /** What it is about is not there, in a room where nothing was measured: only who must not do it is looked at. */
  readonly empty?: true;
  readonly with: (things: Things) => readonly unknown[];
}
const plan = ({ classId }: Things) => [
  { classId, title: 'Five greys', note: '', dueAt: null, terms: defaultTerms('scale') },
];

export const ACTIONS: Record<string, Deed> = {
  setSurround: { may: EVERYBODY, with: () => ['dark'] },
  makeClass: { may: TEACHERS, with: () => ['Another class', 'white-is-one'] },
  setClass: { may: TEACHER, with: ({ classId }) => [classId, {}] },
  bringInClassCard: { may: TEACHER, with: ({ classId }) => [classId, 'no card'] },
  forgetClassCard: { may: TEACHER, with: ({ classId }) => [classId] },
  keepMeetings: { may: TEACHER, with: ({ classId }) => [classId, {}] },
  enrol: { may: TEACHER, with: ({ classId }) => [classId, 'Ivo Sallow'] },
  enrolSome: { may: TEACHER, with: ({ classId }) => [classId, ['Ivo Sallow']] },
  setOnPalette: { may: TEACHER, with: ({ classId }) => [classId, 'acrylic', { figures: {} }, 0] },
  logged: { may: TEACHER, with: ({ classId }) => [classId, 'acrylic', {}] },
  takenOut: { may: TEACHER, empty: true, with: ({ classId }) => [classId, 'nothing'] },
  bringInFigures: { may: TEACHER, with: ({ classId }) => [classId, 'acrylic', 'no figures'] },
  bringInSwatches: { may: TEACHER, with: ({ classId }) => [classId, 'acrylic', 'no swatches'] },
  keepItem: { may: TEACHERS, with: () => ['titanium-white', {}] },
  readShelf: { may: TEACHERS, with: () => ['no shelf'] },
  makePrinter: { may: TEACHERS, with: () => ['Printer by the door'] },
  readPrinter: { may: TEACHER, with: ({ printerId }) => [printerId, 'no readings'] },
  clearPrinter: { may: TEACHER, with: ({ printerId }) => [printerId] },
  practise: { may: TEACHER, with: ({ printerId }) => [printerId, null, 9] },
  drawSheet: { may: DRAFTING, with: plan },
  saveNew: { may: TEACHER, with: plan },
  saveRevision: { may: TEACHER, with: (things) => [things.exerciseId, ...plan(things)] },
  keepPlacing: { may: TEACHER, with: ({ exerciseId }) => [exerciseId, {}] },
  duplicate: { may: TEACHER, with: ({ exerciseId, classId }) => [exerciseId, classId] },
  keepReference: { may: TEACHER, with: ({ referenceId }) => [referenceId, {}, 1] },
  takeShipped: { may: TEACHERS, with: () => ['no such picture'] },
  beginSetUp: { may: TEACHERS, with: () => [{}] },
  keepMasses: { may: TEACHER, with: ({ setUpId }) => [setUpId, { title: '', note: '', setUp: {} }, 0] },
  changeItem: {
    may: DRAFTING,
    empty: true,
    with: ({ attemptId }) => [attemptId, 'streaky steps 3', { dropped: true }, 0],
  },
  changeWord: { may: DRAFTING, with: ({ attemptId }) => [attemptId, 'Well done.', 0] },
  measureOnceMore: { may: DRAFTING, with: ({ attemptId }) => [attemptId] },
  acceptAsReading: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, 'r1', 'this'] },
  judgeOnceMore: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId] },
  forgetReadings: { may: DRAFTING, with: ({ exerciseId }) => [exerciseId] },
  judgeByMasses: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, []] },
  sayOfOwn: { may: DRAFTING, with: ({ attemptId }) => [attemptId, { kind: 'fix', say: 'Sign it.', action: '' }] },
  writeFor: { may: DRAFTING, with: ({ handInId }) => [handInId, 'children'] },
  markPicture: { may: DRAFTING, with: ({ attemptId }) => [attemptId, {}] },
  takeBackMark: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, 'nothing'] },
  correctPicture: { may: DRAFTING, with: ({ attemptId }) => [attemptId, {}, 0] },
  sendCorrection: { may: DRAFTING, with: ({ attemptId }) => [attemptId, null] },
  setCorrectionApart: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, 'nothing', ''] },
  dropCorrection: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, 'nothing'] },
  layBefore: { may: DRAFTING, with: ({ attemptId }) => [attemptId, {}] },
  unask: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, 'nothing'] },
  sayOpinion: { may: TEACHERS, empty: true, with: () => ['nothing', {}] },
  invite: { may: TEACHER, with: () => ['assistant'] },
  letColleagueBe: { may: TEACHER, empty: true, with: () => ['nobody', 'teacher'] },
  newPasswordFor: { may: TEACHER, empty: true, with: () => ['nobody'] },
  shareWith: { may: TEACHER, empty: true, with: ({ classId }) => [classId, 'nobody'] },
  unshareWith: { may: TEACHER, with: ({ classId }) => [classId, 'nobody'] },
  enrolToo: { may: TEACHER, empty: true, with: ({ classId }) => [classId, 'nobody'] },
  keepScheme: { may: TEACHER, with: ({ classId }) => [classId, null] },
  giveGrade: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, 'none', null] },
  addNote: { may: TEACHER, with: ({ studentId }) => [studentId, 'Paints standing.'] },
  rewriteNote: { may: TEACHER, empty: true, with: ({ studentId }) => [studentId, 'nothing', '', 0] },
  keepAddress: { may: TEACHER, with: ({ studentId }) => [studentId, ''] },
  newCalendar: { may: TEACHER, with: ({ classId, studentId }) => [{ classId, studentId }] },
  endCalendar: { may: TEACHER, with: ({ classId, studentId }) => [{ classId, studentId }] },
  tellClass: { may: TEACHER, with: ({ classId }) => [classId, { title: 'Thursday', text: 'Bring a rag.' }] },
  untellClass: { may: TEACHER, with: ({ classId }) => [classId, 'nothing'] },
  changeOwnPassword: { may: TEACHERS, with: () => ['not the password', 'another-password'] },
  beginSecond: { may: TEACHERS, with: () => ['not the password'] },
  confirmSecond: { may: TEACHERS, with: () => ['000000'] },
  endSecond: { may: TEACHERS, with: () => ['not the password'] },
  lookBeside: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId, null] },
  proposeRescue: { may: DRAFTING, empty: true, with: ({ attemptId }) => [attemptId] },
  answerTo: { may: TEACHER, empty: true, with: ({ attemptId }) => [attemptId, 'The one we mixed.'] },
  sayToLetter: { may: OWN, empty: true, with: ({ attemptId }) => [attemptId, null, 'Which black?'] },
  keepOwnRemark: { may: TEACHERS, with: () => [{}] },
  keepOne: { may: TEACHERS, with: () => [{}] },
  removeOne: { may: TEACHERS, empty: true, with: () => ['nothing'] },
  readRemarks: { may: TEACHERS, with: () => ['no remarks'] },
  allowTime: {
    may: TEACHER,
    with: ({ exerciseId, studentId }) => [exerciseId, studentId, { what: 'excused', word: '' }],
  },
  sitDown: { may: DRAFTING, with: ({ handInId }) => [handInId] },
  takeBackDeed: { may: TEACHER, empty: true, with: () => ['nothing'] },
  sendLetter: { may: TEACHER, empty: true, with: ({ attemptId }) => [attemptId] },
  setHolds: { may: TEACHERS, with: () => [false] },
  giveVerdict: { may: DRAFTING, with: ({ attemptId }) => [attemptId, 'again', true] },
  withdrawVerdict: { may: DRAFTING, with: ({ attemptId }) => [attemptId] },
  askLook: { may: STUDENTS_OF_CLASS, empty: true, with: ({ exerciseId }) => [exerciseId, []] },
  sendAnyway: { may: OWN, with: ({ attemptId }) => [attemptId, 'Please.'] },
  measureAgain: { may: OWN, with: ({ attemptId }) => [attemptId] },
  stopMeasuring: { may: OWN, with: ({ attemptId }) => [attemptId] },
  takeFrameAsDark: { may: DRAFTING, with: ({ attemptId }) => [attemptId, true] },
  measureAgainstNow: { may: DRAFTING, with: ({ attemptId }) => [attemptId] },
  givePicture: {
    may: TEACHER,
    with: ({ classId, trayId, studentId, exerciseId }) => [classId, trayId, studentId, exerciseId],
  },
  discardPicture: { may: TEACHER, with: ({ classId, strayId }) => [classId, strayId] },
  newCode: { may: TEACHER, with: ({ studentId }) => [studentId] },
  takeSetUpAway: { may: TEACHER, with: ({ setUpId }) => [setUpId] },
  takeAway: { may: TEACHER, with: ({ referenceId }) => [referenceId] },
  removeClass: { may: TEACHER, with: ({ classId }) => [classId, 'another name'] },
  removeStudent: { may: TEACHER, with: ({ studentId }) => [studentId] },
  // They are asked to sign in again, as those are who never had.
  leaveEverywhere: { may: TEACHERS, empty: true, with: () => [] },
};
/** The doors themselves: whoever stands before them may try, and is counted (studio/access/door). */
export const DOORS = ['signInTeacher', 'signInStudent', 'begin', 'join', 'signOut'];
