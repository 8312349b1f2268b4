/** What the command line takes, as data: the options of each verb are read by it, and explained from it. */
import { KEYS } from '@/core/exercise/judging';
import { MEDIUM_IDS } from '@/core/exercise/media';
import { READING_ORDERS, SPACINGS } from '@/core/exercise/scale';
import { BRACKET_CORNERS } from '@/core/sheet/brackets';
import { PAPER_IDS } from '@/core/sheet/paper';

interface OptionHelp {
  /** What its value is; null for a switch. */
  readonly value: string | null;
  readonly words: string;
}
export interface VerbHelp {
  /** What stands between the verb and its options. */
  readonly takes: string;
  readonly words: string;
  readonly options: Readonly<Record<string, OptionHelp>>;
  readonly example: string;
}

const option = (value: string | null, words: string): OptionHelp => ({ value, words });
const oneOf = (values: readonly string[]) => values.join('|');

const JSON_OUT = { json: option(null, 'write the result to standard output as one JSON document') };
const PAPER = { paper: option(oneOf(PAPER_IDS), 'paper that it is printed on; a4 unless said') };
const SHEET_OUT = {
  dpi: option('150..600', 'dots an inch of a PNG; 300 unless said'),
  out: option('FILE', 'file to write, PDF or PNG by its ending'),
};
const ENDS = {
  ends: option('L,D', 'lightness (L*) of the lightest and the darkest that is aimed at; 96,20 unless said'),
};
const TARGET = {
  expect: option('sheet|brackets', 'what is in the picture; told by its markers unless said'),
  corners: option('X,Y,…', 'four corners of the painted area in photo pixels, from the top left clockwise'),
  scan: option(null, 'the whole picture is the painted area, from a flat scanner'),
  depth: option('MM', 'how far a canvas stands off the corner pieces; 0 unless said'),
};
const PROFILE = { profile: option('FILE', 'readings of the printed card, CSV or CGATS') };

