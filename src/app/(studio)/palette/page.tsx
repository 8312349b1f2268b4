import { MEDIUM_IDS } from '@/core/exercise/media';
import { classesOf } from '@/studio/class/people';
import { firstAsk, paletteFor } from '@/studio/mixing/palettes';
import { MixingBench } from '@/ui/mixing/MixingBench';
import { z } from 'zod';
import { orNotFound, teacherOnly } from '../../access';
import { logged, setOnPalette, takenOut } from './actions';

const querySchema = z.object({ class: z.string().max(40).optional(), medium: z.enum(MEDIUM_IDS).catch('gouache') });

export default async function Palette({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { house, teacher } = await teacherOnly();
  const query = querySchema.parse(await searchParams);
  const groups = await classesOf(house, teacher);
  const own = groups.find((g) => g.id === query.class) ?? groups[0];
  if (!own)
    return (
      <section className="panel m-4">
        <h1 className="text-24 font-semibold">Palette</h1>
        <p>
          Paints belong to a class, since its mixes are what Fair Grey learns from.{' '}
          <a className="underline" href="/ledger">
            Make a class first
          </a>
          .
        </p>
      </section>
    );
  const palette = await orNotFound(paletteFor(house, teacher, own.id, query.medium));
  const at = [own.id, query.medium] as const;
  return (
    <MixingBench
      key={at.join(' ')}
      classes={groups.map(({ id, name }) => ({ id, name }))}
      classId={own.id}
      numbering={own.numbering}
      medium={query.medium}
      paints={palette.paints}
      figures={palette.figures}
      written={palette.written}
      fit={palette.fit}
      mixes={palette.mixes}
      firstAsk={palette.fit ? null : await firstAsk(house, palette)}
      log={logged.bind(null, ...at)}
      takeOut={takenOut.bind(null, own.id)}
      set={setOnPalette.bind(null, ...at)}
    />
  );
}
