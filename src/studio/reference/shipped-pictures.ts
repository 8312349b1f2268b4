/** Pictures that ship with Fair Grey, rendered by it, for classes that have none of their own yet. */
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { NotFound, type Teacher } from '../access/actor';
import type { House } from '../house';
import { bringIn } from './references';

const FOLDER = path.resolve(/*turbopackIgnore: true*/ process.cwd(), 'assets/references');
const aboutSchema = z.object({ name: z.string(), title: z.string() });

export interface ShippedPicture {
  readonly name: string;
  readonly title: string;
}

/** Sorted by title; none where the folder is not there. */
export async function shippedPictures(): Promise<ShippedPicture[]> {
  const names = await readdir(FOLDER).catch(() => []);
  const all = await Promise.all(
    names.map(async (name) =>
      aboutSchema.parse(JSON.parse(await readFile(path.join(FOLDER, name, 'about.json'), 'utf8'))),
    ),
  );
  return all.sort((a, b) => a.title.localeCompare(b.title));
}

/** Brings one of them in as any other picture; its id. */
export async function bringShippedIn(house: House, teacher: Teacher, name: string): Promise<string> {
  const picture = (await shippedPictures()).find((p) => p.name === name);
  if (!picture) throw new NotFound();
  return bringIn(house, teacher, path.join(FOLDER, picture.name, 'picture.jpg'), {
    title: picture.title,
    source: 'rendered by Fair Grey',
    licence: 'anybody, for anything',
    note: '',
  });
}
