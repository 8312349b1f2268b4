import type { MeetingRule } from '@/core/planning/meetings';
import { classOf } from '@/studio/access/actor';
import { KEEP_DAYS } from '@/studio/class/keeping';
import { studentsOf } from '@/studio/class/people';
import { studentsElsewhere } from '@/studio/class/several';
import { type Sharing, sharingOf } from '@/studio/staff/sharing';
import { CardPanel } from '@/ui/ledger/CardPanel';
import { ClassSettings } from '@/ui/ledger/ClassSettings';
import { DeleteClass } from '@/ui/ledger/DeleteClass';
import { EnrolToo } from '@/ui/ledger/EnrolToo';
import { LedgerForm } from '@/ui/ledger/LedgerForm';
import { MeetingForm } from '@/ui/ledger/MeetingForm';
import { keptInCopies } from '@/studio/forgetting';
import { Roster } from '@/ui/ledger/Roster';
import { StudentRow } from '@/ui/ledger/StudentRow';
import { SharedWith } from '@/ui/staff/SharedWith';
import { PageHead } from '@/ui/parts/PageHead';
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
import { enrolToo, shareWith, unshareWith } from '../staff-actions';

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

/** A class as somebody sees it who drafts for it. */
function AsDrafted({
  name,
  people,
  sharing,
}: {
  name: string;
  people: readonly { readonly id: string; readonly number: number; readonly name: string }[];
  sharing: Sharing;
}) {
  return (
    <section className="panel m-4">
      <h1 className="mb-3 text-24 font-semibold">{name}</h1>
      <p className="mb-3">{sharing.owner} teaches this class; you look at what is handed in, and draft.</p>
      <ol className="grid gap-1">
        {people.map((p) => (
          <li key={p.id}>
            {p.number}. {p.name}
          </li>
        ))}
      </ol>
    </section>
  );
}

export default async function ClassLedger({ params }: { params: Promise<{ classId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const group = await orNotFound(classOf(house, teacher, classId));
  const people = await studentsOf(house, teacher, classId);
  const sharing = await sharingOf(house, teacher, classId);
  if (teacher.standing === 'assistant') return <AsDrafted name={group.name} people={people} sharing={sharing} />;
  const elsewhere = await studentsElsewhere(house, teacher, classId);
  const closings = await house.door.closings({ class: group.code });
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_22rem]">
      <section className="panel self-start">
        <PageHead title={group.name}>
          {sharing.isOwn && (
            <a href={`/archive/${classId}`} className="calm">
              Take the class out
            </a>
          )}
          <Link href={`/ledger/${classId}/seen`} className="calm">
            Who saw what
          </Link>
          <Link href={`/ledger/${classId}/post`} className="calm">
            Post
          </Link>
          <Link href={`/ledger/${classId}/grades`} className="calm">
            Grades
          </Link>
          <a href={`/results/${classId}/results`} className="calm">
            Results as CSV
          </a>
          <Link href={`/ledger/${classId}/record`} className="calm">
            The record
          </Link>
        </PageHead>
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
                  page={`/ledger/${classId}/student/${s.id}`}
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
          <EnrolToo others={elsewhere} enrol={enrolToo.bind(null, classId)} />
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
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">Who teaches it</h2>
          <SharedWith
            sharing={sharing}
            share={shareWith.bind(null, classId)}
            unshare={unshareWith.bind(null, classId)}
          />
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
