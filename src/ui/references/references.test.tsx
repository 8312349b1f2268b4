/** The instruments of the bench on which a picture is prepared, as they stand on the page. */
import { type Preparation, untouched } from '@/core/reference/preparation';
import type { BenchAnswer } from '@/workers/browser/bench-protocol';
import { renderToStaticMarkup } from 'react-dom/server';
import { ReadingChoice } from '../table/tones/ReadingChoice';
import { FactsList } from './FactsList';
import { FramePanel } from './FramePanel';
import { Guides } from './Guides';
import { LightPanel } from './LightPanel';
import { ShapePanel } from './ShapePanel';
import { ToneHistogram } from './ToneHistogram';
import { ValuesPanel } from './ValuesPanel';

const nothing = () => undefined;
const plain = untouched(1.2);
const facts: BenchAnswer['facts'] = {
  p5: 20,
  p50: 55,
  p95: 90,
  key: 'full',
  thirds: [0.3, 0.5, 0.2],
  shapes: { large: 2, middle: 3, small: 1 },
  contrast: { x: 0.2, y: 0.9, step: 61 },
};
const answer: BenchAnswer = {
  width: 1000,
  height: 833,
  thresholds: [50],
  shares: [0.7, 0.3],
  histogram: [0, 1, 0.5],
  exact: true,
  facts,
  lit: 0.7,
  shapes: [{ shape: 4, share: 0.2, at: { x: 0.2, y: 0.2 }, lit: true }],
  trouble: '',
  milliseconds: 3,
};
const named = {
  at: { x: 0.2, y: 0.2 },
  name: 'can > lit side',
  emphasis: 2,
  part: 'lit',
  material: 'metal',
  blocked: 0,
  standing: 'painted',
  steps: null,
} as const;
const words = (html: string) => html.replace(/<[^>]+>/g, '|');

test('each line between tones is a handle with a name and a value, and the shares are a table', () => {
  const html = renderToStaticMarkup(
    <ToneHistogram
      histogram={[0, 1, 0.5]}
      thresholds={[30, 60]}
      shares={[0.5, 0.3, 0.2]}
      greys={[94, 59, 24]}
      labels={['1', '2', '3']}
      inLight={false}
      onChange={nothing}
    />,
  );
  expect(html).toContain('aria-label="Line between 3 and 2"');
  expect(html).toContain('aria-valuetext="L* 60.0"');
  expect(words(html)).toContain('20 %');
});

test('by light and shadow the lines part the light alone', () => {
  const html = renderToStaticMarkup(
    <ToneHistogram
      histogram={[1]}
      thresholds={[60]}
      shares={[0.5, 0.3, 0.2]}
      greys={[94, 59, 24]}
      labels={['1', '2', '3']}
      inLight
      onChange={nothing}
    />,
  );
  expect(html).toContain('aria-label="Line between 2 and 1"');
});

test('values: sliders say what they are at; lines set by hand can be given back', () => {
  const panel = (p: Preparation) =>
    words(
      renderToStaticMarkup(
        <ValuesPanel preparation={p} left="colour" right="tones" onLeft={nothing} onRight={nothing} set={nothing} />,
      ),
    );
  expect(panel(plain)).toContain('Squint: 0.4 %');
  expect(panel(plain)).not.toContain('Lines back');
  expect(panel({ ...plain, cuts: { 'light-and-shadow-2': [] } })).toContain('Lines back where the picture puts them');
});

test('the map says how it was proposed, counts corrections, and lists shapes for those who do not point', () => {
  const html = renderToStaticMarkup(
    <LightPanel
      preparation={plain}
      answer={answer}
      tool="shadow"
      brush={0.03}
      names={new Map([[4, 'can']])}
      onTool={nothing}
      onBrush={nothing}
      set={nothing}
    />,
  );
  expect(words(html)).toContain('Proposed is what is darker than a line.');
  expect(words(html)).toContain('0 corrections');
  expect(words(html)).toContain('can||is light');
});

test('shapes are begun by a cut; a picked one shows its name and what it weighs', () => {
  const panel = (p: Preparation) =>
    renderToStaticMarkup(
      <ShapePanel
        preparation={p}
        answer={answer}
        picked={{ shape: 4, x: 0.2, y: 0.2 }}
        named={new Map([[4, named]])}
        tool="pick"
        onTool={nothing}
        onPick={nothing}
        begin={nothing}
        set={nothing}
      />,
    );
  expect(words(panel(plain))).toContain('Cut it into shapes');
  const begun = panel({
    ...plain,
    shapes: { cut: { squint: 0, dissolve: 0, smooth: 0, thresholds: [50] }, edits: [], named: [named] },
  });
  expect(begun).toContain('value="can &gt; lit side"');
  expect(words(begun)).toContain('2.0 times');
});

test('frame, facts and guides', () => {
  expect(
    words(
      renderToStaticMarkup(
        <FramePanel preparation={{ ...plain, proportion: 1 }} own={1.2} slant={-2} onSlant={nothing} set={nothing} />,
      ),
    ),
  ).toContain('-2.0');
  expect(words(renderToStaticMarkup(<FactsList facts={facts} lit={0.3} />))).toContain('more shadow than light');
  const guides = renderToStaticMarkup(
    <Guides
      choice={{ thirds: true, halves: false, diagonals: true, contrast: true, grid: 4 }}
      proportion={1}
      contrast={facts.contrast}
    />,
  );
  // Two marks a line: four thirds, two diagonals, six of the grid.
  expect(guides.match(/<line/g)).toHaveLength(24);
});

test('a reading is offered for this one or for everyone; what was measured before says so, and how to mend it', () => {
  const choice = (standing: 'as-it-is' | 'other-reference' | 'other-readings', frozen = false) =>
    words(
      renderToStaticMarkup(
        <ReadingChoice
          able
          standing={standing}
          frozen={frozen}
          busy={false}
          accept={nothing}
          judge={nothing}
          measure={nothing}
          forEveryone={2}
          forget={nothing}
        />,
      ),
    );
  expect(choice('as-it-is')).toContain('For everyone');
  expect(choice('as-it-is')).toContain('2 readings were accepted for everyone.');
  expect(choice('other-readings')).toContain('Judge it by what counts now');
  expect(choice('other-reference')).toContain('Measure it against what stands now');
  expect(choice('other-reference', true)).not.toContain('Measure it against');
});
