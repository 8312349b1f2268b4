/** Masses as a teacher names, shows and reads them. */
import { sampleMass } from '@/core/notan/sample-result';
import { massSchema } from '@/core/tones/mass';
import { renderToStaticMarkup } from 'react-dom/server';
import { PaintedFrom } from '../../plan/PaintedFrom';
import { MassFields } from '../../references/MassFields';
import { FrameChoice } from './FrameChoice';
import { MassFacts } from './MassFacts';
import { RegionOutlines } from '../RegionOutlines';

const { box } = sampleMass('anything');
const nothing = () => undefined;

test('facts of masses: in the class’s own numbers, with what lies in their steps and which they never use', () => {
  const masses = [
    sampleMass('jug > lit side', { steps: { from: 1, to: 2 }, inside: 0.75, unused: [2] }),
    sampleMass('ground', { lightness: null }),
  ];
  const html = renderToStaticMarkup(
    <MassFacts
      masses={masses}
      pairs={[{ object: 'jug', lit: [], shadow: [], separation: -12.34, wanted: 20 }]}
      labels={['3', '2', '1']}
    />,
  );
  expect(html).toContain('3 to 2');
  expect(html).toContain('75 %, none of 2');
  expect(html).toContain('some shadow above some light, by L* 12.3; in the reference light above shadow by L* 20.0');
  expect(renderToStaticMarkup(<MassFacts masses={[]} pairs={[]} labels={[]} />)).toBe('');
});

test('a mass is asked for lights only where there are several; steps of another number of tones say so', () => {
  const fields = (lights: number, of: number) =>
    renderToStaticMarkup(
      <MassFields
        mass={massSchema.parse({ name: 'table', emphasis: 1, steps: { from: 1, to: 2, of } })}
        lights={lights}
        tones={3}
        onChange={nothing}
      />,
    );
  expect(fields(1, 3)).not.toContain('Lights kept off it');
  expect(fields(2, 3)).toContain('Lights kept off it');
  expect(fields(1, 5)).toContain('Allotted among 5 tones');
  expect(fields(1, 3)).not.toContain('Allotted among');
});

test('an exercise may be painted from a picture, from life, or from neither', () => {
  const html = renderToStaticMarkup(
    <PaintedFrom
      references={[{ id: 'r', title: 'Bench' }]}
      setUps={[{ id: 's', title: 'Jug' }]}
      form={{ referenceId: '', setUpId: 's' }}
      put={nothing}
    />,
  );
  expect(html).toMatch(/<option value="set-up s" selected="">from life: Jug/);
  expect(html).toContain('<option value="r">Bench');
});

test('a painted frame is offered as the dark end, taken back, and left alone once the critique is sent', () => {
  const choice = (isDarkEnd: boolean, frozen: boolean) =>
    renderToStaticMarkup(
      <FrameChoice frame={{ lightness: 21.4, isDarkEnd }} frozen={frozen} busy={false} choose={nothing} />,
    );
  expect(choice(false, false)).toContain('Take the frame as the dark end');
  expect(choice(true, false)).toContain('dark end again');
  expect(choice(true, true)).not.toContain('<button');
});

test('what is told of a part that is no region has a box round it, a little off, so that a line shows in it', () => {
  const outlines = (lit: number | null) =>
    renderToStaticMarkup(
      <RegionOutlines regions={[]} shift={{ x: 0.01, y: 0 }} lit={lit} box={box} onPick={nothing} />,
    );
  const at = (name: string) => Number(new RegExp(`<rect[^>]* ${name}="([^"]+)"`).exec(outlines(null))?.[1]);
  expect(at('x')).toBeLessThan(box.x + 0.01);
  expect(at('x') + at('width')).toBeGreaterThan(box.x + 0.01 + box.width);
  expect(at('x') + at('width') / 2).toBeCloseTo(box.x + 0.01 + box.width / 2, 6);
  expect(outlines(0)).not.toContain('<rect');
});
