/** The command as other programs use it: built, in a process of its own, one JSON document and an exit code. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { helpOf, VERBS_HELP } from './help';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-cli-'));

function fairGrey(...args: string[]) {
  const done = spawnSync(process.execPath, [path.resolve('dist/cli.mjs'), ...args], {
    encoding: 'utf8',
    env: { ...process.env, INIT_CWD: folder },
  });
  return {
    code: done.status,
    json: done.stdout === '' ? null : (JSON.parse(done.stdout) as unknown),
    said: done.stderr.trim(),
  };
}

/** What a command writes to be read, where it writes no JSON. */
const fairGreyText = (...args: string[]) =>
  spawnSync(process.execPath, [path.resolve('dist/cli.mjs'), ...args], { encoding: 'utf8' }).stdout;

test('from a sheet to a measurement, all through the command', () => {
  const sheet = fairGrey('worksheet', 'scale', '--steps', '7', '--out', 'sheet.png', '--json');
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
    JSON.stringify(fairGrey('brackets', '--out', 'pieces.png', '--json').json),
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
    fairGrey('simulate', 'photograph', 'board.fgs', '--geometry', 'board.json', '--seed', '6', '--out', 'board.jpg')
      .code,
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

test('every verb and every option is explained with an example; what is not known is named', () => {
  const all = fairGreyText('--help');
  for (const verb of Object.keys(VERBS_HELP)) expect(all).toContain(verb);
  for (const [verb, { options, example }] of Object.entries(VERBS_HELP)) {
    const words = helpOf(verb as keyof typeof VERBS_HELP);
    for (const [option, { words: about }] of Object.entries(options)) {
      expect(words).toContain(`--${option}`);
      expect(words.replace(/\s+/g, ' ')).toContain(about.replace(/\s+/g, ' '));
    }
    expect(words.replace(/\s+/g, ' ')).toContain(example);
  }
  expect(fairGreyText('measure', 'scale', '--help')).toContain('--steps');
  const { code, said } = fairGrey('measure', 'scale', 'photo.jpg', '--stepz', '7');
  expect(code).toBe(2);
  expect(said).toContain('--stepz');
});

test('nine steps are mixed in whole parts, each from what is there, and all the paint is counted', () => {
  const { code, json } = fairGrey(
    'mix',
    '--steps',
    '9',
    '--white',
    'zinc-white',
    '--black',
    'lamp-black',
    '--area',
    '1000',
    '--film',
    '0.2',
    '--waste',
    '50',
    '--json',
  );
  expect(code).toBe(0);
  const { steps, order, total } = json as {
    steps: {
      index: number;
      target: number;
      lightness: number;
      parts: Record<string, number>;
      from: string[];
      millilitres: number;
    }[];
    order: string[];
    total: Record<string, number>;
  };
  expect(steps).toHaveLength(9);
  for (const s of steps) {
    expect(Math.abs(s.lightness - s.target)).toBeLessThan(1.5);
    expect(Object.keys(s.parts).sort()).toEqual([...s.from].sort());
    for (const n of Object.values(s.parts)) expect(Number.isInteger(n) && n >= 1 && n <= 8).toBe(true);
    for (const from of s.from.filter((f) => /^\d+$/.test(f)))
      expect(order.indexOf(from)).toBeLessThan(order.indexOf(String(s.index)));
    expect(s.millilitres).toBeGreaterThanOrEqual(0.3 - 1e-9);
  }
  // Nine times 1000 mm² of 0.2 mm and half as much again.
  expect((total['zinc-white'] ?? 0) + (total['lamp-black'] ?? 0)).toBeCloseTo(9 * 0.3, 9);
});

test('a yellow turns green on the way to black, and own figures change the recipe', () => {
  const { json } = fairGrey('mix', '--steps', '9', '--hue', 'cadmium-yellow', '--json');
  const { steps } = json as { steps: { index: number; hueTurn: number | null; shares: Record<string, number> }[] };
  const shades = steps
    .filter((s) => (s.shares['ivory-black'] ?? 0) > 0 && s.hueTurn !== null)
    .map((s) => s.hueTurn ?? 0);
  expect(Math.max(...shades)).toBeGreaterThan(10);
  writeFileSync(
    path.join(folder, 'own.csv'),
    'paint;lightness;a;b;tinting\nivory black;16;0,3;0,6;12\ntitanium white;97;-0,5;1,2;1\n',
  );
  const black = (...more: string[]) =>
    (fairGrey('mix', '--steps', '9', '--json', ...more).json as { total: Record<string, number> }).total[
      'ivory-black'
    ] ?? 0;
  expect(black('--palette', 'own.csv')).toBeLessThan(0.8 * black());
});

test.each([
  [['mix'], '--steps: is needed'],
  [['mix', '--steps', '2'], 'A scale needs 3 to 15 steps, got 2.'],
  [['mix', '--steps', '9', '--white', 'ivory-black'], 'is not dark enough beside'],
  [['mix', '--steps', '9', '--hue', 'mars-black'], 'does not lie between'],
  [['mix', '--steps', '9', '--area', '-3'], '--area'],
  [['mix', '--steps', '9', '--film', '0'], 'must be a thickness'],
  [['mix', '--steps', '9', '--waste', 'much'], 'must be a percentage'],
  [['mix', '--steps', '9', '--black', 'soot'], '--black must be one of'],
  [['mix', '--steps', '9', '--palette', 'none.csv'], 'none.csv can’t be read'],
])('%j mixes nothing and says why', (args, words) => {
  const { code, json, said } = fairGrey(...args, '--json');
  expect([code, json, said.split('\n').length]).toEqual([2, null, 1]);
  expect(said).toContain(words);
});

test.each([
  [['measure', 'scale', 'none.jpg', '--steps', '5'], 'There is no file none.jpg'],
  [['measure', 'scale', 'none.jpg', '--steps', '2'], 'A scale needs 3 to 15 steps, got 2.'],
  [['measure', 'scale', 'none.jpg'], '--steps: is needed'],
  [['measure', 'scale', 'none.jpg', '--steps', '5', '--ends', '50,40'], 'at least 20'],
  [['measure', 'scale', 'none.jpg', '--steps', '5', '--order', 'sideways'], '--order must be one of'],
  [['measure', 'scale', 'text.jpg', '--steps', '5'], 'not a picture'],
  [['worksheet', 'scale', '--steps', '16', '--out', 'never.pdf'], 'A scale needs 3 to 15 steps, got 16.'],
  [['worksheet', 'scale', '--steps', '9', '--dpi', '72', '--out', 'never.png'], '150 to 600'],
  [['worksheet', 'scale', '--steps', '9', '--paper', 'a3', '--out', 'never.pdf'], '--paper must be one of'],
  [['frobnicate'], 'Give one of'],
])('%j ends with 2 and one clear line', (args, words) => {
  writeFileSync(path.join(folder, 'text.jpg'), 'not a picture');
  const { code, json, said } = fairGrey(...args);
  expect(code).toBe(2);
  expect(json).toBeNull();
  expect(said.split('\n').at(-1)).toContain(words);
  expect(existsSync(path.join(folder, 'never.pdf')) || existsSync(path.join(folder, 'never.png'))).toBe(false);
});

test('a picture is prepared in few tones, and what can’t be is told in one line', async () => {
  const scene = (width: number, height: number, body: string) =>
    sharp(
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="#f4f4f4"/>${body}</svg>`,
      ),
    );
  const cup = '<rect y="200" width="100%" height="100%" fill="#777"/><circle cx="200" cy="180" r="70" fill="#111"/>';
  await scene(480, 320, cup).png().toFile(path.join(folder, 'cup.png'));
  const { code, json } = fairGrey(
    'prepare',
    'cup.png',
    '--tones',
    '3',
    '--ends',
    '95,25',
    '--out',
    'tones.png',
    '--json',
  );
  expect(code).toBe(0);
  const { thresholds, tones, shapes } = json as {
    thresholds: number[];
    tones: { index: number; lightness: number; share: number }[];
    shapes: { tone: number; area: number }[];
  };
  expect(thresholds).toHaveLength(2);
  expect(tones.map((t) => [t.index, t.lightness])).toEqual([
    [1, 95],
    [2, 60],
    [3, 25],
  ]);
  expect(tones.reduce((s, t) => s + t.share, 0)).toBeCloseTo(1, 9);
  expect(tones[2]?.share).toBeCloseTo((Math.PI * 70 * 70) / (480 * 320), 2);
  expect(shapes[0]?.tone).toBe(1);
  // Squinted at, light eats into the dark.
  const soft = fairGrey('prepare', 'cup.png', '--tones', '3', '--squint', '1', '--out', 'soft.png', '--json').json as {
    tones: { share: number }[];
  };
  expect(soft.tones[2]?.share).toBeLessThan(0.95 * (tones[2]?.share ?? 0));
  expect((await sharp(path.join(folder, 'tones.png')).metadata()).width).toBe(480);
  expect(fairGrey('prepare', 'cup.png', '--tones', '13', '--out', 'x.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('2 to 12 tones') as string,
  });
  await sharp({ create: { width: 90, height: 60, channels: 3, background: '#808080' } })
    .png()
    .toFile(path.join(folder, 'flat.png'));
  expect(fairGrey('prepare', 'flat.png', '--tones', '2', '--out', 'x.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('only 1 tone') as string,
  });
  await sharp({ create: { width: 900, height: 1, channels: 3, background: '#808080' } })
    .png()
    .toFile(path.join(folder, 'thin.png'));
  expect(fairGrey('prepare', 'thin.png', '--tones', '2', '--out', 'x.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('at least 32') as string,
  });
  expect(existsSync(path.join(folder, 'x.png'))).toBe(false);
});

test('a painting in few tones is measured against its reference, by thresholds or by a map of light and shadow', async () => {
  const measure = (...more: string[]) =>
    fairGrey('measure', 'notan', 'painting.png', '--reference', 'cup.png', '--scan', ...more, '--json');
  await sharp(path.join(folder, 'tones.png'))
    .resize(960, 640, { kernel: 'nearest' })
    .toFile(path.join(folder, 'painting.png'));
  const { code, json } = measure('--tones', '3');
  expect(code).toBe(0);
  const result = json as {
    capture: { target: string; mode: string; accepted: boolean };
    tones: { index: number; share: number; referenceShare: number }[];
    agreement: number;
    kappa: number;
    regions: unknown[];
    findings: { code: string }[];
  };
  expect(result.capture).toMatchObject({ target: 'scan', mode: 'relative', accepted: true });
  expect(result.tones.map((t) => t.index)).toEqual([1, 2, 3]);
  result.tones.forEach((t) => expect(Math.abs(t.share - t.referenceShare)).toBeLessThan(0.02));
  expect(result.agreement).toBeGreaterThan(0.97);
  expect([result.regions.length, result.findings[0]?.code]).toEqual([0, 'big_shapes']);
  // A map by which the table is in the light: the painting has it darker.
  await sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="480" height="320"><rect width="100%" height="100%" fill="#fff"/><circle cx="200" cy="180" r="70" fill="#000"/></svg>',
    ),
  )
    .png()
    .toFile(path.join(folder, 'map.png'));
  expect(
    (measure('--tones', '2', '--map', 'map.png').json as { tones: { referenceShare: number }[] }).tones[1]
      ?.referenceShare,
  ).toBeCloseTo((Math.PI * 70 * 70) / (480 * 320), 2);
  expect(measure('--tones', '3', '--thresholds', '70,40')).toMatchObject({
    code: 2,
    said: expect.stringContaining('that rise') as string,
  });
  expect(measure('--tones', '3', '--map', 'map.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('--tones 2') as string,
  });
  await sharp({ create: { width: 480, height: 320, channels: 3, background: '#ffffff' } })
    .png()
    .toFile(path.join(folder, 'all-light.png'));
  expect(measure('--tones', '2', '--map', 'all-light.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('no shadow') as string,
  });
  // A moon in the dark: what surrounds it is the picture, and no frame round one.
  await sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="480" height="320"><rect width="100%" height="100%" fill="#222"/><circle cx="240" cy="160" r="120" fill="#eee"/></svg>',
    ),
  )
    .png()
    .toFile(path.join(folder, 'moon.png'));
  const moon = fairGrey('measure', 'notan', 'moon.png', '--reference', 'moon.png', '--tones', '2', '--scan', '--json')
    .json as {
    agreement: number;
    frame: unknown;
  };
  expect(moon.frame).toBeNull();
  expect(moon.agreement).toBeGreaterThan(0.97);
  expect(fairGrey('measure', 'notan', 'painting.png', '--tones', '3')).toMatchObject({
    code: 2,
    said: expect.stringContaining('--reference is needed') as string,
  });
  // A darker frame painted round it is left out, and stands for the dark end where that is asked for.
  await sharp(path.join(folder, 'painting.png'))
    .resize(912, 608, { kernel: 'nearest' })
    .extend({ top: 30, bottom: 30, left: 30, right: 30, background: '#0c0c0c' })
    .toFile(path.join(folder, 'framed.png'));
  const framed = (...more: string[]) =>
    fairGrey('measure', 'notan', 'framed.png', '--reference', 'cup.png', '--tones', '3', '--scan', ...more, '--json')
      .json as {
      agreement: number;
      frame: { lightness: number; isDarkEnd: boolean };
      tones: { lightness: number }[];
    };
  const [plain, byFrame] = [framed(), framed('--dark-end', 'frame')];
  expect([plain.frame.isDarkEnd, byFrame.frame.isDarkEnd]).toEqual([false, true]);
  expect(plain.agreement).toBeGreaterThan(0.97);
  expect(plain.tones[2]?.lightness).toBeCloseTo(20, 0);
  expect(byFrame.frame.lightness).toBeCloseTo(20, 0);
  expect(byFrame.tones[2]?.lightness).toBeGreaterThan(25);
  expect(measure('--tones', '3', '--dark-end', 'black')).toMatchObject({
    code: 2,
    said: expect.stringContaining('--dark-end') as string,
  });
});
