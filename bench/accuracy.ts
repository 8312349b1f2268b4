/**
 * The accuracy report: photographs by the simulated camera under every condition and way of framing, read with measured
 * card profiles, put into docs/accuracy.md with pictures. Every figure in it comes from this run.
 */
import { MOTIFS } from '@/core/exercise/terms';
import { CURVES, NEAR_MISSES, SPECIAL, UNUSABLE, USABLE, type CameraCondition } from '@/devices/condition-names';
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { barChart, scatterChart } from './charts';
import { LIMIT as SPEED_LIMIT, measureSpeed } from './speed';
import { quantile } from './tally';
import type { Trial, TrialOutcome, TrialReading, Way } from './trial-outcome';

type Run = (trials: readonly Trial[]) => Promise<TrialOutcome[]>;

const STEPS = [5, 7, 9, 12] as const;
const PROMISED = { dark: 18, light: 97 } as const;
export const LIMIT = {
  median: 0.15,
  most: 0.5,
  /** Of photographs as messages carry them, in megapixels and L*. */
  message: { megapixels: [1.92, 1.2288], median: 0.3, most: 1 },
  byHand: 1,
  halfWidth: 0.35,
  ab: 2,
  abOther: 3,
  relative: 2.5,
  bare: 4,
  curve: 1.5,
  alike: 1,
  pixels: 3,
  cover: [0.93, 0.97],
  refused: 1 / 50,
} as const;

const promised = (o: readonly TrialOutcome[]): TrialReading[] =>
  o.flatMap((x) => x.readings).filter((r) => r.truth >= PROMISED.dark && r.truth <= PROMISED.light);
const off = (r: TrialReading): number => Math.abs(r.read - r.truth);
const within = (readings: readonly TrialReading[]): number =>
  readings.filter((r) => off(r) <= r.uncertainty).length / readings.length;
const abs = (readings: readonly TrialReading[]): number[] =>
  readings.flatMap((r) => r.ab.map(Math.abs)).filter((v) => !Number.isNaN(v));
const n2 = (v: number): string => (Number.isFinite(v) ? v.toFixed(2) : '–');
const percent = (v: number): string => (Number.isFinite(v) ? `${(100 * v).toFixed(1)} %` : '–');

function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  return [
    `| ${head.join(' | ')} |`,
    `|${head.map(() => '---').join('|')}|`,
    ...rows.map((r) => `| ${r.join(' | ')} |`),
    '',
  ].join('\n');
}

function errorRow(name: string, outcomes: readonly TrialOutcome[]): string[] {
  const readings = promised(outcomes);
  const errors = readings.map(off);
  return [
    name,
    String(outcomes.length),
    String(outcomes.filter((o) => !o.accepted).length),
    String(readings.length),
    n2(quantile(errors, 0.5)),
    n2(quantile(errors, 0.95)),
    n2(Math.max(...errors)),
    n2(quantile(abs(readings), 0.95)),
    percent(within(readings)),
    n2(
      quantile(
        readings.map((r) => r.uncertainty),
        0.5,
      ),
    ),
  ];
}

const HEAD = [
  '',
  'photographs',
  'refused',
  'readings',
  'median L*',
  '95 % L*',
  'largest L*',
  '95 % of a*, b*',
  'in the stated interval',
  'half-width, median L*',
];

interface Part {
  readonly way: Way;
  readonly cameras: readonly CameraCondition[];
  readonly rounds: number;
  readonly more?: Partial<Trial>;
}

function trialsOf({ way, cameras, rounds, more }: Part, seed: number): Trial[] {
  return Array.from({ length: rounds }, (_, round) =>
    cameras.map((camera, k): Trial => {
      const n = round * cameras.length + k;
      return {
        steps: way === 'sheet' ? (STEPS[(round + k) % STEPS.length] ?? 9) : ([5, 7, 9][(round + k) % 3] ?? 7),
        paper: n % 2 === 0 ? 'a4' : 'letter',
        paint: way === 'sheet' && n % 3 !== 0 ? 'random' : 'fine',
        camera,
        printer: 'office',
        card: 'measured',
        way,
        seed: seed + n,
        ...more,
      };
    }),
  ).flat();
}

