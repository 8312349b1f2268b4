/** A thin film of paint over what was painted, by the same model that mixes are worked out with. */
import { filmRgb } from '../mixing/paint-model';
import type { Change } from './layer';
import { forEachIn } from './light';
import type { Grid, Weights } from './mask';

type Glaze = Extract<Change, { kind: 'glaze' }>;

/** Reflectances below that a film is worked out for; between them a straight line is within 0.1 L*. */
const GROUNDS = 1024;

/** Lays a glaze over a shape. Changes `picture`, which must be in the true reflectances of the paint. */
export function layGlaze(picture: Float32Array, grid: Grid, weights: Weights, { model, mm, surface }: Glaze): void {
  // Closer together where it is dark: an eye sees small steps there.
  const films = Array.from({ length: GROUNDS + 1 }, (_, k) => {
    const ground = (k / GROUNDS) ** 2;
    return filmRgb(model, mm, [ground, ground, ground], surface);
  });
  const table = [0, 1, 2].map((c) => Float32Array.from(films, (film) => film[c] as number));
  forEachIn(weights, grid, (p, weight) => {
    for (let c = 0; c < 3; c++) {
      const ground = Math.min(1, Math.max(0, picture[p + c] as number));
      const at = Math.sqrt(ground) * GROUNDS;
      const k = Math.min(GROUNDS - 1, Math.floor(at));
      const own = table[c] as Float32Array;
      const film = (own[k] as number) + (at - k) * ((own[k + 1] as number) - (own[k] as number));
      picture[p + c] = (1 - weight) * ground + weight * film;
    }
  });
}
