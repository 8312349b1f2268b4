/**
 * The bench: what the measuring is worth, on photographs by the simulated devices with known truth.
 * `--seed N` repeats a run (else the clock gives one), `--rounds N` makes it longer,
 * `--megapixels N` takes smaller photographs for the accuracy report. Ends with 1 when a limit is broken.
 */
import { parseArgs } from 'node:util';
import { benchAccuracy } from './accuracy/accuracy';
import { benchCapacity } from './served/capacity';
import { benchStops } from './served/stops';
import { benchCluster } from './served/cluster';
import { benchEmbedded } from './served/embedded';
import { benchCorrectionDrag } from './correction/drag';
import { benchReadBack } from './correction/read-back';
import { benchCritique } from './critique/critique';
import { benchEveningKeys } from './evening-keys';
import { findOn } from './finder';
import { benchMarks } from './marks-page';
import { benchMasses } from './masses';
import { benchFit } from './mixing-speed';
import { benchNotan } from './notan';
import { benchPage } from './page';
import { benchPainters } from './painters';
import { benchCameras } from './painting/cameras';
import { benchColours } from './painting/colours';
import { benchFoundBySize } from './painting/found-by-size';
import { benchForm } from './painting/form';
import { benchModelling } from './painting/modelling';
import { benchNotThis } from './painting/not-this';
import { benchPainting } from './painting/painting';
import { benchRescuePlans } from './painting/rescue-plans';
import { benchStates } from './painting/states';
import { benchSmallFaults } from './painting/small';
import { benchPaintingSpeed } from './painting/speed';
import { benchPrinters } from './printers';
import { benchPrinting } from './printing';
import { benchQuick } from './quick';
import { benchReadability } from './readability';
import { benchReferencePage } from './reference-page';
import { benchSpeed } from './speed';
import { row } from './tally';
import { openTrials } from './trials';
import { benchPages } from './served/pages';
import { benchUploads } from './served/uploads';

const { values } = parseArgs({
  options: {
    seed: { type: 'string' },
    rounds: { type: 'string', default: '10' },
    only: { type: 'string' },
    megapixels: { type: 'string', default: '12' },
  },
});
const seed = values.seed === undefined ? Math.floor(Date.now() / 1000) % 1_000_000 : Number(values.seed);
const rounds = Number(values.rounds);
if (!Number.isInteger(seed) || seed < 0 || !Number.isInteger(rounds) || rounds < 1) {
  console.error('bench: --seed must be a whole number from 0 and --rounds one from 1.');
  process.exit(2);
}
console.log(`Seed ${seed} (repeat with --seed ${seed}), ${rounds} photographs a condition`);

const trials = openTrials();
const wanted = (part: string) => values.only === undefined || values.only === part;

const FINDER_LIMIT = 1.5;

/** Value finders on ten printers; returns whether every bar that can be reached is within its limit. */
async function benchFinder(from: number): Promise<boolean> {
  console.log('\nValue finders on ten other printers: largest error of a bar in L*');
  row('seed', 'as nominal', 'by chart', 'corrected', 'unreached');
  let good = true;
  for (let k = 0; k < 10; k++) {
    const { seed: own, bars, plain, first, corrected } = await findOn(from + k);
    const worst = (errors: readonly number[]) =>
      Math.max(...errors.flatMap((e, i) => (bars[i]?.reachable ? [Math.abs(e)] : [])));
    row(String(own), worst(plain), worst(first), worst(corrected), bars.filter((b) => !b.reachable).length);
    good &&= worst(corrected) <= FINDER_LIMIT;
  }
  return good;
}

const kept: [string, boolean][] = [];
if (wanted('accuracy'))
  kept.push(['accuracy (docs/accuracy.md)', await benchAccuracy(trials.run, seed, rounds, Number(values.megapixels))]);
