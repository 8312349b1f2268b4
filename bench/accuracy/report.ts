/** The accuracy report as a page with tables and pictures. */
import { CURVES, UNUSABLE, USABLE } from '@/devices/condition-names';
import { barChart, scatterChart } from '../charts';
import type { SpeedReport } from '../speed-process';
import { quantile } from '../tally';
import type { TrialOutcome } from '../trial-outcome';
import { FAULTS, MESSAGE_MEGAPIXELS, namedOf, NEARLY, type Photographed, usableOf } from './photographed';
import type { Promised } from './promises';
import { colourError, errorAt, halfWidth, off, percent, PROMISED, promised, twoPlaces, within } from './readings';

export interface ReportOf {
  readonly photographed: Photographed;
  readonly promises: readonly Promised[];
  readonly speed: SpeedReport;
  readonly seed: number;
  readonly rounds: number;
  readonly megapixels: number;
}

function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  return [
    `| ${head.join(' | ')} |`,
    `|${head.map(() => '---').join('|')}|`,
    ...rows.map((r) => `| ${r.join(' | ')} |`),
    '',
  ].join('\n');
}

const ERRORS = [
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

const errorRow = (name: string, outcomes: readonly TrialOutcome[]): string[] => [
  name,
  String(outcomes.length),
  String(outcomes.filter((o) => !o.accepted).length),
  String(promised(outcomes).length),
  twoPlaces(errorAt(outcomes, 0.5)),
  twoPlaces(errorAt(outcomes, 0.95)),
  twoPlaces(Math.max(...promised(outcomes).map(off))),
  twoPlaces(colourError(outcomes)),
  percent(within(promised(outcomes))),
  twoPlaces(halfWidth(outcomes)),
];

const under = (outcomes: readonly TrialOutcome[], camera: string) => outcomes.filter((o) => o.trial.camera === camera);
const byCondition = (outcomes: readonly TrialOutcome[], cameras: readonly string[]) =>
  cameras.map((c) => errorRow(c, under(outcomes, c)));

function byWay(p: Photographed): string {
  const messages = p.messages.map((o, k) => errorRow(`sheet, ${MESSAGE_MEGAPIXELS[k]} megapixels`, o));
  return table(ERRORS, [
    errorRow('sheet', p.sheets),
    ...messages,
    errorRow('corner pieces', p.boards),
    errorRow('marked corners', p.marked),
    errorRow('marked corners, no paper', p.bare),
    errorRow('drawn bands, sheet', p.drawn.sheets),
    errorRow('drawn bands, corner pieces', p.drawn.boards),
    errorRow('drawn bands, marked corners', p.drawn.marked),
  ]);
}

const BANDS = [
  [18, 34],
  [34, 50],
  [50, 66],
  [66, 82],
  [82, 97],
] as const;

function byLightness(p: Photographed): string {
  const all = promised([...p.sheets, ...p.boards]);
  const rows = BANDS.map(([from, to]) => {
    const own = all.filter((r) => r.truth >= from && r.truth <= to);
    const errors = own.map(off);
    return [
      `${from} to ${to}`,
      String(own.length),
      twoPlaces(quantile(errors, 0.5)),
      twoPlaces(quantile(errors, 0.95)),
      percent(within(own)),
    ];
  });
  return table(['L* of the paint', 'readings', 'median', '95 %', 'in the stated interval'], rows);
}

function byFault(p: Photographed): string {
  const named = namedOf(p);
  const rows = FAULTS.map((f) => {
    const own = under(p.unusable, f);
    const refused = own.filter((o) => !o.accepted).length;
    return [f, UNUSABLE[f], String(own.length), String(refused), String(under(named, f).length)];
  });
  return table(['fault', 'code', 'photographs', 'refused', 'with the code'], rows);
}

function timeAndMemory({ photographs, decodeMs, measureMs, megabytes }: SpeedReport): string {
  const each = (ms: number) => (ms / photographs).toFixed(0);
  return table(
    ['', 'ms a photograph', 'ratio', 'most memory, MB'],
    [
      ['decoding alone', each(decodeMs), '1', ''],
      ['reading, decoding too', each(measureMs), twoPlaces(measureMs / decodeMs), megabytes.toFixed(0)],
    ],
  );
}

const toldOf = ({ trial, codes }: TrialOutcome) =>
  `${trial.way} ${trial.camera} (seed ${trial.seed}): ${codes.join(', ') || 'no code'}`;

/** Those that went wrong, by name, so that they can be looked at. */
function exceptions(p: Photographed): string[] {
  const refused = usableOf(p).filter((o) => !o.accepted);
  const named = namedOf(p);
  const missed = p.unusable.filter((o) => !named.includes(o));
  return [
    ...(refused.length > 0 ? [`Refused though usable: ${refused.map(toldOf).join('; ')}.\n`] : []),
    ...(missed.length > 0 ? [`Not refused, or by another code: ${missed.map(toldOf).join('; ')}.\n`] : []),
  ];
}

export function reportText({ photographed: p, promises, speed, seed, rounds, megapixels }: ReportOf): string {
  return [
    '# How near readings come to the paint',
    '',
    'Written by `npm run bench -- --only accuracy`; nothing in it is typed.',
    `Seed ${seed}, ${rounds} photographs a condition and way, ${megapixels} megapixels each, by the simulated camera;`,
    'office printers that differ, each card read by the simulated instrument.',
    `Readings of paint from L* ${PROMISED.dark} to ${PROMISED.light}.`,
    'How small a fault of a painting is told stands on [its own page](paintings.md).',
    '',
    '## Promises',
    '',
    table(
      ['promise', 'found', ''],
      promises.map(({ what, found, kept }) => [what, found, kept ? 'kept' : '**broken**']),
    ),
    '## By way of framing',
    '',
    byWay(p),
    '![Error by condition](accuracy/by-condition.svg)',
    '',
    '## By condition, on sheets',
    '',
    table(ERRORS, [
      ...byCondition(p.sheets, USABLE),
      ...byCondition(p.curves, CURVES),
      errorRow('other-primaries, coloured', p.hue),
      errorRow('studio, nominal print', p.nominal),
    ]),
    '## By condition, with corner pieces',
    '',
    table(ERRORS, byCondition(p.boards, USABLE)),
    '## By condition, between marked corners',
    '',
    table(ERRORS, byCondition(p.marked, USABLE)),
    '## By lightness, calibrated',
    '',
    byLightness(p),
    '![Error by lightness](accuracy/by-lightness.svg)',
    '',
    '## Photographs made unusable',
    '',
    byFault(p),
    '## Near to a fault, and usable',
    '',
    table(ERRORS, byCondition(p.nearly, NEARLY)),
    '## Time and memory',
    '',
    `${speed.photographs} photographs of 12 megapixels on two workers, in one run:`,
    'only the ratio says something of another machine.',
    '',
    timeAndMemory(speed),
    ...exceptions(p),
  ].join('\n');
}

/** SVG by the name of its file. */
export function reportPictures(p: Photographed): Record<string, string> {
  const bars = (name: string, outcomes: readonly TrialOutcome[]) => ({
    name: `${name}, 95 %`,
    values: USABLE.map((c) => errorAt(under(outcomes, c), 0.95)),
  });
  const dots = (name: string, outcomes: readonly TrialOutcome[]) => ({
    name,
    points: promised(outcomes).map((r) => [r.truth, r.read - r.truth] as const),
  });
  return {
    'by-condition.svg': barChart('Error of a reading, L*', USABLE, [
      bars('sheet', p.sheets),
      bars('corner pieces', p.boards),
      bars('marked corners', p.marked),
    ]),
    'by-lightness.svg': scatterChart('Error against true lightness, L*', [
      dots('sheet', p.sheets),
      dots('corner pieces', p.boards),
    ]),
  };
}
