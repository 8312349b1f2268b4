/** Scales through the command: from a sheet to a measurement, in every way of framing. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { testCommand } from './test-command';

const { folder, fairGrey } = testCommand();

test('from a sheet to a measurement, all through the command', () => {
  const sheet = fairGrey('worksheet', 'scale', '--steps', '7', '--dpi', '200', '--out', 'sheet.png', '--json');
  expect(sheet.code).toBe(0);
  const geometry = sheet.json as { cells: unknown[]; patches: unknown[]; markers: unknown[] };
  expect([geometry.cells.length, geometry.markers.length]).toEqual([7, 4]);
  writeFileSync(path.join(folder, 'geometry.json'), JSON.stringify(geometry));
  expect(fairGrey('simulate', 'print', 'sheet.png', '--seed', '5', '--out', 'print.fgs').code).toBe(0);
  const painted = fairGrey(
    'simulate',
    'paint',
    'print.fgs',
    '--geometry',
    'geometry.json',
    '--condition',
    'random',
    '--seed',
    '5',
    '--out',
    'paint.fgs',
    '--json',
  );
  expect(
    fairGrey(
      'simulate',
      'photograph',
      'paint.fgs',
      '--geometry',
      'geometry.json',
      '--condition',
      'window',
      '--seed',
      '5',
      '--out',
      'photo.jpg',
      '--megapixels',
      '4',
      '--rotated',
      '--location',
    ).code,
  ).toBe(0);
  const measured = fairGrey('measure', 'scale', 'photo.jpg', '--steps', '7', '--json');
  expect(measured.code).toBe(0);
  const truth = (painted.json as { steps: { lightness: number }[] }).steps;
  const result = measured.json as {
    capture: { target: string; mode: string; accepted: boolean };
    steps: { lightness: number }[];
    gaps: { between: number[] }[];
  };
  expect(result.capture).toMatchObject({ target: 'sheet', mode: 'calibrated', whiteBasis: 'nominal', accepted: true });
  expect(result.gaps.map((g) => g.between)).toEqual([1, 2, 3, 4, 5, 6].map((k) => [k, k + 1]));
  result.steps.forEach((s, i) => expect(Math.abs(s.lightness - (truth[i]?.lightness ?? NaN))).toBeLessThan(1.5));
});

/** The sheet, print and painting of the test above, which made them. */
const measureSeven = (...more: string[]) =>
  fairGrey('measure', 'scale', 'photo.jpg', '--steps', '7', ...more, '--json');

test('a print that an instrument has read is measured by it, and a profile of something else is told', () => {
  expect(
    fairGrey('simulate', 'read', 'print.fgs', '--geometry', 'geometry.json', '--seed', '5', '--out', 'card.csv').code,
  ).toBe(0);
  expect(
    fairGrey('simulate', 'read', 'print.fgs', '--geometry', 'geometry.json', '--seed', '5', '--out', 'card.txt').code,
  ).toBe(0);
  const nominal = (measureSeven().json as { capture: { uncertainty: number } }).capture.uncertainty;
  const [csv, cgats] = ['card.csv', 'card.txt'].map(
    (file) =>
      measureSeven('--profile', file, '--expect', 'sheet').json as {
        capture: { whiteBasis: string; uncertainty: number };
        steps: { lightness: number }[];
      },
  );
  expect([csv?.capture.whiteBasis, cgats?.capture.whiteBasis]).toEqual(['measured', 'measured']);
  expect(csv?.capture.uncertainty).toBeLessThan(nominal / 2);
  csv?.steps.forEach((step, i) => expect(step.lightness).toBeCloseTo(cgats?.steps[i]?.lightness ?? 0, 2));
  writeFileSync(path.join(folder, 'short.csv'), 'patch,lightness,a,b\n1,16,0,0\n2,40,0,0\n');
  expect(measureSeven('--profile', 'short.csv')).toMatchObject({
    code: 2,
    json: null,
    said: expect.stringContaining('At least eight patches') as string,
  });
  writeFileSync(
    path.join(folder, 'other.csv'),
    ['patch,lightness,a,b', ...Array.from({ length: 24 }, (_, i) => `${i + 1},${20 + 3 * i},0,0`)].join('\n'),
  );
  expect(measureSeven('--profile', 'other.csv')).toMatchObject({
    code: 2,
    json: null,
    said: expect.stringContaining('This profile') as string,
  });
  expect(fairGrey('card', 'photo.jpg', '--profile', 'card.csv', '--out', 'new.csv')).toMatchObject({
    code: 2,
    said: expect.stringContaining('Only one sheet was found') as string,
  });
});

test('dragged corners are read between, crossing ones and a board that is not there are told', async () => {
  const { width = 0, height = 0 } = await sharp(path.join(folder, 'photo.jpg')).metadata();
  // The photograph is stored on its side: corners are of the picture as it is looked at.
  const [w, h] = [height, width];
  const at = (corners: readonly (readonly [number, number])[]) =>
    corners.map(([x, y]) => `${Math.round(x * w)},${Math.round(y * h)}`).join(' ');
  const square = [
    [0.2, 0.3],
    [0.8, 0.3],
    [0.8, 0.6],
    [0.2, 0.6],
  ] as const;
  expect(measureSeven('--corners', at(square)).json).toMatchObject({
    capture: { target: 'corners', mode: 'relative', whiteBasis: 'ends' },
  });
  expect(measureSeven('--corners', at([square[0], square[2], square[1], square[3]]))).toMatchObject({
    code: 2,
    said: expect.stringContaining('cross') as string,
  });
  expect(measureSeven('--corners', '1,2,3')).toMatchObject({
    code: 2,
    said: expect.stringContaining('eight numbers') as string,
  });
  expect(measureSeven('--corners', at(square), '--expect', 'sheet')).toMatchObject({
    code: 2,
    said: expect.stringContaining('not both') as string,
  });
  expect(measureSeven('--expect', 'brackets').json).toMatchObject({
    capture: { accepted: false, target: null, issues: [{ code: 'no_target' }] },
  });
  expect(measureSeven('--depth', '200')).toMatchObject({
    code: 2,
    said: expect.stringContaining('0 to 100') as string,
  });
});

