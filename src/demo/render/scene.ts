/** What a scene is made of: things with a surface, one light, an eye. */
import type { Distance } from './distances';

export type Vector = readonly [number, number, number];

export interface Thing {
  readonly name: string;
  readonly distance: Distance;
  /** Reflectance, linear RGB; by place where it has a pattern. */
  readonly colour: Vector | ((x: number, y: number, z: number) => Vector);
  /** How much it shines, 0 matt to 1. */
  readonly gloss?: number;
  /** A ball that holds it whole, so that rays that pass far off are quick. */
  readonly within?: { readonly at: Vector; readonly r: number };
}

export interface Scene {
  readonly name: string;
  readonly title: string;
  readonly things: readonly Thing[];
  readonly eye: Vector;
  readonly at: Vector;
  /** Upright field of view, degrees. */
  readonly view: number;
  /** Width over height. */
  readonly aspect: number;
  /** Where the one light stands, how large it is, and how bright it is where it falls square on. */
  readonly light: { readonly at: Vector; readonly size: number; readonly colour: Vector };
  /** What comes from a direction in which nothing is. */
  readonly sky: (dx: number, dy: number, dz: number) => Vector;
  /** Air that takes up what is far: colour and distance over which a third is left. */
  readonly haze?: { readonly colour: Vector; readonly over: number };
  readonly exposure: number;
  /** Ways over the hemisphere at every third pixel; more where most of a picture lies in shadow. */
  readonly ways: number;
}
