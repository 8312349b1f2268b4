/** Paintings from life in two states: how near their masses, edges and changes are told to what was painted. */
import { USABLE } from '@/devices/condition-names';
import { quantile, row } from '../tally';
import { openStatesTrials } from '../trials';

export const STATES_LIMIT = { mass: 1.5, edge: 0.25, range: 2, thirds: 2, crowding: 4 } as const;

/** Returns whether every promise is kept, of 95 in 100. */
export async function benchStates(seed: number, each: number, megapixels: number): Promise<boolean> {
  const trials = openStatesTrials();
  const outcomes = await trials.run(
    Array.from({ length: each }, (_, k) => ({
      ...{ seed: seed + k, camera: USABLE[k % USABLE.length] ?? 'studio', megapixels },
      way: k % 3 === 1 ? ('brackets' as const) : ('sheet' as const),
    })),
  );
  await trials.close();
  const read = outcomes.filter((o) => o.accepted);
  console.log(`\n${read.length} of ${outcomes.length} paintings from life in two states, ${megapixels} megapixels`);
  const off = (of: (o: (typeof read)[number]) => readonly number[]) => read.flatMap(of).map(Math.abs);
  const masses = off((o) => o.masses);
  const edges = read.flatMap((o) => o.edges);
  const seen = edges.filter((e) => !Number.isNaN(e.ratio)).map((e) => Math.abs(e.ratio - 1));
  const range = off((o) => (o.rescue ? [o.rescue.range] : []));
  const crowding = off((o) => (o.rescue ? [o.rescue.crowding] : []));
  const thirds = off((o) => (o.rescue ? [o.rescue.thirds] : []));
  const repainted = off((o) => (o.rescue ? [o.rescue.repainted] : []));
  row('', 'median', '95 %', 'limit');
  const told = (name: string, values: readonly number[], limit: number | null) =>
    row(name, quantile(values, 0.5), quantile(values, 0.95), limit ?? '');
  told('masses, L*', masses, STATES_LIMIT.mass);
  told('edges, share of their width', seen, STATES_LIMIT.edge);
  told('range, L*', range, STATES_LIMIT.range);
  told('ends of the middle third, L*', thirds, STATES_LIMIT.thirds);
  told('share in the middle third, of a hundred', crowding, STATES_LIMIT.crowding);
  told('painted over, share', repainted, null);
  console.log(`edges told: ${seen.length} of ${edges.length}`);
  return (
    quantile(masses, 0.95) <= STATES_LIMIT.mass &&
    quantile(seen, 0.95) <= STATES_LIMIT.edge &&
    quantile(range, 0.95) <= STATES_LIMIT.range &&
    quantile(thirds, 0.95) <= STATES_LIMIT.thirds &&
    quantile(crowding, 0.95) <= STATES_LIMIT.crowding
  );
}
