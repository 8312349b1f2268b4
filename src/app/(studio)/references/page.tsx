import { zoneOf } from '@/core/planning/meetings';
import { keptInCopies } from '@/studio/forgetting';
import { referencesOf } from '@/studio/reference/references';
import { setUpsOf } from '@/studio/reference/set-ups';
import { shippedPictures } from '@/studio/reference/shipped-pictures';
import { ArchivePick } from '@/ui/parts/ArchivePick';
import { sayMoment } from '@/ui/parts/dates';
import { BringIn } from '@/ui/references/BringIn';
import Link from 'next/link';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { beginSetUp, takeShipped } from './actions';

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** How many files went with a picture that was taken away; null where none was. */
const goneSchema = z.coerce.number().int().min(0).max(9).nullable().catch(null);

export default async function References({ searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const gone = goneSchema.parse((await searchParams).gone ?? null);
  const all = await referencesOf(house, teacher);
  const setUps = await setUpsOf(house, teacher);
  const shipped = (await shippedPictures()).filter((p) => !all.some((r) => r.title === p.title));
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_20rem]">
      <section className="panel self-start">
        <h1 className="mb-3 text-24 font-semibold">References</h1>
        {gone !== null && (
          <p role="status" className="mb-3">
            Deleted on {sayMoment(new Date(), zoneOf(null))}: one picture, how it was prepared, and {gone}{' '}
            {gone === 1 ? 'file' : 'files'}. {keptInCopies(house.settings)}
          </p>
        )}
        {all.length + setUps.length === 0 && (
          <p>
            No pictures yet. Bring in one that a class is to paint from: it is then turned into greys, few tones and
            shapes here.
          </p>
        )}
        <ul className="grid grid-cols-2 gap-4 xl:grid-cols-3">
          {all.map((r) => (
            <li key={r.id}>
              <Link href={`/references/${r.id}`} className="block rounded-sm bg-l97 p-2 hover:bg-l88">
                <img src={`/reference/${r.id}/small`} alt="" className="aspect-[6/5] w-full bg-l80 object-contain" />
                <span className="mt-1 block font-semibold">{r.title}</span>
                <span className="quiet block truncate">
                  {r.source}, {r.licence}
                </span>
                <span className="quiet block">
                  {r.preparation.light.edits.length > 0 ||
                  Object.keys(r.preparation.cuts).length > 0 ||
                  r.preparation.shapes.cut
                    ? `prepared, ${r.preparation.shapes.named.length} shapes named`
                    : 'not prepared yet'}
                </span>
              </Link>
            </li>
          ))}
        </ul>
        {setUps.length > 0 && (
          <>
            <h2 className="label mt-4">Set-ups, painted from life</h2>
            <ul className="grid grid-cols-2 gap-4 xl:grid-cols-3">
              {setUps.map((s) => (
                <li key={s.id}>
                  <Link href={`/references/set-up/${s.id}`} className="block rounded-sm bg-l97 p-2 hover:bg-l88">
                    <span className="block font-semibold">{s.title}</span>
                    <span className="quiet block truncate">{s.note || 'no note'}</span>
                    <span className="quiet block">
                      {s.setUp.masses.length === 0
                        ? 'no masses named yet'
                        : `${s.setUp.masses.length} ${s.setUp.masses.length === 1 ? 'mass' : 'masses'} named`}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <section className="panel self-start" aria-labelledby="bring-in">
        <h2 id="bring-in" className="mb-2 text-18 font-semibold">
          Bring in a picture
        </h2>
        <BringIn />
        <div className="mt-3">
          <ArchivePick
            address="/bring-in/prepared"
            to="/references"
            label="A prepared picture"
            words="Bring a prepared one in"
            about="As it was taken out under Files, with its rights and how it was prepared."
          />
        </div>
        {shipped.length > 0 && (
          <details className="mt-3">
            <summary className="min-h-8 cursor-pointer">Or take one that Fair Grey has rendered</summary>
            <ul>
              {shipped.map((p) => (
                <li key={p.name}>
                  <form action={takeShipped.bind(null, p.name)}>
                    <button className="min-h-8 cursor-pointer text-left underline">{p.title}</button>
                  </form>
                </li>
              ))}
            </ul>
          </details>
        )}
        <details className="mt-3">
          <summary className="min-h-8 cursor-pointer">Or keep a set-up, painted from life</summary>
          <form action={beginSetUp} className="grid gap-3 pt-2">
            <label>
              <span className="label">What the set-up is called</span>
              <input className="field" name="title" maxLength={80} required />
            </label>
            <label>
              <span className="label">Where it stands, how it is lit</span>
              <input className="field" name="note" maxLength={500} />
            </label>
            <button className="calm">Name its masses</button>
          </form>
        </details>
      </section>
    </div>
  );
}
