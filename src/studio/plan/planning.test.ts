/** What a teacher plans with: meetings, timetables, the cupboard, printers. */
import { CHART_CODES } from '@/core/finder/printer-curve';
import { formatReadings } from '@/core/formats/readings-csv';
import { BadShelf } from '@/core/formats/shelf-csv';
import { defaultTerms } from '@/core/kinds/table';
import type { MeetingRule } from '@/core/planning/meetings';
import { exercises } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { NotFound, type Teacher } from '../access/actor';
import { changeClass, classesOf, createClass } from '../class/people';
import { addPrinter, finderFor, forgetReadings, importReadings, practiceReading, printersOf } from '../mixing/finders';
import { importShelf, putOnShelf, shelfOf, shoppingFor } from '../mixing/shelf';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { setExercise } from './exercises';
import { placeStages, setMeetings, timetableOf } from './timetables';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

const rule: MeetingRule = {
  weekdays: [4],
  start: '18:30',
  minutes: 120,
  from: '2030-01-03',
  until: '2030-03-28',
  timeZone: 'Europe/Lisbon',
  except: [],
};
const stranger = async (): Promise<Teacher> => ({
  role: 'teacher',
  standing: 'teacher',
  userId: await studio.house.auth.createTeacher('Odo', `${Math.random()}@tidewell.example`, 'another-password'),
  name: 'Odo',
});
const staged = () =>
  setExercise(studio.house, studio.teacher, studio.classId, {
    title: 'Can',
    note: '',
    dueAt: null,
    terms: { ...defaultTerms('monochrome-painting', 'oil'), way: 'staged' },
  });

test('a class that meets has a timetable, and one without conflicts says when photographs are due', async () => {
  const { house, teacher, classId } = studio;
  const id = await staged();
  expect(await timetableOf(house, teacher, id)).toBeNull();
  await setMeetings(house, teacher, classId, rule);
  const plan = await timetableOf(house, teacher, id);
  expect(plan).toMatchObject({
    placed: false,
    students: 2,
    placing: { stain: '2030-01-03', masses: '2030-01-10', greys: '2030-01-24' },
  });
  await placeStages(house, teacher, id, plan?.placing ?? {});
  const [row] = await house.db.select().from(exercises).where(eq(exercises.id, id));
  expect(row?.dueAt?.toISOString()).toBe('2030-02-06T20:00:00.000Z');
  expect((await timetableOf(house, teacher, id))?.placed).toBe(true);
});

test('a timetable with conflicts is kept as it was placed, and sets no date', async () => {
  const { house, teacher, classId } = studio;
  const id = await staged();
  await setMeetings(house, teacher, classId, rule);
  await placeStages(house, teacher, id, { stain: '2030-01-03', masses: '2030-01-10', greys: '2030-01-17' });
  const [row] = await house.db.select().from(exercises).where(eq(exercises.id, id));
  expect(row).toMatchObject({ dueAt: null, placing: { greys: '2030-01-17' } });
  await expect(placeStages(house, teacher, id, { stain: 'soon' })).rejects.toThrow();
  await expect(placeStages(house, await stranger(), id, {})).rejects.toBeInstanceOf(NotFound);
});

test('two classes of one teacher can’t meet at once', async () => {
  const { house, teacher, classId } = studio;
  await setMeetings(house, teacher, classId, rule);
  const other = await createClass(house, teacher, 'Morning', 'black-is-one');
  await expect(setMeetings(house, teacher, other, { ...rule, start: '19:00' })).rejects.toThrow(
    'On 2030-01-03 this overlaps a meeting of Tidewell Evening Studio',
  );
  await setMeetings(house, teacher, other, { ...rule, start: '10:00' });
  await expect(
    setMeetings(house, teacher, other, { ...rule, weekdays: [2], from: '2030-01-03', until: '2030-01-04' }),
  ).rejects.toThrow('never meets');
});

test('a class’s settings are checked', async () => {
  const { house, teacher, classId } = studio;
  await changeClass(house, teacher, classId, {
    numbering: 'percent-black',
    register: 'beginners',
    underSixteen: true,
    school: true,
    currency: 'SEK',
    keepDays: null,
    pieceLineMm: null,
  });
  expect((await classesOf(house, teacher))[0]).toMatchObject({
    numbering: 'percent-black',
    register: 'beginners',
    underSixteen: true,
    school: true,
    currency: 'SEK',
    keepDays: null,
    pieceLineMm: null,
  });
  await expect(
    changeClass(house, teacher, classId, {
      numbering: 'percent-black',
      register: 'beginners',
      underSixteen: true,
      school: true,
      currency: 'kr',
      keepDays: null,
      pieceLineMm: null,
    }),
  ).rejects.toThrow('three capital letters');
  const settings = {
    numbering: 'percent-black',
    register: 'beginners',
    underSixteen: true,
    school: true,
    currency: 'SEK',
    keepDays: null,
  } as const;
  await expect(changeClass(house, teacher, classId, { ...settings, pieceLineMm: 9.9 })).rejects.toThrow(
    'measure the one on a corner piece once more',
  );
  await changeClass(house, teacher, classId, { ...settings, pieceLineMm: 97.5 });
  expect((await classesOf(house, teacher))[0]).toMatchObject({ pieceLineMm: 97.5 });
});

