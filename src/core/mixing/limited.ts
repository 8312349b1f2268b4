/** What a set of paints can reach: its values, its colours, and what goes with each paint that is left out. */
import { linearRgbToLab } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import type { PaintId } from '../exercise/paints';
import { coveringRgb, mixModel, type Palette } from './paint-model';
import type { SurfaceId } from './surface';

export interface PaletteReach {
  readonly light: number;
  readonly dark: number;
  /** Colours told apart among its mixes: cells of 10 units a side of L*a*b*. */
  readonly colours: number;
}

const CELL = 10;
/** Parts that each paint of a mix is tried in; strong paints count in small ones. */
const PARTS = [0.02, 0.06, 0.15, 0.35, 1] as const;

const cellOf = (lab: Triple): string => lab.map((v) => Math.round(v / CELL)).join(' ');

/** Mixes of one, two and three paints of the palette, as L*a*b*. */
function mixesOf(palette: Palette, surface: SurfaceId): { paints: readonly PaintId[]; lab: Triple }[] {
  const ids = [...palette.keys()];
  const out: { paints: readonly PaintId[]; lab: Triple }[] = [];
  const add = (paints: readonly PaintId[], amounts: readonly number[]) => {
    const model = mixModel(palette, Object.fromEntries(paints.map((p, i) => [p, amounts[i] ?? 0])));
    out.push({ paints, lab: linearRgbToLab(coveringRgb(model, surface)) });
  };
  ids.forEach((a, i) => {
    add([a], [1]);
    ids.slice(i + 1).forEach((b, j) => {
      for (const p of PARTS) {
        add([a, b], [1, p]);
        if (p < 1) add([a, b], [p, 1]);
      }
      for (const c of ids.slice(i + j + 2))
        for (const p of PARTS)
          for (const q of PARTS) {
            add([a, b, c], [1, p, q]);
            if (p < 1) add([a, b, c], [p, 1, q]);
            if (q < 1 && p < 1) add([a, b, c], [p, q, 1]);
          }
    });
  });
  return out;
}

function reachOfMixes(mixes: readonly { lab: Triple }[]): PaletteReach {
  const lightness = mixes.map((m) => m.lab[0]);
  return {
    light: Math.max(...lightness),
    dark: Math.min(...lightness),
    colours: new Set(mixes.map((m) => cellOf(m.lab))).size,
  };
}

export interface Loss {
  readonly without: PaintId;
  readonly reach: PaletteReach;
  /** Share of the colours that go with it, 0 to 1. */
  readonly lost: number;
}

/** The reach of a palette of 2 to 8 paints, and what is lost with each paint fewer, least first. Throws RangeError outside that. */
export function limitedReach(palette: Palette, surface: SurfaceId): { reach: PaletteReach; losses: Loss[] } {
  if (palette.size < 2 || palette.size > 8)
    throw new RangeError(`A limited palette has 2 to 8 paints, this one ${palette.size}.`);
  const mixes = mixesOf(palette, surface);
  const reach = reachOfMixes(mixes);
  const losses = [...palette.keys()].map((without): Loss => {
    const left = reachOfMixes(mixes.filter((m) => !m.paints.includes(without)));
    return { without, reach: left, lost: 1 - left.colours / reach.colours };
  });
  return { reach, losses: losses.sort((a, b) => a.lost - b.lost) };
}
