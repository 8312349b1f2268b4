/** Actions of the build, and how they are asked without a page: the arguments as JSON, to a page that has them. */
import { readFileSync } from 'node:fs';
import { z } from 'zod';

export interface Action {
  readonly id: string;
  readonly name: string;
  /** A page that has it, as the build names it. */
  readonly page: string;
}

const manifest = z.object({
  node: z.record(z.string(), z.object({ exportedName: z.string(), workers: z.record(z.string(), z.unknown()) })),
});

export const actionsOfBuild = (): readonly Action[] =>
  Object.entries(
    manifest.parse(JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8'))).node,
  ).map(([id, { exportedName, workers }]) => ({ id, name: exportedName, page: `/${Object.keys(workers)[0] ?? ''}` }));

/** The action of that name. Throws RangeError where the build has none. */
export function actionCalled(name: string): Action {
  const found = actionsOfBuild().find((action) => action.name === name);
  if (!found) throw new RangeError(`The build has no action called ${name}.`);
  return found;
}

/** A request that asks an action. */
export const asking = ({ id }: Action, args: readonly unknown[]): RequestInit => ({
  method: 'POST',
  headers: { 'Next-Action': id, 'Content-Type': 'text/plain;charset=UTF-8', Accept: 'text/x-component' },
  body: JSON.stringify(args),
});
