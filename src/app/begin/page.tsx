import { isNewHouse } from '@/studio/class/people';
import { theHouse } from '@/studio/house';
import { DoorForm } from '@/ui/parts/DoorForm';
import { redirect } from 'next/navigation';
import { begin } from '../sign-in-actions';

export const dynamic = 'force-dynamic';

export default async function Begin() {
  if (!(await isNewHouse(await theHouse()))) redirect('/sign-in');
  return (
    <main className="mx-auto mt-16 max-w-md px-4">
      <div className="panel">
        <h1 className="mb-1 text-24 font-semibold">Open the studio</h1>
        <p className="mb-4">You are the first here. Say who teaches; after this, this page closes for good.</p>
        <DoorForm
          action={begin}
          button="Open the studio"
          fields={[
            { name: 'name', label: 'Your name', autoComplete: 'name' },
            { name: 'email', label: 'E-mail', type: 'email', autoComplete: 'username' },
            {
              name: 'password',
              label: 'Password',
              type: 'password',
              hint: 'At least 8 characters.',
              autoComplete: 'new-password',
            },
          ]}
        />
      </div>
    </main>
  );
}
