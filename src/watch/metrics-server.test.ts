import { meters } from './meters';
import { openMetrics } from './metrics-server';
import { stageClock } from './stage-clock';

const at = (port: number, path = '/metrics') => fetch(`http://127.0.0.1:${port}${path}`);

test('what is counted is read anew for each who asks', async () => {
  let waiting = 0;
  const server = await openMetrics({ host: '127.0.0.1', port: 0 }, () => {
    meters.queued.set(++waiting);
    return Promise.resolve();
  });
  expect(await (await at(server.port)).text()).toContain('fair_grey_queue_jobs 1');
  expect(await (await at(server.port)).text()).toContain('fair_grey_queue_jobs 2');
  expect((await at(server.port, '/rack')).status).toBe(404);
  await server.close();
});

test('a database that is away hides nothing else', async () => {
  const server = await openMetrics({ host: '127.0.0.1', port: 0 }, () => Promise.reject(new Error('away')));
  const answer = await at(server.port);
  expect(answer.status).toBe(200);
  expect(await answer.text()).toContain('fair_grey_process_cpu_seconds_total');
  await server.close();
});

test('a port that is taken is told with the setting to look at', async () => {
  const first = await openMetrics({ host: '127.0.0.1', port: 0 }, () => Promise.resolve());
  await expect(openMetrics({ host: '127.0.0.1', port: first.port }, () => Promise.resolve())).rejects.toThrow(
    /Look at FAIR_GREY_METRICS/,
  );
  await first.close();
});

test('a stage lasts until the next begins, and the last until the end', async () => {
  // What others counted before is forgotten.
  meters.stages.reset();
  const times = [0, 250, 1000, 4000];
  const clock = stageClock(() => times.shift() ?? Number.NaN);
  clock.begin('looking');
  clock.begin('reading');
  clock.end();
  clock.end();
  const { values } = await meters.stages.get();
  const sums = values.filter((v) => v.metricName?.endsWith('_sum')).map((v) => [v.labels.stage, v.value]);
  expect(sums).toEqual([
    ['looking', 0.25],
    ['reading', 0.75],
  ]);
});
