/** News of attempts, told through a database that stands in: what is told is heard where it was asked for, and nowhere else. */
import { log } from '@/watch/log';
import { openLive } from './live';

/** Passes on what it is told, as two processes on one database hear each other. */
function wire() {
  const ears: ((message: string) => void)[] = [];
  return {
    notify: async (_: string, message: string) => {
      await Promise.resolve();
      for (const hear of ears) hear(message);
    },
    listen: (_: string, hear: (message: string) => void) => {
      ears.push(hear);
      return Promise.resolve();
    },
  };
}
const settled = () => new Promise((done) => setTimeout(done, 5));

test('those who look on hear what happens in another process, in its order, until they go', async () => {
  const between = wire();
  const [here, there] = [await openLive(between), await openLive(between)];
  const heard: string[] = [];
  const leave = there.listen('a', (news) => heard.push(`${news.state} ${news.stage ?? ''}`.trim()));
  here.tell('a', { state: 'measuring', stage: 'finding the sheet' });
  here.tell('b', { state: 'measuring', stage: 'comparing' });
  here.tell('a', { state: 'measured', stage: null });
  await settled();
  leave();
  here.tell('a', { state: 'queued', stage: null });
  await settled();
  expect(heard).toEqual(['measuring finding the sheet', 'measured']);
});

test('news that cannot be told stops nobody, and what comes after it is told', async () => {
  const between = wire();
  let broken = true;
  const lost = new Error('No connection.');
  const quiet = jest.spyOn(log, 'error').mockReturnValue(undefined);
  const live = await openLive({
    ...between,
    notify: (channel, message) => (broken ? Promise.reject(lost) : between.notify(channel, message)),
  });
  const heard: string[] = [];
  live.listen('a', (news) => heard.push(news.state));
  live.tell('a', { state: 'measuring', stage: null });
  await settled();
  broken = false;
  live.tell('a', { state: 'measured', stage: null });
  await settled();
  expect(heard).toEqual(['measured']);
  // Others of this process may log meanwhile.
  const told = quiet.mock.calls.filter(([said]) => (said as { err?: unknown }).err === lost);
  expect(told).toHaveLength(1);
  quiet.mockRestore();
});
