/** Dates of one student: what counts, and how late something is. */
import fc from 'fast-check';
import { dateStanding, sayLate } from './deadline';

const HOUR = 3_600_000;
const due = new Date('2026-11-27T20:00:00Z');
const after = (hours: number) => new Date(due.getTime() + hours * HOUR);

test.each([
  ['came before', after(-5), after(9), 'in-time', 0],
  ['came on the dot', due, after(9), 'in-time', 0],
  ['came after', after(30), after(90), 'late', 30 * HOUR],
  ['is to come', null, after(-1), 'to-come', 0],
  ['is missing', null, after(50), 'missing', 50 * HOUR],
] as const)('what %s', (_, cameAt, now, kind, lateMs) => {
  expect(dateStanding(due, null, cameAt, now)).toEqual({ kind, dueAt: due, lateMs });
});

test('more time counts in place of everybody’s, and gives a date where there is none', () => {
  const more = { dueAt: after(48), excused: false, word: 'was away' };
  expect(dateStanding(due, more, after(40), after(90))).toMatchObject({ kind: 'in-time', dueAt: after(48) });
  expect(dateStanding(null, more, null, after(50))).toMatchObject({ kind: 'missing', lateMs: 2 * HOUR });
  expect(dateStanding(null, null, null, after(50))).toMatchObject({ kind: 'no-date', lateMs: 0 });
});

test('who is excused is never late, and is in time with what came all the same', () => {
  const excused = { dueAt: null, excused: true, word: '' };
  expect(dateStanding(due, excused, null, after(500)).kind).toBe('excused');
  expect(dateStanding(due, excused, after(400), after(500)).kind).toBe('in-time');
});

test('how late it is, in hours of a day and then in days', () => {
  expect([0.2, 1, 23.9, 24, 47, 72].map((hours) => sayLate(hours * HOUR))).toEqual([
    ...['less than an hour', '1 hour', '23 hours', '1 day', '1 day', '3 days'],
  ]);
});

test('nothing is late before its date, whatever is allowed', () => {
  fc.assert(
    fc.property(fc.integer({ min: -500, max: 0 }), fc.boolean(), (hours, excused) => {
      const allowance = excused ? { dueAt: null, excused, word: '' } : null;
      expect(dateStanding(due, allowance, null, after(hours)).lateMs).toBe(0);
    }),
  );
});
