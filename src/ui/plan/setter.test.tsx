/** The form that sets an exercise, for every kind there is, new and revised. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { isPicture } from '@/core/exercise/terms';
import { defaultTerms, KIND_IDS, kindById } from '@/core/kinds/table';
import { renderToStaticMarkup } from 'react-dom/server';
import { type ExerciseForm, ExerciseSetter } from './ExerciseSetter';

const classes = [{ id: 'c1', name: 'Tidewell Evening Studio', underSixteen: false, school: false }];
const form = (terms: ExerciseTerms, more: Partial<ExerciseForm> = {}): ExerciseForm => ({
  classId: 'c1',
  title: 'Sample',
  note: '',
  due: '',
  overrideReason: '',
  terms,
  referenceId: '',
  setUpId: '',
  ...more,
});
const setter = (revised: ExerciseForm | null) =>
  renderToStaticMarkup(
    <ExerciseSetter
      classes={classes}
      references={[{ id: 'r1', title: 'Jug on a cloth' }]}
      setUps={[{ id: 's1', title: 'Jug by the window' }]}
      revised={revised}
      draw={() => Promise.resolve({ ok: true, value: '' })}
      save={() => Promise.resolve({ ok: true, value: null })}
    />,
  );
/** What its fields are called. */
const labels = (html: string) => [...html.matchAll(/class="label">([^<:]*)/g)].map((m) => m[1]);

test('a new exercise is a scale for the first class, and every kind is offered', () => {
  const html = setter(null);
  for (const id of KIND_IDS) expect(html).toContain(`>${kindById(id).name}</button>`);
  expect(html.match(/aria-pressed="true"[^>]*>([^<]*)/)?.[1]).toBe(kindById('scale').name);
  expect(html).toContain('Set it');
});

test.each(KIND_IDS)('%s: each thing is asked once, and its kind can’t be changed when it is revised', (id) => {
  const html = setter(form(defaultTerms(id)));
  const asked = labels(html);
  expect(asked).toEqual([...new Set(asked)]);
  expect(asked).toEqual(expect.arrayContaining(['Title', 'Due', 'Paint']));
  expect(html).toContain(kindById(id).task.replace(/'/g, '&#x27;'));
  expect([
    ...html.matchAll(/<button[^>]*disabled=""[^>]*aria-pressed|<button[^>]*aria-pressed[^>]*disabled=""/g),
  ]).toHaveLength(KIND_IDS.length - 1);
});

test.each(KIND_IDS.filter((id) => isPicture(defaultTerms(id))))('%s: what it is painted from is one choice', (id) => {
  const asked = labels(setter(form(defaultTerms(id))));
  expect(asked.filter((label) => /^(Painted from|From)/.test(label ?? ''))).toEqual(['Painted from']);
});

test('bands may be of one colour, and where the pure one sits is asked only then', () => {
  const bands = defaultTerms('bands');
  const [greys, blues] = [setter(form(bands)), setter(form({ ...bands, hue: 'ultramarine' }))];
  expect(labels(greys)).toEqual(expect.arrayContaining(['Colour (none']));
  expect(blues).toContain('value="ultramarine"');
  expect(labels(blues).length).toBe(labels(greys).length + 1);
});