export const VERBS_HELP = {
  'worksheet scale': {
    takes: '',
    words: 'Draws the worksheet of a value scale and tells where everything stands on it.',
    options: {
      steps: option('3..15', 'how many cells'),
      ...PAPER,
      order: option(oneOf(READING_ORDERS), 'which end the first cell is; light-first unless said'),
      medium: option(oneOf(MEDIUM_IDS), 'the paint, for the cautions; gouache unless said'),
      hue: option(null, 'with coloured patches, for a scale of one colour'),
      ...SHEET_OUT,
      ...JSON_OUT,
    },
    example: 'worksheet scale --steps 9 --out sheet.pdf --json',
  },
  brackets: {
    takes: '',
    words: 'Draws the four corner pieces that are laid round a board or a canvas.',
    options: { ...PAPER, ...SHEET_OUT, ...JSON_OUT },
    example: 'brackets --out corners.pdf',
  },
  card: {
    takes: 'PHOTO',
    words: 'Carries the readings of a known print over to a new one, from a photograph of both side by side.',
    options: {
      ...PROFILE,
      known: option('left|right', 'where the known sheet lies; left unless said'),
      out: option('FILE', 'file to write, CSV or CGATS by its ending'),
      ...JSON_OUT,
    },
    example: 'card both.jpg --profile old.csv --known left --out new.csv',
  },
  'measure scale': {
    takes: 'PHOTO',
    words: 'Measures the steps of a value scale in a photograph.',
    options: {
      steps: option('3..15', 'how many steps were painted'),
      hue: option(null, 'the scale is of one colour, on a sheet with coloured patches'),
      order: option(oneOf(READING_ORDERS), 'which end the first step is; light-first unless said'),
      spacing: option(oneOf(SPACINGS), 'in what the steps are even; lightness unless said'),
      ...ENDS,
      ...TARGET,
      ...PROFILE,
      flat: option('PHOTO', 'the same sheet blank, photographed in the same light'),
      ...JSON_OUT,
    },
    example: 'measure scale photo.jpg --steps 9 --json',
  },
  'measure notan': {
    takes: 'PHOTO',
    words: 'Measures a painting in few tones against the picture that it was painted from.',
    options: {
      reference: option('PICTURE', 'the picture that it was painted from'),
      tones: option('2..12', 'how many tones were asked for'),
      thresholds: option('L,…', 'lightnesses (L*) between the tones, rising; by the automatic rule unless said'),
      map: option('PICTURE', 'light (white) and shadow (black) over the reference, in place of thresholds'),
      'dark-end': option('paint|frame', 'what the dark end is: the exercise’s own, or a frame that was painted'),
      ...ENDS,
      ...TARGET,
      ...PROFILE,
      ...JSON_OUT,
    },
    example: 'measure notan photo.jpg --reference picture.png --tones 3 --json',
  },
  'measure painting': {
    takes: 'PHOTO',
    words:
      'Measures a painting against the picture that it was painted from, or, without one, by the rules of form alone.',
    options: {
      reference: option('PICTURE', 'the picture that it was painted from; from life unless said'),
      shapes: option(
        'FILE',
        'names of the picture’s shapes, or of a painting’s from life, JSON beside a picture of labels',
      ),
      before: option('PHOTO', 'the same painting in an earlier state, framed in the same way'),
      colour: option(null, 'its colours are asked for too, on a sheet with coloured patches'),
      'one-hue': option(null, 'it is to be in greys or in one hue: other colours in it are told'),
      key: option(oneOf(KEYS), 'where the values are to sit; full unless said'),
      push: option('PERCENT', 'how much further from the middle they are to be than in the picture; 0 unless said'),
      ...ENDS,
      ...TARGET,
      ...PROFILE,
      ...JSON_OUT,
    },
    example: 'measure painting photo.jpg --reference picture.png --json',
  },
  prepare: {
    takes: 'PICTURE',
    words: 'Reduces a picture to few tones, as a class paints from it.',
    options: {
      tones: option('2..12', 'how many tones'),
      squint: option('PERCENT', 'how far it is squinted at first, in percent of the longer side; 0 unless said'),
      ...ENDS,
      out: option('FILE.png', 'the picture in its tones'),
      ...JSON_OUT,
    },
    example: 'prepare picture.jpg --tones 3 --out tones.png --json',
  },
  mix: {
    takes: '',
    words: 'Foretells how a row of steps is mixed, each puddle from what is there already.',
    options: {
      steps: option('3..15', 'how many steps'),
      white: option('PAINT', 'the light paint; titanium-white unless said'),
      black: option('PAINT', 'the dark paint; ivory-black unless said'),
      hue: option('PAINT', 'a pure colour that the steps run through'),
      medium: option(oneOf(MEDIUM_IDS), 'what the paint is; gouache unless said'),
      area: option('MM2', 'what each step is to cover; 640 unless said'),
      film: option('MM', 'how thick it is laid; by the medium unless said'),
      waste: option('PERCENT', 'what stays on palette and brush; 75 unless said'),
      palette: option('FILE', 'figures of your own paints, CSV'),
      ...JSON_OUT,
    },
    example: 'mix --steps 9 --white titanium-white --black ivory-black --json',
  },
  simulate: {
    takes: 'print|paint|photograph|read|board FILE',
    words: 'Runs one of the simulated devices, and keeps what it truly did.',
    options: {
      seed: option('NUMBER', 'chance begins from here; 1 unless said'),
      condition: option('NAME', 'circumstances, by name; a wrong one lists those there are'),
      geometry: option('FILE', 'what “worksheet --json” or “brackets --json” printed'),
      size: option('WxH', 'of a board, millimetres; 600x400 unless said'),
      steps: option('3..15', 'of what is painted on a board; 7 unless said'),
      without: option(oneOf(BRACKET_CORNERS), 'the corner piece that is missing'),
      megapixels: option('0.5..50', 'how large the photograph is; 12 unless said'),
      rotated: option(null, 'the photograph is stored on its side'),
      location: option(null, 'the photograph says where it was taken'),
      truth: option('FILE', 'file for the exact truth, JSON'),
      out: option('FILE', 'file to write'),
      ...JSON_OUT,
    },
    example: 'simulate photograph paint.fgs --geometry sheet.json --condition window --seed 5 --out photo.jpg',
  },
} as const satisfies Record<string, VerbHelp>;

export type HelpedVerb = keyof typeof VERBS_HELP;
export const HELPED_VERBS = Object.keys(VERBS_HELP) as [HelpedVerb, ...HelpedVerb[]];

const COMMAND = 'npm run --silent fair-grey --';
const WIDTH = 24;

/** All that one verb takes, with an example. */
export function helpOf(verb: HelpedVerb): string {
  const { takes, words, options, example }: VerbHelp = VERBS_HELP[verb];
  const lines = Object.entries(options).map(([name, { value, words: own }]) => {
    const head = `  --${name}${value === null ? '' : ` ${value}`}`;
    return head.length < WIDTH ? `${head.padEnd(WIDTH)}${own}` : `${head}\n${' '.repeat(WIDTH)}${own}`;
  });
  return [
    `${COMMAND} ${[verb, takes].filter(Boolean).join(' ')} [options]`,
    words,
    '',
    ...lines,
    '',
    'Example:',
    `  ${COMMAND} ${example}`,
  ].join('\n');
}

/** Every verb in a line. */
export function help(): string {
  return [
    `${COMMAND} VERB …`,
    'Messages go to standard error; it ends with 0 when done, 2 for bad arguments, 1 for a fault of ours.',
    '',
    ...HELPED_VERBS.map((verb) => `  ${verb.padEnd(WIDTH - 2)}${VERBS_HELP[verb].words}`),
    '',
    `${COMMAND} VERB --help explains every option of one, with an example.`,
  ].join('\n');
}
