'use client';
/** The paints on the palette; a click on the list puts one on or takes it off. */
import { PAINT_IDS, type PaintId, PAINTS } from '@/core/exercise/paints';
import { Popover } from 'radix-ui';

interface Props {
  readonly paints: readonly PaintId[];
  readonly busy: boolean;
  readonly choose: (paints: readonly PaintId[]) => void;
  readonly colour: (paint: PaintId) => string;
}

const FAMILIES = [
  ['white', 'Whites'],
  ['black', 'Blacks'],
  ['earth', 'Earths'],
  ['hue', 'Colours'],
] as const;

export function PaintPicker({ paints, busy, choose, colour }: Props) {
  const put = (id: PaintId) => choose(paints.includes(id) ? paints.filter((p) => p !== id) : [...paints, id]);
  return (
    <div className="flex items-center gap-2 self-center">
      <ul className="flex flex-wrap gap-1" aria-label="Paints on the palette">
        {paints.map((p) => (
          <li key={p} title={PAINTS[p].name}>
            <span className="block h-8 w-6 border border-l50" style={{ background: colour(p) }} />
            <span className="sr-only">{PAINTS[p].name}</span>
          </li>
        ))}
      </ul>
      <Popover.Root>
        <Popover.Trigger className="calm" aria-busy={busy}>
          Choose paints
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            className="z-20 grid w-96 grid-cols-2 gap-3 rounded-sm border border-l37 bg-l97 p-3"
            sideOffset={6}
            align="start"
            aria-label="Choose paints"
          >
            {FAMILIES.map(([family, name]) => (
              <fieldset key={family}>
                <legend className="label">{name}</legend>
                {PAINT_IDS.filter((p) => PAINTS[p].family === family).map((p) => (
                  <label key={p} className="flex items-center gap-2 text-13">
                    <input
                      type="checkbox"
                      className="accent-ink"
                      checked={paints.includes(p)}
                      onChange={() => put(p)}
                    />
                    {PAINTS[p].name}
                    {PAINTS[p].hazard ? ' ⚠' : ''}
                  </label>
                ))}
              </fieldset>
            ))}
            <p className="quiet col-span-2">
              ⚠ marks toxic pigment: read its label and data sheet, and your school’s rules, before it is used.
            </p>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}
