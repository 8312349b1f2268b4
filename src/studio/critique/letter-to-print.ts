/** A letter as it is printed: what the student reads on the phone, on paper. */
import { letterParts, type SaidItem, VERDICT_WORDS } from '@/core/critique/letter';
import { markWords } from '@/core/critique/marks';
import { zoneOf } from '@/core/planning/meetings';
import type { PaperId } from '@/core/sheet/paper';
import type { LetterSentence } from '@/core/critique/letter-text';
import type { LetterOrder, PrintJob } from '@/workers/printing/job';
import { type Actor, attemptFor, NotFound } from '../access/actor';
import type { House } from '../house';
import { correctionFile } from './correcting';
import { type AttemptView, attemptViews } from '../views/attempt';
import { judgedBy } from '../views/said';
import { greyPaintingOf } from '../views/table';

const sentence = ({ say, action, original }: SaidItem): LetterSentence => ({
  say: say ?? original.say,
  action: action ?? original.do,
});

/** Whether anything was drawn on what it is painted from. */
const isDrawnOn = ({ marks }: AttemptView): boolean => marks.some(({ mark }) => mark.on === 'reference');

/** The letter of an attempt. A student has it once it was sent; a teacher sees the draft as it stands. Throws NotFound where there is none. */
export async function letterToPrint(house: House, actor: Actor, attemptId: string, paper: PaperId): Promise<PrintJob> {
  const own = await attemptFor(house, actor, attemptId);
  const [view] = await attemptViews(house, [own.attempt], judgedBy(own));
  const critique = view?.critique;
  if (!view || !critique || (actor.role === 'student' && !critique.sentAt)) throw new NotFound();
  const items = critique.items.filter((item) => !item.dropped);
  const { works, first, next, later } = letterParts(items, (i) => i.original.kind);
  const sayOf = (key: string) => {
    const item = items.find((i) => i.original.key === key);
    return item && sentence(item).say;
  };
  const correction = view.corrections.find((c) => c.withLetter);
  const corrected = correction && (await correctionFile(house, actor, correction.id, 'picture'));
  const pictureHash = own.attempt.stripHash ?? own.attempt.previewHash;
  const letter: LetterOrder = {
    paper,
    student: own.student.name,
    className: own.class.name,
    exercise: own.exercise.title,
    date: (critique.sentAt ?? new Date()).toLocaleDateString('en-GB', {
      ...{ day: 'numeric', month: 'long', year: 'numeric' },
      timeZone: zoneOf(own.class.meetings),
    }),
    verdict: view.verdict ? VERDICT_WORDS[view.verdict] : '',
    works: works.map((i) => sentence(i).say),
    first: first && sentence(first),
    next: next.map(sentence),
    later: later.map(sentence),
    word: critique.word,
    numbers: items.flatMap((item) => {
      const numbers = critique.whys[item.original.key]?.numbers ?? [];
      const lines = numbers.map(({ label, value }) => `${label}: ${value}`);
      return lines.length === 0 ? [] : [{ of: sentence(item).say, lines: [lines.join('; ')] }];
    }),
    marks: view.marks.map(({ mark }, k) => ({
      ...{ on: mark.on, mark, number: k + 1, words: markWords(mark, sayOf) },
    })),
    paintedFrom: isDrawnOn(view) ? await greyPaintingOf(house, attemptId, 'wanted') : null,
    corrected: corrected ? corrected.bytes : null,
    pictureFile: pictureHash === null ? null : await house.files.local(pictureHash),
  };
  return { kind: 'letters', letters: [letter] };
}