if (wanted('printers')) await benchPrinters(trials.run, seed);
if (wanted('finder')) kept.push(['value finder', await benchFinder(seed)]);
await trials.close();
if (wanted('notan')) kept.push(['notan', await benchNotan(seed, Math.ceil(rounds / 3), Number(values.megapixels))]);
if (wanted('painting')) kept.push(['paintings', await benchPainting(seed, rounds, Number(values.megapixels))]);
if (wanted('not-this')) kept.push(['paintings of something else', await benchNotThis(seed, 3 * rounds)]);
if (wanted('small-faults'))
  kept.push([
    'small faults of paintings',
    await benchSmallFaults(seed, Math.max(60, 3 * rounds), Number(values.megapixels)),
  ]);
if (wanted('modelling'))
  kept.push([
    'gradients and contrasts',
    await benchModelling(seed, Math.max(60, 3 * rounds), Number(values.megapixels)),
  ]);
if (wanted('found-by-size')) await benchFoundBySize(seed, Math.max(4, rounds), Number(values.megapixels));
if (wanted('critique'))
  kept.push(['what is said first', await benchCritique(seed, Math.min(5, rounds), Number(values.megapixels))]);
if (wanted('correction')) kept.push(['corrections read back', await benchReadBack(seed, Number(values.megapixels))]);
if (wanted('form')) kept.push(['rules of form', await benchForm(seed, rounds, Number(values.megapixels))]);
if (wanted('cameras'))
  kept.push([
    'one painting by many cameras',
    await benchCameras(seed, Math.ceil(rounds / 4), Number(values.megapixels)),
  ]);
if (wanted('colours'))
  kept.push(['colours of paintings', await benchColours(seed, 4 * rounds, Number(values.megapixels))]);
if (wanted('from-life'))
  kept.push(['paintings from life', await benchStates(seed, 3 * rounds, Number(values.megapixels))]);
if (wanted('rescue')) kept.push(['old paintings, mended', await benchRescuePlans(seed, Number(values.megapixels))]);
if (wanted('painting-speed')) kept.push(['paintings, time and memory', await benchPaintingSpeed(seed)]);
// Minutes of killing: only when it is asked for.
if (values.only === 'cluster') kept.push(['a district whose processes are killed', await benchCluster(seed, rounds)]);
if (values.only === 'capacity') kept.push(['what an evening takes', await benchCapacity(seed, rounds)]);
if (values.only === 'embedded') kept.push(['one machine that is killed', await benchEmbedded(seed, rounds)]);
if (values.only === 'stops') kept.push(['nobody waits for another’s page', await benchStops(seed)]);
if (values.only === 'uploads') kept.push(['bad files', await benchUploads(seed, rounds)]);
if (wanted('printing')) kept.push(['printing for a class', await benchPrinting()]);
if (wanted('masses')) kept.push(['masses from life', await benchMasses(seed, Number(values.megapixels))]);
if (wanted('painters')) kept.push(['mixing', benchPainters(seed)]);
if (wanted('readability')) kept.push(['words that can be read', benchReadability()]);
if (wanted('fit')) kept.push(['fitting', benchFit(seed)]);
if (wanted('page')) kept.push(['dragging', await benchPage()]);
if (wanted('evening-keys')) kept.push(['the next picture', await benchEveningKeys(seed)]);
if (wanted('pages')) kept.push(['pages of a whole class', await benchPages()]);
if (wanted('marks')) kept.push(['drawing marks', await benchMarks()]);
if (wanted('correction-drag')) kept.push(['drawing a correction', await benchCorrectionDrag()]);
if (wanted('references')) kept.push(['preparing a reference', await benchReferencePage()]);
if (wanted('quick')) kept.push(['look before sending', await benchQuick(seed)]);
if (wanted('speed')) kept.push(['speed and memory', await benchSpeed(seed)]);

console.log();
for (const [part, good] of kept) console.log(`${good ? 'kept  ' : 'BROKEN'}  ${part}`);
process.exit(kept.every(([, good]) => good) ? 0 : 1);