test('a board is laid, photographed and measured to its size, all through the command', () => {
  writeFileSync(
    path.join(folder, 'pieces.json'),
    JSON.stringify(fairGrey('brackets', '--dpi', '200', '--out', 'pieces.png', '--json').json),
  );
  expect(fairGrey('simulate', 'print', 'pieces.png', '--seed', '6', '--out', 'pieces.fgs').code).toBe(0);
  const laid = fairGrey(
    'simulate',
    'board',
    'pieces.fgs',
    '--geometry',
    'pieces.json',
    '--size',
    '400x300',
    '--steps',
    '5',
    '--seed',
    '6',
    '--out',
    'board.fgs',
    '--json',
  );
  expect(laid.code).toBe(0);
  writeFileSync(path.join(folder, 'board.json'), JSON.stringify(laid.json));
  expect(
    fairGrey(
      'simulate',
      'photograph',
      'board.fgs',
      '--geometry',
      'board.json',
      '--seed',
      '6',
      '--megapixels',
      '8',
      '--out',
      'board.jpg',
    ).code,
  ).toBe(0);
  const truth = (laid.json as { steps: { lightness: number }[] }).steps.map((step) => step.lightness);
  const { json } = fairGrey('measure', 'scale', 'board.jpg', '--steps', '5', '--json');
  const { capture, steps } = json as {
    capture: { target: string; sizeMm: { width: number; height: number } };
    steps: { lightness: number }[];
  };
  expect(capture.target).toBe('brackets');
  expect(Math.abs(capture.sizeMm.width - 400) + Math.abs(capture.sizeMm.height - 300)).toBeLessThan(4);
  steps.forEach((step, i) => expect(Math.abs(step.lightness - (truth[i] ?? 0))).toBeLessThan(1.5));
  expect(
    fairGrey('simulate', 'board', 'pieces.fgs', '--geometry', 'pieces.json', '--size', '4000x3', '--out', 'x.fgs'),
  ).toMatchObject({ code: 2, said: expect.stringContaining('--size') as string });
  expect(fairGrey('simulate', 'board', 'pieces.fgs', '--geometry', 'board.json', '--out', 'x.fgs')).toMatchObject({
    code: 2,
    said: expect.stringContaining('corner pieces') as string,
  });
});

test('corner pieces come with their inner corners', () => {
  const { code, json } = fairGrey('brackets', '--paper', 'letter', '--out', 'corners.pdf', '--json');
  expect(code).toBe(0);
  const { brackets, markers } = json as {
    brackets: { corner: string; innerCornerMm: { x: number } }[];
    markers: { id: number; sizeMm: number }[];
  };
  expect(brackets.map((b) => b.corner)).toEqual(['top-left', 'top-right', 'bottom-right', 'bottom-left']);
  expect(markers.map((m) => m.id)).toEqual([8, 9, 10, 11]);
});

test('a readable picture without a sheet is an answer, not an error', async () => {
  await sharp({ create: { width: 3, height: 2, channels: 3, background: '#888' } })
    .png()
    .toFile(path.join(folder, 'grey.png'));
  const { code, json } = fairGrey('measure', 'scale', 'grey.png', '--steps', '5', '--json');
  expect(code).toBe(0);
  expect(json).toMatchObject({ capture: { accepted: false, target: null, issues: [{}] }, steps: [] });
});

test('a photograph is never taken for a scan: what hides the sheet is told, and a scan is read when it is said', async () => {
  const photo = path.join(folder, 'photo.jpg');
  const made = (name: string, from: ReturnType<typeof sharp>) =>
    from.jpeg({ quality: 90 }).toFile(path.join(folder, name));
  await made('mirrored.jpg', sharp(photo).autoOrient().flop());
  await made('blurred.jpg', sharp(photo).resize(1000).blur(12));
  await made(
    'far.jpg',
    sharp(photo).autoOrient().resize(500).extend({ left: 1000, right: 1500, top: 700, bottom: 1200 }),
  );
  const told = (name: string) => {
    const { code, json } = fairGrey('measure', 'scale', name, '--steps', '7', '--json');
    const { capture, steps } = json as {
      capture: { accepted: boolean; issues: { code: string; say: string }[] };
      steps: unknown[];
    };
    expect([code, capture.accepted]).toEqual([0, false]);
    return { codes: capture.issues.map((i) => i.code), words: capture.issues.map((i) => i.say).join(' '), steps };
  };
  const mirrored = told('mirrored.jpg');
  expect([mirrored.codes, mirrored.steps]).toEqual([['no_target'], []]);
  expect(mirrored.words).toMatch(/mirror/);
  const blurred = told('blurred.jpg');
  expect(blurred.words).toMatch(/blur|sharp/);
  const far = told('far.jpg');
  expect(far.words).toMatch(/closer|far/);
  const scan = fairGrey('measure', 'scale', 'photo.jpg', '--steps', '7', '--scan', '--json').json;
  expect(scan).toMatchObject({ capture: { target: 'scan' } });
});
