/** Rules of form, and two states of one painting, on photographs of them. The bench makes many. */
import type { FormTrial } from './painting/form-trial';
import type { FormFault } from './painting/form-scenes';
import { openFormTrials, openStatesTrials } from './trials';

const [form, states] = [openFormTrials(), openStatesTrials()];
afterAll(() => Promise.all([form.close(), states.close()]));

const trial = (seed: number, faults: readonly FormFault[], asReference = false): FormTrial => ({
  ...{ seed, camera: 'window', way: 'sheet', megapixels: 4, faults, asReference },
});

test('rules that were broken are told of their object, and nothing is of a faithful painting', async () => {
  const asked: readonly FormFault[] = ['separation', 'counterchange', 'cast_edge_hard'];
  const outcomes = await form.run([...asked.map((fault, k) => trial(4100 + k, [fault])), trial(4200, [])]);
  expect(outcomes.every((o) => o.accepted)).toBe(true);
  asked.forEach((code, k) => {
    const [broken] = outcomes[k]?.broken ?? [];
    expect(outcomes[k]?.told.map((t) => [t.code, t.object])).toContainEqual([code, broken?.object]);
  });
  expect(outcomes.at(-1)?.told).toEqual([]);
});

test('where the reference breaks a rule itself nothing is told', async () => {
  const [own] = await form.run([trial(4300, ['reflected_light'], true)]);
  expect(own?.told.filter((t) => t.code === 'reflected_light')).toEqual([]);
});

test('masses, edges and what changed since an earlier state are near to what was painted', async () => {
  const [own] = await states.run([{ seed: 4400, camera: 'studio', way: 'sheet', megapixels: 4 }]);
  expect(own?.masses.every((off) => Math.abs(off) < 1.5)).toBe(true);
  expect(own?.edges.every(({ ratio }) => Math.abs(ratio - 1) < 0.25)).toBe(true);
  expect(Math.abs(own?.rescue?.range ?? 99)).toBeLessThan(2);
  expect(Math.abs(own?.rescue?.repainted ?? 99)).toBeLessThan(0.05);
});