test('what is in the cupboard need not be bought', async () => {
  const { house, teacher, exerciseId } = studio;
  const before = await shoppingFor(house, teacher, exerciseId);
  expect(before).toMatchObject({ students: 2, currency: 'EUR' });
  // Two paints, paper, and two brushes of one size.
  expect(before.lines.map((l) => [l.what, l.packs])).toEqual([
    ['titanium-white', 1],
    ['ivory-black', 1],
    ['white-paper', 1],
    ['brush-16', 2],
  ]);
  expect(before.total).toBe(8 + 8 + 15 + 2 * 5);
  await putOnShelf(house, teacher, 'titanium-white', { pack: 37, price: 5, stock: 400 });
  const after = await shoppingFor(house, teacher, exerciseId);
  expect(after.lines.find((l) => l.what === 'titanium-white')).toMatchObject({ packs: 0, cost: 0, stock: 400 });
  expect(after.total).toBe(before.total - 8);
  await expect(putOnShelf(house, teacher, 'ivory-black', { pack: 0, price: 5, stock: 0 })).rejects.toThrow(
    'more than 0',
  );
});

test('a file of the cupboard is taken in whole or not at all, and each teacher has their own', async () => {
  const { house, teacher } = studio;
  const rows = 'what,pack,price,stock\nivory black,40,6.5,10\n';
  await expect(importShelf(house, teacher, `${rows}snow white,1,1,1\n`)).rejects.toBeInstanceOf(BadShelf);
  expect(await shelfOf(house, teacher)).toEqual({});
  expect(await importShelf(house, teacher, rows)).toBe(1);
  expect(await importShelf(house, teacher, rows.replace('6.5', '7'))).toBe(1);
  expect(await shelfOf(house, teacher)).toEqual({ 'ivory-black': { pack: 40, price: 7, stock: 10 } });
  expect(await shelfOf(house, await stranger())).toEqual({});
});

test('a finder needs a chart, follows it, and tells what is left of the error', async () => {
  const { house, teacher, classId } = studio;
  const id = await addPrinter(house, teacher, 'Office laser');
  await expect(finderFor(house, teacher, id, classId, 9, 'a4')).rejects.toThrow('Print the chart and read it first');
  const chart = CHART_CODES.map((code) => ({ code, lightness: 15 + (code / 255) * 79 }));
  await importReadings(house, teacher, id, formatReadings(chart));
  const { bars, errors, drawing } = await finderFor(house, teacher, id, classId, 9, 'letter');
  expect(bars.filter((b) => b.reachable)).toHaveLength(8);
  expect(drawing.widthMm).toBe(215.9);
  const unread = bars.findIndex((b) => !CHART_CODES.includes(b.code));
  expect(errors[unread]).toBeNull();
  const read = bars.map((b) => ({ code: b.code, lightness: 15 + (b.code / 255) * 79 + 0.2 }));
  await importReadings(house, teacher, id, formatReadings(read));
  const again = await finderFor(house, teacher, id, classId, 9, 'letter');
  expect(again.errors.filter((e) => e !== null).length).toBeGreaterThan(0);
  await expect(
    importReadings(
      house,
      teacher,
      id,
      formatReadings(chart.map((r, i) => ({ ...r, lightness: chart.at(-1 - i)?.lightness ?? 0 }))),
    ),
  ).rejects.toThrow(/another order|dark to light/);
  await expect(importReadings(house, teacher, id, 'x,y\n1,2')).rejects.toThrow('must name the columns');
  await forgetReadings(house, teacher, id);
  expect((await printersOf(house, teacher))[0]?.readings).toEqual([]);
});

test('a printer is its teacher’s, and the practice reader is the demo’s', async () => {
  const { house, teacher, classId } = studio;
  const id = await addPrinter(house, teacher, 'Office laser');
  const odo = await stranger();
  await expect(
    importReadings(house, odo, id, formatReadings(CHART_CODES.map((code) => ({ code, lightness: code / 3 })))),
  ).rejects.toBeInstanceOf(NotFound);
  await expect(finderFor(house, odo, id, classId, 9, 'a4')).rejects.toBeInstanceOf(NotFound);
  await expect(practiceReading(house, teacher, id, null)).rejects.toBeInstanceOf(NotFound);
});
