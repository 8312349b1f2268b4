import { ownAccount } from '@/studio/staff/own-account';
import { sayMoment } from '@/ui/parts/dates';
import { PasswordForm } from '@/ui/staff/PasswordForm';
import { SecondStepForm } from '@/ui/staff/SecondStepForm';
import { teacherOnly, whoCalls } from '../../access';
import { beginSecond, changeOwnPassword, confirmSecond, endSecond, leaveEverywhere } from './actions';

/** How somebody signs in: their password, a second step, and where they are signed in. */
export default async function You() {
  const { house, teacher } = await teacherOnly();
  const { sessions, hasSecondStep } = await ownAccount(house, teacher, await whoCalls());
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-3">
      <h1 className="text-24 font-semibold lg:col-span-3">
        <span className="panel inline-block px-4 py-2">{teacher.name}</span>
      </h1>
      <section className="panel self-start">
        <h2 className="mb-3 text-18 font-semibold">Password</h2>
        <PasswordForm change={changeOwnPassword} />
      </section>
      <section className="panel self-start">
        <h2 className="mb-3 text-18 font-semibold">A second step</h2>
        <SecondStepForm isOn={hasSecondStep} begin={beginSecond} confirm={confirmSecond} end={endSecond} />
      </section>
      <section className="panel self-start">
        <h2 className="mb-3 text-18 font-semibold">Where you are signed in</h2>
        <ul className="mb-4 grid gap-1">
          {sessions.map(({ since, until, isThis }) => (
            <li key={since.getTime()}>
              since {sayMoment(since, zone)}, until {sayMoment(until, zone)}
              {isThis && ' (here)'}
            </li>
          ))}
        </ul>
        <form action={leaveEverywhere}>
          <button className="calm">Sign out everywhere</button>
        </form>
        <p className="quiet mt-2">Here too: you sign in once more afterwards.</p>
      </section>
    </div>
  );
}
