import { zoneOf } from '@/core/planning/meetings';
import { classesOf } from '@/studio/class/people';
import { trayOf } from '@/studio/hand-in/pile';
import { rackOf } from '@/studio/views/rack';
import { sayDay } from '@/ui/parts/dates';
import { PileDrop } from '@/ui/rack/PileDrop';
import { RackBoard } from '@/ui/rack/RackBoard';
import { RackKey } from '@/ui/rack/RackKey';
import { RackTable } from '@/ui/rack/RackTable';
import { rowsOf } from '@/ui/rack/rows-of';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../access';
import { allowTime, discardPicture, givePicture } from '../actions';

interface Props {
  readonly params: Promise<{ classId: string }>;
  readonly searchParams: Promise<{ exercise?: string }>;
}

export default async function Rack({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const asked = (await searchParams).exercise;
  const [rack, groups, waiting] = await Promise.all([
    orNotFound(rackOf(house, teacher, classId, asked)),
    classesOf(house, teacher),
    orNotFound(trayOf(house, teacher, classId)),
  ]);
  const { exercises, students, open } = rack;
  const others = exercises.filter((e) => e.id !== open?.id).map(({ id, title }) => ({ id, title }));
  const due = open?.dueAt ? sayDay(open.dueAt, zoneOf(rack.class.meetings)) : '';
  return (
    <div className="p-4">
      <RackBoard
        items={waiting}
        students={students.map((s) => ({ id: s.id, name: s.name }))}
        exercises={exercises.map((e) => ({ id: e.id, title: e.title }))}
        give={givePicture.bind(null, classId)}
        discard={discardPicture.bind(null, classId)}
      >
        <section className="panel" aria-labelledby="rack">
          <div className="mb-3 flex flex-wrap items-center gap-3">
            <h1 id="rack" className="text-24 font-semibold">
              {rack.class.name}
            </h1>
            {groups
              .filter((g) => g.id !== classId)
              .map((g) => (
                <Link key={g.id} href={`/rack/${g.id}`} className="rounded-sm px-2 py-1 hover:bg-l80">
                  {g.name}
                </Link>
              ))}
          </div>
          {students.length === 0 && (
            <p>
              No students yet.{' '}
              <Link href={`/ledger/${classId}`} className="underline">
                Add them in the Ledger.
              </Link>
            </p>
          )}
          {students.length > 0 && !open && (
            <p>
              Nothing is set for this class.{' '}
              <Link href="/plan/new" className="underline">
                Set an exercise.
              </Link>
            </p>
          )}
          {students.length > 0 && open && (
            <>
              <RackTable
                key={open.id}
                classId={classId}
                open={{ id: open.id, title: open.title, due }}
                others={others}
                rows={rowsOf(rack)}
                allow={allowTime}
              />
              {others.length > 0 && (
                <nav aria-label="Exercises of this class" className="mt-3 flex flex-wrap gap-x-4 gap-y-1 text-13">
                  {others.map((e, i) => (
                    <Link
                      key={e.id}
                      href={`/rack/${classId}?exercise=${e.id}`}
                      className="min-h-7 rounded-sm px-1 hover:bg-l80"
                    >
                      <span className="font-semibold">{i + 1}</span> {e.title}
                    </Link>
                  ))}
                </nav>
              )}
              <RackKey />
            </>
          )}
        </section>
        {students.length > 0 && open && <PileDrop classId={classId} />}
      </RackBoard>
    </div>
  );
}
