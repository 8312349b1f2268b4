/** Grades at the Table: each beside what was measured, and nothing is filled in before a person does. */
import type { CriterionView } from '@/studio/views/grading';
import { renderToStaticMarkup } from 'react-dom/server';
import { GradeFold } from './GradeFold';
import { SchemeForm } from './SchemeForm';

const fine = () => Promise.resolve({ ok: true as const, value: undefined });
const even: CriterionView['criterion'] = {
  ...{ id: 'even', name: 'Even steps', figure: 'evenness' },
  by: { kind: 'points', most: 10 },
};
const levels = ['begun', 'secure'].map((name) => ({ name, words: `This is ${name}.`, points: null }));
const care: CriterionView['criterion'] = { id: 'care', name: 'Care', figure: null, by: { kind: 'levels', levels } };
const shown = (criteria: readonly CriterionView[]) =>
  renderToStaticMarkup(<GradeFold criteria={criteria} give={fine} />);

test('nothing stands in a field that nobody filled in, and what was measured stands beside it', () => {
  const html = shown([
    { criterion: even, measured: 'unevenness of the gaps: 0.31', given: null },
    { criterion: care, measured: null, given: null },
  ]);
  expect(html).toContain('Grades, 0 of 2 given');
  expect(html).toContain('unevenness of the gaps: 0.31');
  expect(html).toContain('by eye');
  expect(html).toMatch(/type="number"[^>]*value=""/);
  expect(html).toMatch(/<option value="" selected="">not yet/);
});

test('what was given is told with its words', () => {
  const html = shown([
    { criterion: even, measured: null, given: { points: 7.5, level: null } },
    { criterion: care, measured: null, given: { points: null, level: 'secure' } },
  ]);
  expect(html).toContain('Grades, 2 of 2 given');
  expect(html).toContain('value="7.5"');
  expect(html).toContain('This is secure.');
});

test('without a scheme there is nothing, and the form says what that means', () => {
  expect(shown([])).toBe('');
  expect(renderToStaticMarkup(<SchemeForm now={null} save={fine} />)).toContain('nothing is graded by itself');
  const form = renderToStaticMarkup(
    <SchemeForm now={{ version: 1, shown: true, criteria: [even, care] }} save={fine} />,
  );
  for (const words of ['Points at most', 'What it means', 'Students see their grades']) expect(form).toContain(words);
});
