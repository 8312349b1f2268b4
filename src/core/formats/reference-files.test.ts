/** Prepared references in open formats. */
import { stackXml } from './openraster';
import { tonesToSvg, tracedFrom } from './tones-svg';

const plane = {
  width: 40,
  height: 30,
  toneOf: Uint8Array.from({ length: 1200 }, (_, i) => (i % 40 >= 10 && i % 40 < 30 && i >= 400 && i < 800 ? 2 : 1)),
};

test('a tone is traced round its shape, a hole of it too', () => {
  const rings = tracedFrom(plane, 2);
  expect(rings).toHaveLength(1);
  const xs = rings[0]!.map(([x]) => x);
  expect(Math.min(...xs)).toBeCloseTo(10, 0);
  expect(Math.max(...xs)).toBeCloseTo(30, 0);
  const holed = {
    ...plane,
    toneOf: plane.toneOf.map((t, i) => (i % 40 >= 18 && i % 40 < 22 && i >= 560 && i < 680 ? 1 : t)),
  };
  expect(tracedFrom(holed, 2)).toHaveLength(2);
});

test('the SVG has a layer a tone in its grey, and its title says nothing to a parser', () => {
  const svg = tonesToSvg(plane, [100, 0], 'a <b> & "c"');
  expect(svg).toContain('<rect id="tone-1" width="40" height="30" fill="#ffffff"/>');
  expect(svg).toMatch(/<path id="tone-2" fill="#000000"/);
  expect(svg).toContain('<title>a b  c</title>');
});

test('OpenRaster lists its layers from the topmost down', () => {
  const xml = stackXml(40, 30, [
    { name: 'Tone "2"', file: 'data/tone-2.png' },
    { name: 'Tone 1', file: 'data/tone-1.png' },
  ]);
  expect(xml).toContain('<image version="0.0.5" w="40" h="30">');
  expect(xml.indexOf('tone-2')).toBeLessThan(xml.indexOf('tone-1'));
  expect(xml).toContain('name="Tone &quot;2&quot;"');
});
