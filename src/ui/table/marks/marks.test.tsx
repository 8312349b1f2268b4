/** The board of marks, what a letter shows of it, and what students wrote, as they are first drawn. */
import type { Mark } from '@/core/critique/marks';
import { renderToStaticMarkup } from 'react-dom/server';
import { LetterMarks } from '../../hand-in/LetterMarks';
import { DrawnMarks } from '../../parts/DrawnMarks';
import { RemarkList } from '../../remarks/RemarkList';
import { Replies } from '../../today/Replies';
import { AlikeOnes } from '../AlikeOnes';
import { StudentsReply } from '../StudentsReply';
import { WrittenFor } from '../WrittenFor';
import { MarkBoard } from './MarkBoard';

const fine = () => Promise.resolve({ ok: true as const, value: null });
const mark = (more: Partial<Mark> = {}): Mark => ({
  ...{ kind: 'pin', on: 'painting', points: [[0.4, 0.5]], about: null, words: '' },
  ...more,
});
const FINDINGS = [{ key: 'k', say: 'The egg is too light.' }];
const board = (more: Partial<Parameters<typeof MarkBoard>[0]> = {}) =>
  renderToStaticMarkup(
    <MarkBoard
      marks={[
        { id: 'a', mark: mark({ words: 'Lose this edge.' }) },
        { id: 'b', mark: mark({ about: 'k', on: 'reference' }) },
      ]}
      pictures={[
        { on: 'painting', name: 'Painting', src: '/picture/x/strip' },
        { on: 'reference', name: 'Reference', src: '/laid/x/wanted' },
      ]}
      findings={FINDINGS}
      picked="k"
      frozen={false}
      draw={fine}
      takeBack={fine}
      leave={() => undefined}
      {...more}
    />,
  );

test('the board offers four kinds by key, both pictures, and lists its marks with what each says', () => {
  const html = board();
  for (const words of ['Pin', 'Outline', 'Arrow', 'Line', 'Reference', 'Lose this edge.', 'on the reference'])
    expect(html).toContain(words);
  expect(html.match(/Take mark \d back/g)).toHaveLength(2);
  expect(html).toContain('The egg is too light.');
});

test('of a letter that was sent marks are looked at, and nothing is offered', () => {
  const html = board({ frozen: true });
  expect(html).toContain('Lose this edge.');
  expect(html).not.toContain('Take mark');
  expect(html).not.toContain('>Pin');
  expect(board({ pictures: [] })).toContain('There is no picture to mark yet.');
});

test('marks are drawn light under dark, with their numbers', () => {
  const html = renderToStaticMarkup(
    <svg>
      <DrawnMarks
        marks={[
          {
            mark: mark({
              kind: 'arrow',
              points: [
                [0.1, 0.1],
                [0.6, 0.4],
              ],
            }),
            number: 7,
          },
        ]}
        tall={0.8}
      />
    </svg>,
  );
  expect(html).toContain('>7<');
  expect(html.indexOf('#f6f6f6')).toBeLessThan(html.indexOf('#1b1b1b'));
});

test('a letter shows each picture that has marks, with their words, numbered through', () => {
  const item = { ...{ key: 'k', kind: 'fix' as const, say: 'The egg is too light.' }, action: null, numbers: [] };
  const pictures = { painting: { src: '/p', alt: 'Yours' }, reference: { src: '/r', alt: 'The picture' } };
  const marks = [mark({ words: 'Lose this edge.' }), mark({ about: 'k', on: 'reference' })];
  const html = renderToStaticMarkup(<LetterMarks marks={marks} items={[item]} pictures={pictures} />);
  expect(html).toContain('alt="Yours"');
  expect(html).toContain('alt="The picture"');
  const text = html.replace(/<[^>]+>/g, '|').replace(/\|+/g, '|');
  expect(text).toContain('1| Lose this edge.');
  expect(text).toContain('2| The egg is too light.');
  const none = { painting: pictures.painting, reference: null };
  expect(renderToStaticMarkup(<LetterMarks marks={[mark({ on: 'reference' })]} items={[]} pictures={none} />)).toBe('');
});

test('what a student wrote is answered, or said to be read', () => {
  const reply = { about: null, text: 'Which black?', answer: null };
  const waiting = renderToStaticMarkup(<StudentsReply reply={reply} about={null} busy={false} answer={fine} />);
  expect(waiting).toContain('Read it: no answer is needed');
  const done = renderToStaticMarkup(
    <StudentsReply reply={{ ...reply, answer: '' }} about="The egg is too light." busy={false} answer={fine} />,
  );
  expect(done).toContain('Answered to “The egg is too light.”');
  expect(done).toContain('You: Read it.');
  expect(done).not.toContain('Your answer');
  const today = {
    attemptId: 'a',
    handInId: 'h',
    student: 'Bea',
    title: 'Nine greys',
    text: 'Which?',
    isQuestion: true,
  };
  const html = renderToStaticMarkup(<Replies replies={[today, { ...today, attemptId: 'b', isQuestion: false }]} />);
  expect(html).toContain('href="/table/h?attempt=a"');
  expect(html.match(/ asks| answers/g)).toEqual([' asks', ' answers']);
});

test('remarks stand in a list by their keys; none yet is said so', () => {
  const remark = { id: '1', key: 'edges', kind: 'fix' as const, say: 'Edges are hard.', action: 'Lose three.' };
  const html = renderToStaticMarkup(<RemarkList remarks={[remark]} keep={fine} remove={fine} />);
  for (const words of ['edges', 'To mend', 'Edges are hard.', 'Lose three.', 'Remove edges'])
    expect(html).toContain(words);
  expect(renderToStaticMarkup(<RemarkList remarks={[]} keep={fine} remove={fine} />)).toContain(
    'No remark is kept yet',
  );
});

test('nearly equal ones stand beside what was decided of them; whom it is written for is chosen', () => {
  expect(renderToStaticMarkup(<AlikeOnes alike={[]} labels={[]} lay={() => undefined} />)).toBe('');
  const html = renderToStaticMarkup(<WrittenFor own={null} ofClass="children" speakTo={() => undefined} />);
  expect(html).toContain('As in the class: children');
  expect(html).toContain('Those who have painted for long');
});
