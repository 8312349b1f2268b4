import { classOf } from '@/studio/actor';
import { studentsOf } from '@/studio/people';
import { LedgerForm } from '@/ui/LedgerForm';
import { StudentRow } from '@/ui/StudentRow';
import { orNotFound, teacherOnly } from '../../../access';
import { enrol, newCode, removeStudent } from '../actions';

export default async function ClassLedger({ params }: { params: Promise<{ classId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const group = await orNotFound(classOf(house, teacher, classId));
  const people = await studentsOf(house, teacher, classId);
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_22rem]">
      <section className="panel self-start">
        <h1 className="text-24 font-semibold">{group.name}</h1>
        <p className="mb-3">
          Class code <strong>{group.code}</strong>. Students sign in with it and with their own code.
        </p>
        {people.length === 0 ? (
          <p>No students yet: add them beside, by the name they like to be called.</p>
        ) : (
          <table className="w-full">
            <tbody>
              {people.map((s) => (
                <StudentRow key={s.id} id={s.id} number={s.number} name={s.name} newCode={newCode} remove={removeStudent} />
              ))}
            </tbody>
          </table>
        )}
      </section>
      <section className="panel self-start">
        <h2 className="mb-3 text-18 font-semibold">Add a student</h2>
        <LedgerForm button="Add" label="Display name" send={enrol.bind(null, classId)} />
        <p className="quiet mt-3">A display name is all that is asked for: no e-mail, no birthday.</p>
      </section>
    </div>
  );
}
