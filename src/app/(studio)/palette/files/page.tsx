import { MEDIA, MEDIUM_IDS } from '@/core/exercise/media';
import { NotFound } from '@/studio/access/actor';
import { classesOf } from '@/studio/class/people';
import { SwatchReader } from '@/ui/mixing/SwatchReader';
import { FileReaderButton } from '@/ui/parts/FileReaderButton';
import { z } from 'zod';
import { orNotFound, teacherOnly } from '../../../access';
import { bringInFigures, bringInSwatches } from '../actions';

const querySchema = z.object({ class: z.string().max(40).catch(''), medium: z.enum(MEDIUM_IDS).catch('gouache') });

export default async function PaletteFiles({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { house, teacher } = await teacherOnly();
  const query = querySchema.parse(await searchParams);
  const groups = await classesOf(house, teacher);
  const own = await orNotFound(
    Promise.resolve(groups.find((g) => g.id === query.class)).then((g) => g ?? Promise.reject(new NotFound())),
  );
  const at = [own.id, query.medium] as const;
  return (
    <div className="grid max-w-4xl gap-4 p-4">
      <section className="panel grid justify-items-start gap-2">
        <h1 className="text-24 font-semibold">
          Files for {own.name}, {MEDIA[query.medium].name}
        </h1>
        <p>
          Figures of paints: a CSV with the columns paint, lightness, a, b, tinting. It is read whole or not at all, and
          its paints become the palette.
        </p>
        <FileReaderButton label="Read figures (CSV)" send={bringInFigures.bind(null, ...at)} />
        <a className="underline" href={`/palette?class=${own.id}&medium=${query.medium}`}>
          Back to the palette
        </a>
      </section>
      <section className="panel grid justify-items-start gap-2" aria-labelledby="swatches">
        <h2 id="swatches" className="text-18 font-semibold">
          Colours to reach
        </h2>
        <p>
          A palette of swatches (GPL, up to 256 colours): for each, the mix of this class’s paints that comes nearest.
        </p>
        <SwatchReader send={bringInSwatches.bind(null, ...at)} />
      </section>
    </div>
  );
}
