/** `simulate print|paint|read|board|photograph`: what the simulated devices do to a sheet, with the exact truth. */
import { formatCardCsv } from '@/core/formats/card-csv';
import { formatCgats } from '@/core/formats/cgats';
import { BRACKET_CORNERS } from '@/core/sheet/brackets';
import { geometrySchema } from '@/core/sheet/geometry';
import { layBoard } from '@/devices/board';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { CAMERA_CONDITIONS } from '@/devices/condition-names';
import { PAINT_CONDITIONS, planFor } from '@/devices/paint-conditions';
import { paint } from '@/devices/painter';
import { print, PRINTER_CONDITIONS } from '@/devices/printer';
import { readColours } from '@/devices/reader';
import { readSurface, writeSurface } from '@/devices/reflectance';
import { readFile, writeFile } from 'node:fs/promises';
import { z } from 'zod';
import { BadArguments, callerPath, check, needed, oneOf, readOptions, seedOption, stepsOption } from './arguments';

async function read(file: string): Promise<Buffer> {
  return readFile(callerPath(file)).catch(() => {
    throw new BadArguments(`There is no file ${file} that can be read.`);
  });
}

async function geometryFrom(file: string) {
  const bytes = await read(file);
  try {
    return geometrySchema.parse(JSON.parse(bytes.toString('utf8')));
  } catch {
    throw new BadArguments(`${file} is not the geometry of a worksheet: give what "worksheet --json" printed.`);
  }
}

async function bracketsFrom(file: string) {
  const corner = z.object({
    corner: z.enum(BRACKET_CORNERS),
    xMm: z.number(),
    yMm: z.number(),
    widthMm: z.number(),
    heightMm: z.number(),
    innerCornerMm: z.object({ x: z.number(), y: z.number() }),
  });
  try {
    return z.object({ brackets: z.array(corner).length(4) }).parse(JSON.parse((await read(file)).toString('utf8')))
      .brackets;
  } catch {
    throw new BadArguments(`${file} is not the geometry of corner pieces: give what "brackets --json" printed.`);
  }
}

const sizeOption = z
  .string()
  .regex(/^\d{2,4}x\d{2,4}$/, 'must be millimetres, as 600x400')
  .transform((s) => s.split('x').map(Number))
  .transform(([widthMm = 0, heightMm = 0]) => ({ widthMm, heightMm }))
  .refine(
    (s) => s.widthMm >= 60 && s.heightMm >= 60 && s.widthMm <= 1600 && s.heightMm <= 1600,
    'must be 60 to 1600 mm each way',
  );

const MEGAPIXELS = 'must be 0.5 to 50';
const megapixelsOption = z
  .string()
  .regex(/^\d+(\.\d+)?$/, MEGAPIXELS)
  .transform(Number)
  .pipe(z.number().min(0.5, MEGAPIXELS).max(50, MEGAPIXELS));

export async function simulate(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, 'simulate');
  const [device, source] = positionals;
  const seed = check(seedOption, values['seed'] ?? '1', '--seed');
  const out = callerPath(needed(values['out'], '--out'));
  if (!source) throw new BadArguments('simulate needs a device and a file, as "simulate print SHEET.png".');
  const finish = async (bytes: Buffer, truth: object): Promise<unknown> => {
    await writeFile(out, bytes);
    if (typeof values['truth'] === 'string')
      await writeFile(callerPath(values['truth']), JSON.stringify(truth, null, 2));
    return truth;
  };
  switch (device) {
    case 'print': {
      const condition = oneOf(PRINTER_CONDITIONS, values['condition'], '--condition', 'nominal');
      const { surface, truth } = await print(await read(source), condition, seed);
      return finish(await writeSurface(surface), truth);
    }
    case 'paint': {
      const geometry = await geometryFrom(needed(values['geometry'], '--geometry'));
      const condition = oneOf(PAINT_CONDITIONS, values['condition'], '--condition', 'fine');
      const { surface, truth } = paint(
        await readSurface(await read(source)),
        geometry.cells,
        planFor(condition, geometry.cells.length, seed),
        seed,
      );
      return finish(await writeSurface(surface), truth);
    }
    case 'read': {
      const geometry = await geometryFrom(needed(values['geometry'], '--geometry'));
      const surface = await readSurface(await read(source));
      const readings = readColours(surface, geometry.patches, seed);
      const card = { paper: null, patches: new Map(readings.map((lab, i) => [i + 1, lab])) };
      const text = out.toLowerCase().endsWith('.csv') ? formatCardCsv(card) : formatCgats(card);
      return finish(Buffer.from(text), {
        device: 'reader',
        seed,
        patches: readings.map(([lightness, a, b], i) => ({ patch: i + 1, lightness, a, b })),
      });
    }
    case 'board': {
      const geometry = await bracketsFrom(needed(values['geometry'], '--geometry'));
      const size = check(sizeOption, values['size'] ?? '600x400', '--size');
      const steps = check(stepsOption, values['steps'] ?? '7', '--steps');
      const without = values['without'] === undefined ? null : oneOf(BRACKET_CORNERS, values['without'], '--without');
      const { lightness } = planFor('fine', steps, seed);
      const scene = layBoard(
        await readSurface(await read(source)),
        geometry,
        { ...size, lightness, without, careless: 1 },
        seed,
      );
      const { widthMm, heightMm, at } = scene;
      return finish(await writeSurface(scene.surface), {
        device: 'board',
        seed,
        widthMm,
        heightMm,
        board: { xMm: at[0], yMm: at[1], ...size },
        steps: scene.steps,
        cells: [],
        dabs: [],
        patches: [],
        markers: [],
        dpi: scene.surface.dpi,
        layout: 'board',
      });
    }
    case 'photograph': {
      const geometry = await geometryFrom(needed(values['geometry'], '--geometry'));
      const condition = oneOf(CAMERA_CONDITIONS, values['condition'], '--condition', 'studio');
      const megapixels = check(megapixelsOption, values['megapixels'] ?? '12', '--megapixels');
      const shot = shotFor(condition, geometry, seed, megapixels);
      const bytes = await photograph(await readSurface(await read(source)), geometry, shot, seed, {
        orientation: values['rotated'] ? 6 : 1,
        location: values['location'] === true,
      });
      return finish(bytes, { device: 'camera', seed, condition, shot });
    }
    default:
      throw new BadArguments(`simulate knows print, paint, read, board and photograph, got "${device ?? ''}".`);
  }
}
