/** A data folder that was made before findings were apart from readings opens, with all that was measured, said and decided. */
import type { Finding } from '@/core/critique/finding';
import type { OpenDatabase } from '@/data/database/engine';
import { openStoredWorld } from '@/data/database/stored-world';
import { attempts, classes, critiques, decisions, exercises, handIns, measurements } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import type { House } from '../house';
import { type AttemptView, attemptViews } from '../views/attempt';
import { CURED } from '@/core/critique/cured';
import { judgedBy } from '../views/said';

interface OldItem {
  readonly attempt_id: string;
  readonly position: number;
  readonly original: Omit<Finding, 'key'>;
  readonly say: string | null;
  readonly action: string | null;
  readonly dropped: boolean;
}
interface OldResult {
  readonly kind: string;
  readonly regions?: readonly object[];
  readonly findings?: readonly object[];
}

/** As it was before anything was migrated. */
let before: {
  readonly items: readonly OldItem[];
  readonly measured: readonly { readonly attempt_id: string; readonly result: OldResult }[];
  readonly decided: readonly { readonly id: string; readonly verdict: string }[];
  readonly states: readonly { readonly id: string; readonly state: string }[];
};
let opened: OpenDatabase;
let views: ReadonlyMap<string, AttemptView>;

beforeAll(async () => {
  ({ opened, before } = await openStoredWorld(async (all) => ({
    items: await all<OldItem>('select * from critique_items order by attempt_id, position'),
    measured: await all<{ attempt_id: string; result: OldResult }>('select attempt_id, result from measurements'),
    decided: await all<{ id: string; verdict: string }>('select id, verdict from decisions order by id'),
    states: await all<{ id: string; state: string }>('select id, state from hand_ins order by id'),
  })));
  const rows = await opened.db
    .select({ attempt: attempts, exercise: exercises, group: classes })
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id));
  const house = { db: opened.db } as House;
  const seen = await Promise.all(
    rows.map(({ attempt, exercise, group }) =>
      attemptViews(house, [attempt], judgedBy({ exercise, class: group, handIn: null })),
    ),
  );
  views = new Map(seen.flat().map((view) => [view.id, view]));
});
afterAll(() => opened.close());

const itemsOf = (attemptId: string) => before.items.filter((i) => i.attempt_id === attemptId);
const keyless = ({ key: _key, ...finding }: Finding) => finding;

test('the stored copy holds what it is to test: every family, edits, drops, letters that were sent', () => {
  const kinds = new Set(before.measured.map((m) => m.result.kind));
  expect([...kinds].sort()).toEqual(['notan', 'scale']);
  expect(before.items.filter((i) => i.say !== null).length).toBeGreaterThan(5);
  expect(before.items.filter((i) => i.dropped).length).toBeGreaterThan(5);
  expect(before.items.some((i) => i.say !== null && i.original.where.box)).toBe(true);
  expect(before.decided.length).toBeGreaterThan(5);
});

test('every result is what it was, less what was said of it', async () => {
  const now = await opened.db.select().from(measurements);
  expect(now).toHaveLength(before.measured.length);
  for (const { attemptId, version, result } of now) {
    const { findings, ...was } = before.measured.find((m) => m.attempt_id === attemptId)?.result ?? { kind: '' };
    expect(findings).toBeDefined();
    const { regions = [], ...rest } = was;
    expect(result).toMatchObject({ ...rest, version: 2 });
    expect(version).toBe(2);
    const ids = result.kind === 'notan' ? result.regions.map((r) => r.id) : [];
    expect(new Set(ids).size).toBe(regions.length);
  }
});

test('a letter that was sent stands word for word', async () => {
  const sent = (await opened.db.select().from(critiques)).filter((c) => c.sentAt !== null);
  expect(sent.length).toBeGreaterThan(5);
  for (const { attemptId, letter } of sent)
    expect(letter?.items.map(({ original, ...edit }) => ({ original: keyless(original), ...edit }))).toEqual(
      itemsOf(attemptId).map(({ original, say, action, dropped }) => ({ original, say, action, dropped })),
    );
});

test('a draft says of the same things, weighs them the same, and keeps every edit and drop', () => {
  const drafts = [...views.values()].filter((v) => v.critique && v.critique.sentAt === null);
  expect(drafts.length).toBeGreaterThan(10);
  for (const view of drafts) {
    const was = itemsOf(view.id);
    const facts = ({ code, kind, weight, evidence }: Omit<Finding, 'key'>) => ({ code, kind, weight, evidence });
    // What was mended since a try before is said besides by now.
    const told = view.critique?.items.filter((i) => i.original.code !== CURED);
    expect(told?.map((i) => facts(i.original))).toEqual(was.map((i) => facts(i.original)));
    expect(told?.map(({ say, dropped }) => ({ say, dropped }))).toEqual(
      was.map(({ say, dropped }) => ({ say, dropped })),
    );
  }
});

test('decisions and states are what they were', async () => {
  const { db } = opened;
  expect(
    await db.select({ id: decisions.id, verdict: decisions.verdict }).from(decisions).orderBy(decisions.id),
  ).toEqual(before.decided);
  expect(await db.select({ id: handIns.id, state: handIns.state }).from(handIns).orderBy(handIns.id)).toEqual(
    before.states,
  );
});
