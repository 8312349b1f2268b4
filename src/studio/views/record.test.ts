/** The record of a studio that was kept from before there were figures, beside what is counted by hand from its measurements. */
import type { ScaleResult } from '@/core/scale/result';
import type { OpenDatabase } from '@/data/database/engine';
import { classes } from '@/data/schema/tables';
import { openStoredWorld } from '@/data/database/stored-world';
import type { Teacher } from '../access/actor';
import { fillFigures } from '../hand-in/figures';
import type { House } from '../house';
import { recordOf } from './record';

interface Row {
  readonly result: ScaleResult;
  readonly title: string;
  readonly student: string;
  readonly number: number;
  readonly verdict: 'pass' | 'again' | null;
}
const ROWS = `
  select m.result, e.title, s.name as student, a.number, d.verdict
  from measurements m join attempts a on a.id = m.attempt_id join hand_ins h on h.id = a.hand_in_id
  join exercises e on e.id = h.exercise_id join students s on s.id = h.student_id
  left join decisions d on d.attempt_id = a.id and d.withdrawn_at is null
  where a.state = 'measured' and e.class_id = (select class_id from exercises group by class_id order by count(*) desc limit 1)
  order by e.created_at, s.number, a.number`;

let opened: OpenDatabase;
let kept: readonly Row[];
let house: House;
let teacher: Teacher;
let classId = '';
beforeAll(async () => {
  ({ opened, before: kept } = await openStoredWorld((all) => all<Row>(ROWS)));
  house = { db: opened.db } as House;
  expect(await fillFigures(house)).toBeGreaterThan(kept.length - 1);
  // Nothing is left to be made.
  expect(await fillFigures(house)).toBe(0);
  const groups = await opened.db.select().from(classes);
  const own = groups.find((g) => g.name.includes('Tidewell')) ?? groups[0];
  classId = own?.id ?? '';
  teacher = { role: 'teacher', standing: 'teacher', userId: own?.teacherId ?? '', name: '' };
});
afterAll(() => opened.close());

const scales = () => kept.filter((r) => r.result.kind === 'scale' && r.result.steps.length > 0);
const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
const offOf = ({ result }: Row) => mean(result.steps.map((s) => Math.abs(s.errorSteps)));
const look = (key: 'error' | 'range', studentId: string | null = null) =>
  recordOf(house, teacher, classId, { key, studentId, exerciseId: null });

test('how far off a class was, at first and at last tries', async () => {
  const { record } = await look('error');
  const titles = [...new Set(scales().map((r) => r.title))];
  expect(titles.length).toBeGreaterThan(1);
  for (const title of titles) {
    const here = scales().filter((r) => r.title === title);
    const students = [...new Set(here.map((r) => r.student))];
    const tries = students.map((s) => here.filter((r) => r.student === s));
    const row = record.course.rows.find(([name]) => name === title);
    expect(row?.[1]).toBeCloseTo(mean(tries.map((t) => offOf(t[0] as Row))), 9);
    expect(row?.[2]).toBeCloseTo(mean(tries.map((t) => offOf(t.at(-1) as Row))), 9);
  }
});

test('the range of a student beside the class', async () => {
  const own = scales().find((r) => scales().filter((o) => o.student === r.student && o.title === r.title).length > 1);
  const { students } = await look('range');
  const student = students.find((s) => s.name === (own ?? scales()[0])?.student);
  const { record } = await look('range', student?.id ?? null);
  const here = scales().filter((r) => r.student === student?.name);
  const rangeOf = ({ result }: Row) => (result.summary?.ends.lightest ?? 0) - (result.summary?.ends.darkest ?? 0);
  for (const title of new Set(here.map((r) => r.title))) {
    const tries = here.filter((r) => r.title === title);
    const row = record.course.rows.find(([name]) => name === title);
    expect(row?.[3]).toBeCloseTo(rangeOf(tries[0] as Row), 9);
    expect(row?.[4]).toBeCloseTo(rangeOf(tries.at(-1) as Row), 9);
  }
});

test('the map of steps holds every error of the last tries, and the class’s distance', async () => {
  const { record, mapped } = await look('error');
  const here = scales().filter((r) => r.title === mapped?.title);
  const last = new Map(here.map((r) => [r.student, r]));
  expect(record.steps.rows).toHaveLength(last.size + 1);
  for (const [name, ...errors] of record.steps.rows.slice(0, -1))
    expect(errors).toEqual(last.get(name)?.result.steps.map((s) => s.errorSteps));
  const whole = record.steps.rows.at(-1)?.slice(1) as number[];
  whole.forEach((distance, i) => {
    const all = [...last.values()].map((r) => Math.abs(r.result.steps[i]?.errorSteps ?? 0));
    expect(distance).toBeCloseTo(mean(all), 9);
  });
});

test('after how many tries they passed', async () => {
  const { record } = await look('error');
  for (const title of new Set(kept.map((r) => r.title))) {
    const here = kept.filter((r) => r.title === title);
    const students = [...new Set(here.map((r) => r.student))];
    const at = students.map((s) => here.find((r) => r.student === s && r.verdict === 'pass')?.number ?? null);
    expect(record.passes.rows.find(([name]) => name === title)).toEqual([
      title,
      at.filter((n) => n === 1).length,
      at.filter((n) => n === 2).length,
      at.filter((n) => n !== null && n > 2).length,
      at.filter((n) => n === null).length,
    ]);
  }
});

test('chips of colour, each by how far it lies from where it belongs', async () => {
  const chips = scales().flatMap((r) => r.result.chips ?? []);
  const { record } = await look('error');
  const words = { grey: 'greys', pure: 'pure colours', tint: 'colours with white', dark: 'darkened colours' } as const;
  for (const what of ['grey', 'pure', 'tint', 'dark'] as const) {
    const own = chips.filter((c) => c.what === what);
    const row = record.colours.rows.find(([name]) => name === words[what]);
    if (own.length === 0) expect(row).toBeUndefined();
    else {
      expect(row?.[1]).toBe(own.length);
      expect(row?.[3]).toBeCloseTo(mean(own.map((c) => Math.abs(c.belongs - c.step))), 9);
    }
  }
});
