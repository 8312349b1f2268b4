/** Rules of form broken one by one and in pairs, in paintings of scenes that are known exactly: what is told of them. */
import { USABLE } from '@/devices/condition-names';
import { type Found, row, rowOfFound } from '../tally';
import { openFormTrials } from '../trials';
import type { FormOutcome, FormTrial } from './form-trial';
import { FORM_FAULTS, type FormFault, goTogether } from './form-scenes';

export const FORM_LIMIT = { recall: 0.9, precision: 0.95 } as const;

/** What else is truly broken where one of these was, of the same object. */
const FOLLOWS: Partial<Record<FormFault, readonly FormFault[]>> = {
  separation: ['not_joined', 'reflected_light', 'counterchange'],
  reflected_light: ['not_joined', 'separation'],
  not_joined: ['cast_not_lightening'],
  cast_not_lightening: ['black_hole'],
  cast_edge_hard: ['edges_alike'],
  black_hole: ['not_joined', 'cast_not_lightening'],
  counterchange: ['separation', 'reflected_light'],
  outside_steps: ['separation', 'counterchange', 'reflected_light', 'not_joined', 'step_unused'],
  step_unused: ['highlight_order'],
  highlight_order: ['step_unused'],
  edges_alike: ['cast_edge_hard'],
};

/** What was shifted so far that it may lie outside the steps it had. */
const SHIFTS: readonly FormFault[] = FORM_FAULTS.filter((f) => f !== 'cast_edge_hard' && f !== 'edges_alike');

type Broken = FormOutcome['broken'][number];
type Told = FormOutcome['told'][number];

const same = (a: Broken, b: Told) =>
  a.code === b.code && (a.object === null || b.object === null || a.object === b.object);
const follows = (a: Broken, b: Told) =>
  ((FOLLOWS[a.code] ?? []).includes(b.code) || (b.code === 'outside_steps' && SHIFTS.includes(a.code))) &&
  (a.object === null || b.object === null || a.object === b.object);

/** Trials: each rule alone, in pairs, none, and all that the reference breaks itself. */
function asked(seed: number, each: number, megapixels: number): FormTrial[] {
  const plain = (k: number, faults: readonly FormFault[], asReference = false): FormTrial => ({
    seed: seed + k,
    camera: USABLE[k % USABLE.length] ?? 'studio',
    way: k % 3 === 1 ? 'brackets' : 'sheet',
    megapixels,
    faults,
    asReference,
  });
  const alone = FORM_FAULTS.flatMap((fault, f) => Array.from({ length: each }, (_, k) => plain(100 * f + k, [fault])));
  const pairs = FORM_FAULTS.flatMap((fault, f) =>
    Array.from({ length: Math.ceil(each / 2) }, (_, k) => {
      const other = FORM_FAULTS[(f + 3 + 2 * k) % FORM_FAULTS.length] as FormFault;
      return goTogether(fault, other) ? [plain(3000 + 100 * f + k, [fault, other])] : [];
    }).flat(),
  );
  const faithful = Array.from({ length: 2 * each }, (_, k) => plain(6000 + k, []));
  const own = FORM_FAULTS.flatMap((fault, f) =>
    Array.from({ length: Math.ceil(each / 4) }, (_, k) => plain(8000 + 100 * f + k, [fault], true)),
  );
  return [...alone, ...pairs, ...faithful, ...own];
}

/** Returns whether rules are told as promised. */
export async function benchForm(seed: number, each: number, megapixels: number): Promise<boolean> {
  const trials = openFormTrials();
  const outcomes = (await trials.run(asked(seed, each, megapixels))).filter((o) => o.accepted);
  await trials.close();
  console.log(`\n${outcomes.length} paintings of scenes with rules of form broken, ${megapixels} megapixels`);
  row('', 'planted', 'said', 'recall', 'precision');
  const all: Found = { planted: 0, found: 0, said: 0, right: 0 };
  let good = true;
  for (const code of FORM_FAULTS) {
    const of: Found = { planted: 0, found: 0, said: 0, right: 0 };
    for (const { broken, told, trial } of outcomes) {
      const wanted = trial.asReference ? [] : broken;
      for (const b of wanted.filter((w) => w.code === code)) {
        of.planted++;
        if (told.some((t) => same(b, t) || (code === 'cast_not_lightening' && follows(b, t)))) of.found++;
      }
      for (const t of told.filter((x) => x.code === code)) {
        of.said++;
        if (wanted.some((b) => same(b, t) || follows(b, t))) of.right++;
      }
    }
    for (const key of ['planted', 'found', 'said', 'right'] as const) all[key] += of[key];
    good = rowOfFound(code, of, FORM_LIMIT) && good;
  }
  good = rowOfFound('all of them', all, FORM_LIMIT) && good;
  const [faithful, own] = [
    outcomes.filter((o) => o.trial.faults.length === 0),
    outcomes.filter((o) => o.trial.asReference),
  ];
  const said = (of: readonly FormOutcome[]) => of.reduce((s, o) => s + o.told.length, 0);
  console.log(
    `faithful: ${said(faithful)} told of ${faithful.length}; where the reference breaks it: ${said(own)} of ${own.length}`,
  );
  return good;
}