/** Cells painted alike, each other one, over the whole width of the sheet. */
const ALIKE = { lightness: [70, 40, 70, 40, 70, 40, 70, 40, 70], faults: [] };

/** The most that two places painted alike differ in their error, L*. */
function apart({ readings }: TrialOutcome): number {
  const groups = [0, 1].map((k) => readings.filter((r) => r.step % 2 === k).map((r) => r.read - r.truth));
  return Math.max(...groups.map((errors) => Math.max(...errors) - Math.min(...errors)));
}

/** Writes the report; returns whether every promise was kept. */
export async function benchAccuracy(run: Run, seed: number, rounds: number, megapixels: number): Promise<boolean> {
  const promises: [string, string, boolean][] = [];
  const promise = (what: string, found: string, kept: boolean) => promises.push([what, found, kept]);
  const outcomes = async (part: Part, from: number) =>
    run(trialsOf(part, seed + from).map((t) => ({ ...t, megapixels })));

  const speed = await measureSpeed(seed + 95_000);
  const sheets = await outcomes({ way: 'sheet', cameras: USABLE, rounds, more: { pixels: true } }, 0);
  const boards = await outcomes({ way: 'brackets', cameras: USABLE, rounds }, 10_000);
  const marked = await outcomes(
    { way: 'corners', cameras: USABLE, rounds, more: { printer: 'nominal', paint: 'fine' } },
    20_000,
  );
  const few = Math.max(2, Math.ceil(rounds / 3));
  const bare = await outcomes({ way: 'corners-bare', cameras: ['even-light'], rounds: few }, 30_000);
  const curves = await outcomes({ way: 'sheet', cameras: CURVES, rounds: few }, 40_000);
  const hue = await outcomes({ way: 'sheet', cameras: ['other-primaries'], rounds, more: { hue: true } }, 50_000);
  const alike = await outcomes(
    { way: 'sheet', cameras: CURVES, rounds: few, more: { paint: ALIKE, steps: 9 } },
    90_000,
  );
  const drawn = (way: Way, from: number) =>
    Promise.all(
      MOTIFS.map((motif, k) =>
        outcomes(
          {
            way,
            cameras: USABLE,
            rounds: Math.ceil(few / 3),
            more: { drawn: motif, paint: 'fine', ...(way === 'corners' && { printer: 'nominal' }) },
          },
          from + 1000 * k,
        ),
      ),
    ).then((all) => all.flat());
  const [drawnOnSheets, drawnOnBoards, drawnMarked] = [
    await drawn('sheet', 100_000),
    await drawn('brackets', 110_000),
    await drawn('corners', 120_000),
  ];
  const special = await outcomes(
    {
      way: 'sheet',
      cameras: [...SPECIAL, ...(Object.keys(NEAR_MISSES) as CameraCondition[])],
      rounds: Math.ceil(few / 2),
    },
    60_000,
  );
  const faults = Object.keys(UNUSABLE) as (keyof typeof UNUSABLE)[];
  const unusable = await outcomes({ way: 'sheet', cameras: faults, rounds: Math.ceil(few / 2) }, 70_000);
  const nominal = await outcomes(
    { way: 'sheet', cameras: ['studio'], rounds: few, more: { printer: 'nominal' } },
    80_000,
  );

  const messages: TrialOutcome[][] = [];
  for (const [k, size] of LIMIT.message.megapixels.entries())
    messages.push(
      await run(
        trialsOf({ way: 'sheet', cameras: USABLE, rounds: few }, seed + 130_000 + 1000 * k).map((t) => ({
          ...t,
          megapixels: size,
        })),
      ),
    );

  const calibrated = [...sheets, ...boards];
  const all = promised(calibrated);
  const errors = all.map(off);
  promise(
    `calibrated lightness, median at most ${LIMIT.median}`,
    n2(quantile(errors, 0.5)),
    quantile(errors, 0.5) <= LIMIT.median,
  );
  promise(
    `calibrated lightness, 95 % within ${LIMIT.most}`,
    n2(quantile(errors, 0.95)),
    quantile(errors, 0.95) <= LIMIT.most,
  );
  promise(
    `a*, b* of the greys, 95 % within ${LIMIT.ab}`,
    n2(quantile(abs(promised(sheets)), 0.95)),
    quantile(abs(promised(sheets)), 0.95) <= LIMIT.ab,
  );
  promise(
    'stated interval holds the truth in 93 to 97 %',
    percent(within(all)),
    within(all) >= LIMIT.cover[0] && within(all) <= LIMIT.cover[1],
  );
  const halfWidth = quantile(
    promised(sheets).map((r) => r.uncertainty),
    0.5,
  );
  promise(
    `stated half-width on sheets, median at most ${LIMIT.halfWidth}`,
    n2(halfWidth),
    halfWidth <= LIMIT.halfWidth,
  );
  const others = promised([...curves, ...hue, ...special]);
  promise(
    'the same of other cameras, coloured sheets and wavy paper',
    percent(within(others)),
    within(others) >= LIMIT.cover[0] && within(others) <= LIMIT.cover[1],
  );
  for (const [k, outcomesOfOne] of messages.entries()) {
    const small = promised(outcomesOfOne).map(off);
    const size = `${LIMIT.message.megapixels[k]} megapixels, as messages carry them`;
    promise(
      `${size}: median at most ${LIMIT.message.median}`,
      n2(quantile(small, 0.5)),
      quantile(small, 0.5) <= LIMIT.message.median,
    );
    promise(
      `${size}: 95 % within ${LIMIT.message.most}`,
      n2(quantile(small, 0.95)),
      quantile(small, 0.95) <= LIMIT.message.most,
    );
    // Smaller ones lose a place here and there; how many stands in the table.
    if (k > 0) continue;
    const taken = outcomesOfOne.filter((o) => o.accepted).length;
    promise(
      `${size}: usable`,
      `${taken} of ${outcomesOfOne.length}`,
      taken >= outcomesOfOne.length * (1 - LIMIT.refused),
    );
  }
  const relative = promised(marked).map(off);
  promise(
    `relative, paper along both sides: 95 % within ${LIMIT.relative}`,
    n2(quantile(relative, 0.95)),
    quantile(relative, 0.95) <= LIMIT.relative,
  );
  const bareErrors = promised(bare).map(off);
  promise(
    `relative, no paper, even light: 95 % within ${LIMIT.bare}`,
    n2(quantile(bareErrors, 0.95)),
    quantile(bareErrors, 0.95) <= LIMIT.bare,
  );
  const curveErrors = promised(curves).map(off);
  promise(
    `strong tone curves in light of 2 : 1: 95 % within ${LIMIT.curve}`,
    n2(quantile(curveErrors, 0.95)),
    quantile(curveErrors, 0.95) <= LIMIT.curve,
  );
  const most = Math.max(...alike.map(apart));
  promise(
    `the same grey in different places under them differs by under ${LIMIT.alike}`,
    `${n2(most)} at the most in ${alike.length}`,
    most < LIMIT.alike,
  );
  promise(
    `coloured sheets by other primaries: a*, b* 95 % within ${LIMIT.abOther}`,
    n2(quantile(abs(promised(hue)), 0.95)),
    quantile(abs(promised(hue)), 0.95) <= LIMIT.abOther,
  );
  const byHand = promised([...drawnOnSheets, ...drawnOnBoards]).map(off);
  promise(
    `bands drawn by hand, on sheets and boards: 95 % within ${LIMIT.byHand}`,
    n2(quantile(byHand, 0.95)),
    quantile(byHand, 0.95) <= LIMIT.byHand,
  );
  const byHandMarked = promised(drawnMarked).map(off);
  promise(
    `bands drawn by hand, between marked corners: 95 % within ${LIMIT.relative}`,
    n2(quantile(byHandMarked, 0.95)),
    quantile(byHandMarked, 0.95) <= LIMIT.relative,
  );
  const pixels = sheets.flatMap((o) => (o.pixels === null ? [] : [o.pixels]));
  promise(
    `straightened picture against the paint: 95 % of places within ${LIMIT.pixels} in every photograph`,
    n2(Math.max(...pixels)),
    Math.max(...pixels) <= LIMIT.pixels,
  );
  const usable = [
    ...calibrated,
    ...marked,
    ...bare,
    ...curves,
    ...alike,
    ...hue,
    ...special,
    ...drawnOnSheets,
    ...drawnOnBoards,
    ...drawnMarked,
  ];
  const refused = usable.filter((o) => !o.accepted);
  promise(
    'usable photographs refused, at most 1 in 50',
    `${refused.length} of ${usable.length}`,
    refused.length <= usable.length * LIMIT.refused,
  );
  const named = unusable.filter(
    (o) => !o.accepted && o.codes.includes(UNUSABLE[o.trial.camera as keyof typeof UNUSABLE]),
  );
  promise(
    'unusable photographs refused with their code',
    `${named.length} of ${unusable.length}`,
    named.length === unusable.length,
  );

  const ratio = speed.measureMs / speed.decodeMs;
  promise(
    `${speed.photographs} photographs read in at most ${SPEED_LIMIT.ratio} times what decoding them takes`,
    n2(ratio),
    ratio <= SPEED_LIMIT.ratio,
  );
  promise(
    `memory at most ${SPEED_LIMIT.megabytes} MB`,
    `${speed.megabytes.toFixed(0)} MB`,
    speed.megabytes <= SPEED_LIMIT.megabytes,
  );

  const folder = path.resolve('docs/accuracy');
  mkdirSync(folder, { recursive: true });
  const ways = {
    sheet: sheets,
    ...Object.fromEntries(messages.map((o, k) => [`sheet, ${LIMIT.message.megapixels[k]} megapixels`, o])),
    'corner pieces': boards,
    'marked corners': marked,
    'marked corners, no paper': bare,
    'drawn bands, sheet': drawnOnSheets,
    'drawn bands, corner pieces': drawnOnBoards,
    'drawn bands, marked corners': drawnMarked,
  };
  const at = (o: readonly TrialOutcome[], share: number) => quantile(promised(o).map(off), share);
  writeFileSync(
    path.join(folder, 'by-condition.svg'),
    barChart('Error of a reading, L*', USABLE, [
      {
        name: 'sheet, 95 %',
        values: USABLE.map((c) =>
          at(
            sheets.filter((o) => o.trial.camera === c),
            0.95,
          ),
        ),
      },
      {
        name: 'corner pieces, 95 %',
        values: USABLE.map((c) =>
          at(
            boards.filter((o) => o.trial.camera === c),
            0.95,
          ),
        ),
      },
      {
        name: 'marked corners, 95 %',
        values: USABLE.map((c) =>
          at(
            marked.filter((o) => o.trial.camera === c),
            0.95,
          ),
        ),
      },
    ]),
  );
  writeFileSync(
    path.join(folder, 'by-lightness.svg'),
    scatterChart('Error against true lightness, L*', [
      { name: 'sheet', points: promised(sheets).map((r) => [r.truth, r.read - r.truth] as const) },
      { name: 'corner pieces', points: promised(boards).map((r) => [r.truth, r.read - r.truth] as const) },
    ]),
  );
  const bands = [18, 34, 50, 66, 82, 97];
  const byLightness = bands.slice(0, -1).map((from, i) => {
    const own = all.filter((r) => r.truth >= from && r.truth <= (bands[i + 1] ?? 97));
    return [
      `${from} to ${bands[i + 1]}`,
      String(own.length),
      n2(quantile(own.map(off), 0.5)),
      n2(quantile(own.map(off), 0.95)),
      percent(within(own)),
    ];
  });
  writeFileSync(
    'docs/accuracy.md',
    [
      '# How near readings come to the paint',
      '',
      `Written by \`npm run bench -- --only accuracy\`; nothing in it is typed. Seed ${seed}, ${rounds} photographs a condition and way, ${megapixels} megapixels each, by the simulated camera; office printers that differ, each card read by the simulated instrument. Readings of paint from L* ${PROMISED.dark} to ${PROMISED.light}.`,
      '',
      '## Promises',
      '',
      table(
        ['promise', 'found', ''],
        promises.map(([what, found, kept]) => [what, found, kept ? 'kept' : '**broken**']),
      ),
      '## By way of framing',
      '',
      table(
        HEAD,
        Object.entries(ways).map(([name, o]) => errorRow(name, o)),
      ),
      '![Error by condition](accuracy/by-condition.svg)',
      '',
      '## By condition, on sheets',
      '',
      table(HEAD, [
        ...USABLE.map((c) =>
          errorRow(
            c,
            sheets.filter((o) => o.trial.camera === c),
          ),
        ),
        ...CURVES.map((c) =>
          errorRow(
            c,
            curves.filter((o) => o.trial.camera === c),
          ),
        ),
        errorRow('other-primaries, coloured', hue),
        errorRow('studio, nominal print', nominal),
      ]),
      '## By condition, with corner pieces',
      '',
      table(
        HEAD,
        USABLE.map((c) =>
          errorRow(
            c,
            boards.filter((o) => o.trial.camera === c),
          ),
        ),
      ),
      '## By condition, between marked corners',
      '',
      table(
        HEAD,
        USABLE.map((c) =>
          errorRow(
            c,
            marked.filter((o) => o.trial.camera === c),
          ),
        ),
      ),
      '## By lightness, calibrated',
      '',
      table(['L* of the paint', 'readings', 'median', '95 %', 'in the stated interval'], byLightness),
      '![Error by lightness](accuracy/by-lightness.svg)',
      '',
      '## Photographs made unusable',
      '',
      table(
        ['fault', 'code', 'photographs', 'refused', 'with the code'],
        faults.map((f) => {
          const own = unusable.filter((o) => o.trial.camera === f);
          return [
            f,
            UNUSABLE[f],
            String(own.length),
            String(own.filter((o) => !o.accepted).length),
            String(own.filter((o) => named.includes(o)).length),
          ];
        }),
      ),
      '## Near to a fault, and usable',
      '',
      table(
        HEAD,
        [...SPECIAL, ...(Object.keys(NEAR_MISSES) as CameraCondition[])].map((c) =>
          errorRow(
            c,
            special.filter((o) => o.trial.camera === c),
          ),
        ),
      ),
      '## Time and memory',
      '',
      `${speed.photographs} photographs of 12 megapixels on two workers, in one run, so that only the ratio says something of another machine.`,
      '',
      table(
        ['', 'ms a photograph', 'ratio', 'most memory, MB'],
        [
          ['decoding alone', (speed.decodeMs / speed.photographs).toFixed(0), '1', ''],
          [
            'reading, decoding too',
            (speed.measureMs / speed.photographs).toFixed(0),
            n2(ratio),
            speed.megabytes.toFixed(0),
          ],
        ],
      ),
      refused.length > 0
        ? `Refused though usable: ${refused.map((o) => `${o.trial.way} ${o.trial.camera} (seed ${o.trial.seed}): ${o.codes.join(', ')}`).join('; ')}.\n`
        : '',
      unusable.length > named.length
        ? `Not refused, or by another code: ${unusable
            .filter((o) => !named.includes(o))
            .map((o) => `${o.trial.camera} (seed ${o.trial.seed}): ${o.codes.join(', ') || 'no code'}`)
            .join('; ')}.\n`
        : '',
    ].join('\n'),
  );
  for (const [what, found, kept] of promises) console.log(`${kept ? 'kept  ' : 'BROKEN'}  ${what}: ${found}`);
  return promises.every(([, , kept]) => kept);
}
