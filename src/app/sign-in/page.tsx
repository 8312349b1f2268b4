import { isNewHouse } from '@/studio/class/people';
import { DoorForm } from '@/ui/parts/DoorForm';
import Link from 'next/link';
import { redirect } from 'next/navigation';
import { visitor } from '../access';
import { signInStudent, signInTeacher } from '../sign-in-actions';

export const dynamic = 'force-dynamic';

export default async function SignIn() {
  const { house, actor } = await visitor();
  if (actor) redirect(actor.role === 'teacher' ? '/' : '/my');
  if (await isNewHouse(house)) redirect('/begin');
  return (
    <main className="mx-auto mt-6 grid max-w-3xl gap-4 px-4 sm:mt-16 sm:grid-cols-2">
      <h1 className="text-24 font-semibold sm:col-span-2">
        <span className="panel inline-block px-4 py-2">Fair Grey</span>
      </h1>
      <section className="panel" aria-labelledby="student">
        <h2 id="student" className="mb-3 text-18 font-semibold">
          I paint here
        </h2>
        <DoorForm
          action={signInStudent}
          button="Come in"
          fields={[
            {
              name: 'classCode',
              label: 'Class code',
              hint: 'Six letters, the same for the whole class.',
              autoComplete: 'off',
            },
            {
              name: 'code',
              label: 'Your own code',
              hint: 'Eight letters, from the slip your teacher gave you.',
              autoComplete: 'off',
            },
          ]}
        />
      </section>
      <section className="panel" aria-labelledby="teacher">
        <h2 id="teacher" className="mb-3 text-18 font-semibold">
          I teach here
        </h2>
        <DoorForm
          action={signInTeacher}
          button="Sign in"
          fields={[
            { name: 'email', label: 'E-mail', type: 'email', autoComplete: 'username' },
            { name: 'password', label: 'Password', type: 'password', autoComplete: 'current-password' },
          ]}
          more={{
            name: 'code',
            label: 'Code of your authenticator',
            hint: 'Or one of the spare codes that you wrote down.',
            autoComplete: 'one-time-code',
          }}
        />
        <p className="mt-3">
          <Link className="underline" href="/join">
            I have an invitation
          </Link>
        </p>
      </section>
    </main>
  );
}
