/** Two teachers, or two windows of one, write the same at once: the later is told, and sees both. */
import type { LoggedMix } from '@/core/mixing/logged-mix';
import { emptySetUp } from '@/core/reference/set-up';
import { editItem, setWord } from '../critique/critiquing';
import { measureAttempt } from '../hand-in/measuring';
import { addPrinter, addReadings, printersOf } from '../mixing/finders';
import { logMixByHand, paletteFor, setPalette, takeOutMix } from '../mixing/palettes';
import { bringIn, keepPreparation, referenceFor } from '../reference/references';
import { keepNewSetUp, keepSetUp, setUpFor } from '../reference/set-ups';
import { ORIGIN, pictureFile } from '../test-picture';
import { eachInNewStudio, saidOf, type TestStudio } from '../test-studio';
import { tableOf } from '../views/table';
import { attemptFor } from './actor';
import { ChangedMeanwhile } from './meanwhile';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

interface Place {
  /** Writes one of two things, over the writing that was seen. */
  write(which: 0 | 1, seen: number): Promise<unknown>;
  /** Which of the two stands there. */
  stands(): Promise<0 | 1>;
  written(): Promise<number>;
}

const STREAKY = 'streaky steps 3';
const WORDS = ['Four and five are twins.', 'Mix four anew.'] as const;
const which = (isFirst: boolean): 0 | 1 => (isFirst ? 0 : 1);

async function measured(): Promise<string> {
  const id = await studio.send(studio.bea, 10);
  await measureAttempt(studio.house, id);
  return id;
}

async function critiqueOf(attemptId: string) {
  const { handIn } = await attemptFor(studio.house, studio.teacher, attemptId);
  const { attempts } = await tableOf(studio.house, studio.teacher, handIn.id);
  const critique = attempts.find((a) => a.id === attemptId)?.critique;
  if (!critique) throw new Error('Nothing is said of it.');
  return critique;
}

const PLACES: Record<string, () => Promise<Place>> = {
  async 'the word'() {
    const id = await measured();
    return {
      write: (k, seen) => setWord(studio.house, studio.teacher, id, WORDS[k], seen),
      stands: async () => which((await critiqueOf(id)).word === WORDS[0]),
      written: async () => (await critiqueOf(id)).written,
    };
  },
  async 'a finding'() {
    const id = await measured();
    return {
      write: (k, seen) => editItem(studio.house, studio.teacher, id, STREAKY, { say: WORDS[k] }, seen),
      stands: async () => which((await saidOf(studio, id)).find((i) => i.original.key === STREAKY)?.say === WORDS[0]),
      written: async () => (await critiqueOf(id)).changes[STREAKY] ?? 0,
    };
  },
  async 'a reference'() {
    const { house, teacher } = studio;
    const id = await bringIn(house, teacher, await pictureFile(studio), ORIGIN);
    const { preparation } = await referenceFor(house, teacher, id);
    return {
      write: (k, seen) => keepPreparation(house, teacher, id, { ...preparation, tones: 3 + k }, seen),
      stands: async () => which((await referenceFor(house, teacher, id)).preparation.tones === 3),
      written: async () => (await referenceFor(house, teacher, id)).revision,
    };
  },
  async 'a set-up'() {
    const { house, teacher } = studio;
    const id = await keepNewSetUp(house, teacher, { title: 'Jug', note: '' });
    return {
      write: (k, seen) => keepSetUp(house, teacher, id, { title: 'Jug', note: WORDS[k], setUp: emptySetUp() }, seen),
      stands: async () => which((await setUpFor(house, teacher, id)).note === WORDS[0]),
      written: async () => (await setUpFor(house, teacher, id)).written,
    };
  },
  'the paints of a palette': () => {
    const { house, teacher, classId } = studio;
    const now = () => paletteFor(house, teacher, classId, 'gouache');
    const third = ['burnt-umber', 'ultramarine'] as const;
    return Promise.resolve({
      write: (k, seen) =>
        setPalette(house, teacher, classId, 'gouache', { paints: ['titanium-white', 'ivory-black', third[k]] }, seen),
      stands: async () => which((await now()).paints.includes(third[0])),
      written: async () => (await now()).written,
    });
  },
  'figures of a paint': () => {
    const { house, teacher, classId } = studio;
    const now = () => paletteFor(house, teacher, classId, 'gouache');
    return Promise.resolve({
      write: (k, seen) =>
        setPalette(
          house,
          teacher,
          classId,
          'gouache',
          { figures: { 'ivory-black': { massTone: [20, 1, 1], tinting: 6 + k } } },
          seen,
        ),
      stands: async () => which((await now()).figures['ivory-black']?.tinting === 6),
      written: async () => (await now()).written,
    });
  },
};

