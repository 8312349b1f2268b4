/** A painting beside other pictures: its own first, the exemplars of its reference, one more that is asked for, and nobody else's. */
import { referencePictures } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { NotFound, Refused } from '../access/actor';
import { measureAttempt } from '../hand-in/measuring';
import { bringIn, referenceFor } from '../reference/references';
import { ORIGIN, paintedInValues, pictureFile, valuesFrom } from '../test-picture';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { besideOthers } from './beside';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

async function painted() {
  const { house, bea } = studio;
  const { referenceId, exerciseId } = await valuesFrom(studio);
  studio.nextPainting(await paintedInValues());
  const id = await studio.send(bea, 10, exerciseId);
  await measureAttempt(house, id);
  return { id, referenceId };
}
const another = async (title: string, seed: number) =>
  bringIn(studio.house, studio.teacher, await pictureFile(studio, seed), { ...ORIGIN, title });

test('the painting stands first, its exemplars after it, and one more where it is asked for', async () => {
  const { house, teacher } = studio;
  const { id, referenceId } = await painted();
  const [lamp, can] = [await another('A lamp', 30), await another('A can', 60)];
  expect((await besideOthers(house, teacher, id, null)).seen.map((s) => s.title)).toEqual(['The painting']);
  const { preparation } = await referenceFor(house, teacher, referenceId);
  await house.db
    .update(referencePictures)
    .set({ preparation: { ...preparation, exemplars: [lamp, 'gone since'] } })
    .where(eq(referencePictures.id, referenceId));
  const { seen, others } = await besideOthers(house, teacher, id, can);
  expect(seen.map((s) => s.title)).toEqual(['The painting', 'A lamp', 'A can']);
  expect(others.map((o) => o.id)).toEqual([referenceId]);
  for (const { greys, thirds, says } of seen) {
    expect(says).toHaveLength(3);
    for (const address of [greys, thirds]) {
      const png = Buffer.from(address.split(',')[1] ?? '', 'base64');
      expect((await sharp(png).metadata()).format).toBe('png');
    }
  }
});

test('nobody else lays it beside anything, and what was not measured stands beside nothing', async () => {
  const { house, teacher, bea } = studio;
  const { id } = await painted();
  await expect(besideOthers(house, { ...teacher, userId: 'other' }, id, null)).rejects.toThrow(NotFound);
  expect((await besideOthers(house, teacher, id, 'no such picture')).seen).toHaveLength(1);
  await expect(besideOthers(house, teacher, await studio.send(bea, 99), null)).rejects.toThrow(Refused);
});
