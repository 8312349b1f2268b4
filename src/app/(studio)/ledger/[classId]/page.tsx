import type { MeetingRule } from '@/core/planning/meetings';
import { classOf } from '@/studio/access/actor';
import { KEEP_DAYS } from '@/studio/class/keeping';
import { studentsOf } from '@/studio/class/people';
import { CardPanel } from '@/ui/ledger/CardPanel';
import { ClassSettings } from '@/ui/ledger/ClassSettings';
import { DeleteClass } from '@/ui/ledger/DeleteClass';
import { LedgerForm } from '@/ui/ledger/LedgerForm';
import { MeetingForm } from '@/ui/ledger/MeetingForm';
import { keptInCopies } from '@/studio/forgetting';
import { Roster } from '@/ui/ledger/Roster';
import { StudentRow } from '@/ui/ledger/StudentRow';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../access';
import {
  bringInClassCard,
  enrol,
  enrolSome,
  forgetClassCard,
  keepMeetings,
  newCode,
  removeClass,
  removeStudent,
  setClass,
} from '../actions';

const TERM_DAYS = 84;

/** A term of Thursday evenings to begin from. */
function usualMeetings(): MeetingRule {
  const day = (ahead: number) => new Date(Date.now() + ahead * 86_400_000).toISOString().slice(0, 10);
  return {
    weekdays: [4],
    start: '18:30',
    minutes: 120,
    from: day(0),
    until: day(TERM_DAYS),
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    except: [],
  };
}

export default async function ClassLedger({ params }: { params: Promise<{ classId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const group = await orNotFound(classOf(house, teacher, classId));
  const people = await studentsOf(house, teacher, classId);
  const closings = await house.door.closings({ class: group.code });
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_22rem]">
      <section className="panel self-start">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="text-24 font-semibold">{group.name}</h1>
          <a href={`/archive/${classId}`} className="calm ml-auto">
            Take the class out
          </a>
          <Link href={`/ledger/${classId}/record`} className="calm">
            The record
          </Link>
        </div>
        <p className="mb-3">
          Class code <strong>{group.code}</strong>. Students sign in with it and with their own code.
        </p>
        {closings > 0 && (
          <p role="status" className="trouble mb-3">
            Somebody tried many wrong codes for this class since yesterday, and the door was closed to them{' '}
            {closings === 1 ? 'once' : `${closings} times`}. Whoever has come in before still can. If it goes on, give
            out new codes.
          </p>
        )}
        {people.length === 0 ? (
          <p>No students yet: add them beside, by the name they like to be called.</p>
        ) : (
          <table className="w-full">
            <tbody>
              {people.map((s) => (
                <StudentRow
                  key={s.id}
                  id={s.id}
                  number={s.number}
                  name={s.name}
                  newCode={newCode}
                  remove={removeStudent}
                  copies={keptInCopies(house.settings)}
                />
              ))}
            </tbody>
          </table>
        )}
      </section>
      <div className="grid gap-4 self-start">
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">Add a student</h2>
          <LedgerForm button="Add" label="Display name" send={enrol.bind(null, classId)} />
          <div className="mt-3">
            <Roster here={people.map((p) => p.name)} enrol={enrolSome.bind(null, classId)} />
          </div>
          <p className="quiet mt-3">A display name is all that is asked for: no e-mail, no birthday.</p>
        </section>
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">The class</h2>
          <ClassSettings
            now={{
              numbering: group.numbering,
              register: group.register,
              underSixteen: group.underSixteen,
              school: group.school,
              currency: group.currency,
              keepDays: KEEP_DAYS.find((days) => days === group.keepDays) ?? null,
              pieceLineMm: group.pieceLineMm,
            }}
            save={setClass.bind(null, classId)}
          />
        </section>
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">The printed greys</h2>
          <CardPanel
            classId={classId}
            card={group.card && { basis: group.card.basis, name: group.card.name, patches: group.card.patches.length }}
            bringIn={bringInClassCard.bind(null, classId)}
            forget={forgetClassCard.bind(null, classId)}
          />
        </section>
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">Meetings</h2>
          <MeetingForm now={group.meetings ?? usualMeetings()} save={keepMeetings.bind(null, classId)} />
        </section>
        <section className="panel" aria-label="Deleting the class">
          <DeleteClass
            name={group.name}
            copies={keptInCopies(house.settings)}
            remove={removeClass.bind(null, classId)}
          />
        </section>
      </div>
    </div>
  );
}
