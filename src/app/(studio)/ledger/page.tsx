import { NUMBERINGS, NUMBERING_IDS } from '@/core/exercise/numbering';
import { colleaguesOf, INVITATION_DAYS } from '@/studio/staff/colleagues';
import { classesOf } from '@/studio/class/people';
import { Colleagues } from '@/ui/staff/Colleagues';
import { LedgerForm } from '@/ui/ledger/LedgerForm';
import { ArchivePick } from '@/ui/parts/ArchivePick';
import Link from 'next/link';
import { teacherOnly } from '../../access';
import { makeClass } from './actions';
import { invite, letColleagueBe, newPasswordFor } from './staff-actions';

export default async function Ledger() {
  const { house, teacher } = await teacherOnly();
  const groups = await classesOf(house, teacher);
  const colleagues = await colleaguesOf(house, teacher);
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_22rem]">
      <section className="panel self-start">
        <div className="mb-3 flex items-center">
          <h1 className="text-24 font-semibold">Ledger</h1>
          <Link className="calm ml-auto" href="/ledger/remarks">
            Your remarks
          </Link>
        </div>
        {groups.length === 0 && (
          <p>
            {teacher.standing === 'assistant'
              ? 'Nobody has shared a class with you yet: ask whoever teaches it.'
              : 'No class yet. Make the first one beside; students are added after that.'}
          </p>
        )}
        <ul className="grid gap-2">
          {groups.map((g) => (
            <li key={g.id}>
              <Link
                href={`/ledger/${g.id}`}
                className="flex items-center justify-between rounded-sm bg-l97 p-3 hover:bg-l88"
              >
                <span className="font-semibold">{g.name}</span>
                <span className="quiet">
                  {NUMBERINGS[g.numbering]} · class code {g.code}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
      <div className="grid content-start gap-4">
        {teacher.standing !== 'assistant' && (
          <section className="panel self-start">
            <h2 className="mb-3 text-18 font-semibold">A new class</h2>
            <LedgerForm
              button="Make the class"
              label="Name of the class"
              choices={NUMBERING_IDS.map((n) => [n, NUMBERINGS[n]])}
              choiceLabel="How values are numbered"
              send={makeClass}
            />
            <div className="mt-4">
              <ArchivePick
                address="/restore"
                to="/ledger"
                label="Archive of a class"
                words="Bring a class in"
                about="From the archive of a class, as it was taken out here or in another studio. Students need new codes then."
              />
            </div>
          </section>
        )}
        <Colleagues
          own={{ name: teacher.name, standing: teacher.standing }}
          colleagues={colleagues}
          days={INVITATION_DAYS}
          invite={invite}
          letBe={letColleagueBe}
          newPassword={newPasswordFor}
        />
      </div>
    </div>
  );
}
