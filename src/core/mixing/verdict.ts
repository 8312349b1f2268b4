/** What a dab says of its mix: right, right but laid too thin, or another mix than was meant. */
import { ciede2000 } from '../colour/ciede2000';
import { linearRgbToLab } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { coveringLab, filmRgb, type PaintModel } from './paint-model';
import type { SurfaceId } from './surface';

export type DabVerdict = 'right' | 'too-thin' | 'too-thin-or-wrong' | 'wrong-mix';

/** A reading this near (CIEDE2000) to what was foretold is the same. */
const SAME = 2;
/** Beside its own film curve, a reading of one grey on white paper can as well be a lighter grey: the curve must leave the row of greys by this to tell. */
const TELLS_APART = 3;

/** Film thicknesses tried, mm. */
const FILMS = Array.from({ length: 60 }, (_, i) => 0.002 * 1.1 ** i);

/**
 * Compares a dab with the mix that was meant: on the curve of its films over the ground it is too thin. `neighbours`
 * are what other mixes of the same paints look like, covering: where one of them fits as well, thin and wrong can't be
 * told apart from the reading alone.
 */
export function dabVerdict(
  read: Triple,
  meant: PaintModel,
  ground: Triple,
  neighbours: readonly Triple[],
  surface: SurfaceId,
): DabVerdict {
  const covering = coveringLab(meant, surface);
  if (ciede2000(read, covering) <= SAME) return 'right';
  const films = FILMS.map((mm) => linearRgbToLab(filmRgb(meant, mm, ground, surface))).filter(
    (lab) => ciede2000(lab, covering) > SAME,
  );
  const toFilm = Math.min(Infinity, ...films.map((lab) => ciede2000(read, lab)));
  if (toFilm > SAME) return 'wrong-mix';
  const toOther = Math.min(Infinity, ...neighbours.map((lab) => ciede2000(read, lab)));
  return toOther < TELLS_APART ? 'too-thin-or-wrong' : 'too-thin';
}