test.each(Object.keys(PLACES))(
  '%s: of two who write at once the second is told, and sees what stands',
  async (name) => {
    const place = await (PLACES[name] as () => Promise<Place>)();
    const seen = await place.written();
    const [first, second] = await Promise.allSettled([place.write(0, seen), place.write(1, seen)]);
    expect([first.status, second.status].toSorted()).toEqual(['fulfilled', 'rejected']);
    const kept = which(first.status === 'fulfilled');
    expect(await place.stands()).toBe(kept);
    const refused = [first, second].find((end) => end.status === 'rejected');
    const clash = refused?.reason as ChangedMeanwhile;
    expect(clash).toBeInstanceOf(ChangedMeanwhile);
    expect(clash.written).toBe(await place.written());

    // The same once more loses nothing, and so is no trouble.
    await place.write(kept, seen);
    expect(await place.written()).toBe(clash.written);
    // Having seen both, the second may be kept.
    await place.write(kept === 0 ? 1 : 0, clash.written);
    expect(await place.stands()).not.toBe(kept);
  },
);

test('what stands is handed to whoever comes later', async () => {
  const id = await measured();
  const { house, teacher } = studio;
  await setWord(house, teacher, id, WORDS[0], 0);
  await expect(setWord(house, teacher, id, WORDS[1], 0)).rejects.toMatchObject({ theirs: WORDS[0], written: 1 });
  await editItem(house, teacher, id, STREAKY, { dropped: true }, 0);
  await expect(editItem(house, teacher, id, STREAKY, { say: WORDS[1] }, 0)).rejects.toMatchObject({
    theirs: { say: null, action: null, dropped: true },
    written: 1,
  });
});

test('readings of two who read one printer at once are both kept', async () => {
  const { house, teacher } = studio;
  const printer = await addPrinter(house, teacher, 'The one by the door');
  const chart = (from: number) =>
    Array.from({ length: 10 }, (_, k) => ({ code: from + k * 25, lightness: 10 + (from + k * 25) / 3 }));
  await Promise.all([addReadings(house, teacher, printer, chart(0)), addReadings(house, teacher, printer, chart(5))]);
  expect((await printersOf(house, teacher))[0]?.readings).toHaveLength(20);
});

test('mixes that are logged at once are all learnt from', async () => {
  const { house, teacher, classId } = studio;
  const mix = (black: number, lightness: number): LoggedMix => ({
    parts: { 'titanium-white': 100 - black, 'ivory-black': black },
    ...{ lightness, a: null, b: null, wet: false, noise: 1 },
  });
  await Promise.all([
    logMixByHand(house, teacher, classId, 'gouache', mix(5, 41)),
    logMixByHand(house, teacher, classId, 'gouache', mix(1, 68)),
    setPalette(
      house,
      teacher,
      classId,
      'gouache',
      { figures: { 'ivory-black': { massTone: [20, 0, 0], tinting: 6 } } },
      0,
    ),
  ]);
  const { fit, figures, mixes } = await paletteFor(house, teacher, classId, 'gouache');
  expect(mixes).toHaveLength(2);
  expect(figures['ivory-black']?.tinting).toBe(6);
  expect(fit?.after).toHaveLength(2);
  // As if they had come one after the other.
  await logMixByHand(house, teacher, classId, 'gouache', mix(10, 35));
  const again = await paletteFor(house, teacher, classId, 'gouache');
  await takeOutMix(house, teacher, classId, again.mixes.at(-1)?.id ?? '');
  expect((await paletteFor(house, teacher, classId, 'gouache')).fit).toEqual(fit);
});
