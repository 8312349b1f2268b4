/** A letter as it is printed: what the student reads on the phone, on paper. */
import { HEADLINES } from '@/core/critique/finding';
import type { SaidItem } from '@/core/critique/letter';
import { zoneOf } from '@/core/planning/meetings';
import type { PaperId } from '@/core/sheet/paper';
import type { LetterSentence } from '@/print/letter-pages';
import type { LetterOrder, PrintJob } from '@/workers/printing/job';
import { type Actor, attemptFor, NotFound } from '../access/actor';
import type { House } from '../house';
import { attemptViews } from '../views/attempt';
import { judgedBy } from '../views/said';

const VERDICTS = { pass: 'Passed.', again: 'Once more, please.' } as const;

const sentence = ({ say, action, original }: SaidItem): LetterSentence => ({
  say: say ?? original.say,
  action: action ?? original.do,
});

/** The letter of an attempt. A student has it once it was sent; a teacher sees the draft as it stands. Throws NotFound where there is none. */
export async function letterToPrint(house: House, actor: Actor, attemptId: string, paper: PaperId): Promise<PrintJob> {
  const own = await attemptFor(house, actor, attemptId);
  const [view] = await attemptViews(house, [own.attempt], judgedBy(own));
  const critique = view?.critique;
  if (!view || !critique || (actor.role === 'student' && !critique.sentAt)) throw new NotFound();
  const items = critique.items.filter((item) => !item.dropped);
  const [first = null, ...others] = items.filter((i) => i.original.kind === 'fix').map(sentence);
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
    verdict: view.verdict ? VERDICTS[view.verdict] : '',
    works: items.filter((i) => i.original.kind === 'works').map((i) => sentence(i).say),
    first,
    next: others.slice(0, HEADLINES - 1),
    later: others.slice(HEADLINES - 1),
    word: critique.word,
    numbers: items.flatMap((item) => {
      const numbers = critique.whys[item.original.key]?.numbers ?? [];
      const lines = numbers.map(({ label, value }) => `${label}: ${value}`);
      return lines.length === 0 ? [] : [{ of: sentence(item).say, lines: [lines.join('; ')] }];
    }),
    marks: view.marks.flatMap(({ mark }, k) => {
      const about = items.find((item) => item.original.key === mark.about);
      // What is drawn on the reference is seen on the page: on paper there is one picture.
      return mark.on === 'painting'
        ? [{ mark, number: k + 1, words: mark.words || (about ? sentence(about).say : '') }]
        : [];
    }),
    pictureFile: pictureHash === null ? null : await house.files.local(pictureHash),
  };
  return { kind: 'letters', letters: [letter] };
}
