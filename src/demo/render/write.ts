/**
 * Renders the reference pictures and writes each beside its masks: what the light reaches, halftone and highlight in it,
 * what it does not reach, cast shadow in it, and which thing is where.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { PARTS } from './seen';
import { render, type Rendered } from './render';
import { PLACES } from './places';
import type { Scene } from './scene';
import { STILL_LIFES } from './still-lifes';

const LONG_SIDE_PX = 1600;
const FINENESS = { atEdges: 12, ways: 1 };

/** Which parts make up each mask. */
const MASKS: Record<string, readonly (typeof PARTS)[number][]> = {
  light: ['light', 'halftone', 'highlight'],
  halftone: ['halftone'],
  highlight: ['highlight'],
  shadow: ['shadow', 'cast-shadow'],
  'cast-shadow': ['cast-shadow'],
};

async function write(scene: Scene, { width, height, codes, thingOf, partOf }: Rendered, folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const grey = (data: Uint8Array) => sharp(data, { raw: { width, height, channels: 1 } });
  await sharp(codes, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    .toFile(path.join(folder, 'picture.jpg'));
  for (const [name, parts] of Object.entries(MASKS)) {
    const mask = partOf.map((p, i) =>
      (thingOf[i] === 0 ? name === 'light' : parts.includes(PARTS[p] ?? 'light')) ? 255 : 0,
    );
    await grey(mask)
      .png({ palette: true, colours: 2, compressionLevel: 9 })
      .toFile(path.join(folder, `${name}.png`));
  }
  await grey(thingOf).png({ compressionLevel: 9 }).toFile(path.join(folder, 'things.png'));
  const { name, title, things } = scene;
  writeFileSync(
    path.join(folder, 'about.json'),
    `${JSON.stringify({ name, title, things: things.map((t) => t.name) }, null, 2)}\n`,
  );
}

const [only, out] = [process.argv[2], path.resolve('assets/references')];
for (const scene of [...STILL_LIFES(), ...PLACES()].filter((s) => only === undefined || s.name === only)) {
  console.log(scene.name);
  await write(
    scene,
    render(scene, Math.round(LONG_SIDE_PX * Math.min(1, scene.aspect)), FINENESS),
    path.join(out, scene.name),
  );
}
