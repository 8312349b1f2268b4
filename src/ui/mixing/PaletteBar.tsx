'use client';
/** Whose palette it is and in which paint, the paints on it, and the files that it goes out as. */
import { MEDIA, MEDIUM_IDS, type MediumId } from '@/core/exercise/media';
import type { PaintId } from '@/core/exercise/paints';
import { useRouter } from 'next/navigation';
import { Choice } from '../parts/fields';
import { PaintPicker } from './PaintPicker';

interface Props {
  readonly classes: readonly { readonly id: string; readonly name: string }[];
  readonly classId: string;
  readonly medium: MediumId;
  readonly paints: readonly PaintId[];
  readonly busy: boolean;
  readonly choose: (paints: readonly PaintId[]) => void;
  readonly colour: (paint: PaintId) => string;
}

export function PaletteBar({ classes, classId, medium, paints, busy, choose, colour }: Props) {
  const router = useRouter();
  const go = (id: string, to: MediumId) => router.push(`/palette?class=${id}&medium=${to}`);
  return (
    <div className="panel flex flex-wrap items-end gap-3 py-2">
      <h1 className="self-center text-24 font-semibold">Palette</h1>
      <Choice
        label="Class"
        value={classId}
        options={classes.map((c) => [c.id, c.name] as const)}
        onChange={(id) => go(id, medium)}
      />
      <Choice
        label="Paint"
        value={medium}
        options={MEDIUM_IDS.map((m) => [m, MEDIA[m].name] as const)}
        onChange={(m) => go(classId, m)}
      />
      <PaintPicker paints={paints} busy={busy} choose={choose} colour={colour} />
      <div className="ml-auto flex flex-wrap gap-3 self-center text-13">
        <a className="underline" href={`/palette/file/${classId}/${medium}?as=gpl`}>
          Swatches (GPL)
        </a>
        <a className="underline" href={`/palette/file/${classId}/${medium}?as=csv`}>
          Figures (CSV)
        </a>
        <a className="underline" href={`/palette/files?class=${classId}&medium=${medium}`}>
          Bring in a file
        </a>
        <a className="underline" href="/palette/cupboard">
          Cupboard and finders
        </a>
      </div>
    </div>
  );
}
