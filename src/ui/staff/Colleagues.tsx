'use client';
/** Who teaches here; whoever looks after the studio invites more, says what each may do, and helps who lost a password. */
import { useState } from 'react';
import type { Answer } from '../parts/answer';
import { Choice } from '../parts/fields';
import { Trouble, useAsking } from '../parts/use-asking';
import { type Colleague, type Standing, STANDING_CHOICES, STANDING_WORDS } from './standing-words';

interface Props {
  readonly own: { readonly name: string; readonly standing: Standing };
  readonly colleagues: readonly Colleague[];
  readonly days: number;
  readonly invite: (standing: Standing) => Promise<Answer<unknown, string>>;
  readonly letBe: (id: string, standing: Standing) => Promise<Answer<unknown, void>>;
  readonly newPassword: (id: string) => Promise<Answer<unknown, string>>;
}

function ColleagueRow({
  colleague,
  letBe,
  newPassword,
}: { colleague: Colleague } & Pick<Props, 'letBe' | 'newPassword'>) {
  const [password, setPassword] = useState('');
  const [isSure, setIsSure] = useState(false);
  const { busy, trouble, ask } = useAsking();
  const put = (standing: Standing) => ask(() => letBe(colleague.id, standing));
  const reset = () => {
    setIsSure(false);
    ask(() => newPassword(colleague.id), setPassword);
  };
  return (
    <li className="grid gap-2">
      <fieldset disabled={busy} className="grid gap-2">
        <Choice label={colleague.name} value={colleague.standing} options={STANDING_CHOICES} onChange={put} />
        {isSure ? (
          <p className="flex flex-wrap items-center gap-2">
            <span>The old one and their second step end.</span>
            <button type="button" className="calm" onClick={reset}>
              Give a new password
            </button>
            <button type="button" className="calm" onClick={() => setIsSure(false)}>
              No
            </button>
          </p>
        ) : (
          <button type="button" className="calm justify-self-start" onClick={() => setIsSure(true)}>
            They lost their password
          </button>
        )}
      </fieldset>
      {password && (
        <p role="status">
          Tell {colleague.name}: <strong className="tracking-wide">{password}</strong>. It is not shown again; they
          choose another one under their name.
        </p>
      )}
      <Trouble say={trouble} />
    </li>
  );
}

function Invitation({ days, invite }: Pick<Props, 'days' | 'invite'>) {
  const [standing, setStanding] = useState<Standing>('teacher');
  const [code, setCode] = useState('');
  const { busy, trouble, ask } = useAsking();
  if (code)
    return (
      <p role="status">
        Give them this code: <strong className="tracking-widest">{code}</strong>. They open the page to sign in and
        choose “I have an invitation”. It serves once, within {days} days, and is not shown again.
      </p>
    );
  return (
    <div className="grid gap-2">
      <Choice label="Whoever comes next" value={standing} options={STANDING_CHOICES} onChange={setStanding} />
      <button
        type="button"
        className="calm justify-self-start"
        disabled={busy}
        onClick={() => ask(() => invite(standing), setCode)}
      >
        Invite a teacher
      </button>
      <Trouble say={trouble} />
    </div>
  );
}

export function Colleagues({ own, colleagues, days, invite, letBe, newPassword }: Props) {
  const looksAfter = own.standing === 'owner';
  return (
    <section className="panel self-start" aria-labelledby="colleagues">
      <h2 id="colleagues" className="mb-3 text-18 font-semibold">
        Who teaches here
      </h2>
      <ul className="mb-4 grid gap-3">
        <li>
          {own.name} (you): {STANDING_WORDS[own.standing]}
        </li>
        {colleagues.map((colleague) =>
          looksAfter ? (
            <ColleagueRow key={colleague.id} colleague={colleague} letBe={letBe} newPassword={newPassword} />
          ) : (
            <li key={colleague.id}>
              {colleague.name}: {STANDING_WORDS[colleague.standing]}
            </li>
          ),
        )}
      </ul>
      {looksAfter && <Invitation days={days} invite={invite} />}
    </section>
  );
}
