/** What a class has in common, as it is printed: without names unless they are wanted. */
import type { PaperId } from '@/core/sheet/paper';
import { attempts } from '@/data/schema/tables';
import type { GroupOrder, PrintJob } from '@/workers/printing/job';
import { inArray } from 'drizzle-orm';
import type { Teacher } from '../access/actor';
import type { House } from '../house';
import { exerciseInCommon, type Shown } from '../views/in-common';

type Ordered = GroupOrder['things'][number]['shown'][number];

const HEADINGS = { works: 'What works', fix: 'To look at together' } as const;

export async function groupToPrint(
  house: House,
  teacher: Teacher,
  exerciseId: string,
  { paper, names }: { readonly paper: PaperId; readonly names: boolean },
): Promise<PrintJob> {
  const { exercise, class: own, things } = await exerciseInCommon(house, teacher, exerciseId);
  const ids = things.flatMap((t) => t.shown.map((s) => s.glance.attemptId ?? ''));
  const rows = await house.db
    .select({ id: attempts.id, strip: attempts.stripHash, preview: attempts.previewHash })
    .from(attempts)
    .where(inArray(attempts.id, [...ids, '']));
  const fileOf = async (attemptId: string): Promise<string | null> => {
    const row = rows.find((r) => r.id === attemptId);
    const hash = row?.strip ?? row?.preview ?? null;
    return hash === null ? null : house.files.local(hash);
  };
  const shownOf = async ({ glance, student }: Shown): Promise<Ordered[]> => {
    const name = names ? student : '';
    if (glance.steps.length > 0) return [{ kind: 'cells', name, cells: glance.steps }];
    const file = await fileOf(glance.attemptId ?? '');
    return file === null ? [] : [{ kind: 'file', name, file }];
  };
  const ordered: GroupOrder['things'][number][] = [];
  for (const { kind, say, shown } of things) {
    const all: Ordered[] = [];
    for (const one of shown) all.push(...(await shownOf(one)));
    ordered.push({ heading: HEADINGS[kind], say, shown: all });
  }
  return { kind: 'group', group: { paper, title: exercise.title, className: own.name, things: ordered } };
}
