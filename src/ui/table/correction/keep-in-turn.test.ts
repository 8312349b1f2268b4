import type { Answer } from '../../parts/answer';
import type { KeptCorrection } from '@/studio/views/corrections';
import { KeepInTurn, type Slot, type Waiting } from './keep-in-turn';

type Kept = Answer<unknown, KeptCorrection>;
const slot = (id: string | null = null): Slot => ({ id, written: 0 });
/** A studio that answers when it is told to, and keeps what it was sent. */
function studio() {
  const sent: { id: string | null; written: number; given: string }[] = [];
  const answers: ((answer: Kept | Error) => void)[] = [];
  const keep = ({ slot: own, given }: Waiting<string>) =>
    new Promise<Kept>((resolve, reject) => {
      sent.push({ ...own, given });
      answers.push((answer) => (answer instanceof Error ? reject(answer) : resolve(answer)));
    });
  const answer = async (of: Kept | Error) => {
    answers.shift()?.(of);
    await new Promise((done) => setTimeout(done, 0));
  };
  return { sent, keep, answer };
}
const ok = (id: string, written: number, isApart = false): Kept => ({ ok: true, value: { id, written, isApart } });
const nothing = () => undefined;

test('strokes go out one after the other, of those that wait the newest', async () => {
  const { sent, keep, answer } = studio();
  const turn = new KeepInTurn<string>(nothing, nothing);
  const own = slot();
  for (const stroke of ['one', 'one two', 'one two three']) turn.put(own, stroke, keep);
  expect(sent.map((s) => s.given)).toEqual(['one']);
  await answer(ok('w', 0));
  expect(sent.at(-1)).toEqual({ id: 'w', written: 0, given: 'one two three' });
});

test('who turns to another way while one is on its way writes neither into the other', async () => {
  const { sent, keep, answer } = studio();
  const turn = new KeepInTurn<string>(nothing, nothing);
  const [first, second] = [slot('a'), slot('b')];
  turn.put(first, 'on a', keep);
  turn.put(first, 'more on a', keep);
  turn.put(second, 'on b', keep);
  await answer(ok('a', 1));
  await answer(ok('a', 2));
  await answer(ok('b', 1));
  expect(sent.map((s) => [s.id, s.given])).toEqual([
    ['a', 'on a'],
    ['a', 'more on a'],
    ['b', 'on b'],
  ]);
  expect([first.written, second.written]).toEqual([2, 1]);
});

test('what could not be sent waits, and goes out with the next stroke', async () => {
  const { sent, keep, answer } = studio();
  let failures = 0;
  const turn = new KeepInTurn<string>(nothing, () => failures++);
  const own = slot('a');
  turn.put(own, 'one', keep);
  await answer(new Error('no connection'));
  expect(failures).toBe(1);
  turn.put(slot('b'), 'another', keep);
  await answer(ok('a', 1));
  await answer(ok('b', 1));
  expect(sent.map((s) => s.given)).toEqual(['one', 'one', 'another']);
});

test('what the studio refuses is not sent again by itself', async () => {
  const { sent, keep, answer } = studio();
  const heard: string[] = [];
  const turn = new KeepInTurn<string>((own) => heard.push(own.id ?? ''), nothing);
  turn.put(slot('a'), 'one', keep);
  await answer({ ok: false, say: 'It was sent.' });
  expect([sent.length, heard]).toEqual([1, []]);
});
