/** `simulate print|paint|photograph`: what the simulated devices do to a sheet, with the exact truth. */
import { readFile, writeFile } from 'node:fs/promises';
import { geometrySchema } from '@/core/sheet/geometry';
import { CAMERA_CONDITIONS, shotFor } from '@/devices/camera-conditions';
import { photograph } from '@/devices/camera';
import { paint } from '@/devices/painter';
import { PAINT_CONDITIONS, planFor } from '@/devices/paint-conditions';
import { print, PRINTER_CONDITIONS } from '@/devices/printer';
import { readSurface, writeSurface } from '@/devices/reflectance';
import { BadArguments, callerPath, check, needed, oneOf, readOptions, seedOption } from './arguments';

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

export async function simulate(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(
    args,
    ['seed', 'condition', 'out', 'truth', 'geometry'],
    ['json', 'rotated', 'location'],
  );
  const [device, source] = positionals;
  const seed = check(seedOption, values['seed'] ?? '1', '--seed');
  const out = callerPath(needed(values['out'], '--out'));
  if (!source) throw new BadArguments('simulate needs a device and a file, as "simulate print SHEET.png".');
  const finish = async (bytes: Buffer, truth: object): Promise<unknown> => {
    await writeFile(out, bytes);
    if (typeof values['truth'] === 'string') await writeFile(callerPath(values['truth']), JSON.stringify(truth, null, 2));
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
      const { surface, truth } = paint(await readSurface(await read(source)), geometry.cells, planFor(condition, geometry.cells.length, seed), seed);
      return finish(await writeSurface(surface), truth);
    }
    case 'photograph': {
      const geometry = await geometryFrom(needed(values['geometry'], '--geometry'));
      const condition = oneOf(CAMERA_CONDITIONS, values['condition'], '--condition', 'studio');
      const shot = shotFor(condition, geometry, seed);
      const bytes = await photograph(await readSurface(await read(source)), geometry, shot, seed, {
        orientation: values['rotated'] ? 6 : 1,
        location: values['location'] === true,
      });
      return finish(bytes, { device: 'camera', seed, condition, shot });
    }
    default:
      throw new BadArguments(`simulate knows print, paint and photograph, got "${device ?? ''}".`);
  }
}
