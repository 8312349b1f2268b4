import { DoorForm } from '@/ui/parts/DoorForm';
import { redirect } from 'next/navigation';
import { visitor } from '../access';
import { join } from '../sign-in-actions';

export const dynamic = 'force-dynamic';

/** Where somebody becomes a teacher of the studio by a code that another one gave them. */
export default async function Join() {
  const { actor } = await visitor();
  if (actor) redirect(actor.role === 'teacher' ? '/' : '/my');
  return (
    <main className="mx-auto mt-16 max-w-md px-4">
      <div className="panel">
        <h1 className="mb-1 text-24 font-semibold">Teach here too</h1>
        <p className="mb-4">You need the code that a teacher of this studio gave you.</p>
        <DoorForm
          action={join}
          button="Come in"
          fields={[
            { name: 'code', label: 'The code of your invitation', autoComplete: 'off' },
            { name: 'name', label: 'Your name', autoComplete: 'name' },
            { name: 'email', label: 'E-mail', type: 'email', autoComplete: 'username' },
            {
              ...{ name: 'password', label: 'Password', type: 'password', hint: 'At least 8 characters.' },
              autoComplete: 'new-password',
            },
          ]}
        />
      </div>
    </main>
  );
}
