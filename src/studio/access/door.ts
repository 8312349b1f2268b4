/**
 * The door where codes are typed in. Wrong ones are counted, by what they were for and where they came from, in the database:
 * all processes count together. It stays closed for longer each time. A device that somebody came in by before is counted by
 * itself, so that nobody can shut a class or a teacher out by trying wrong codes elsewhere.
 */
import type { Database } from '@/data/database/engine';
import { newId } from '@/data/schema/ids';
import { doorTries } from '@/data/schema/tables';
import type { Auth, DoorOf, SignedIn } from '@/data/sign-in/auth';
import { lt } from 'drizzle-orm';
import pLimit, { type LimitFunction } from 'p-limit';
import { RateLimiterDrizzle } from 'rate-limiter-flexible';

const TRIES = { points: 5, seconds: 60 } as const;
/** It is closed for so long the first time of a day, then twice as long each time. */
const CLOSED_SECONDS = { first: 60, most: 900 } as const;
const DAY_SECONDS = 86_400;
/** More than anybody counts to: these are only counted. */
const ONLY_COUNTED = 1_000_000;

export interface Caller {
  readonly address: string;
  /** What a device was given when somebody came in by it; null or forged ones count for nothing. */
  readonly device: string | null;
}

export type AtDoor =
  | { readonly kind: 'in'; readonly signedIn: SignedIn; readonly device: string }
  | { readonly kind: 'wrong' }
  /** What was given is right and not enough. */
  | { readonly kind: 'more' }
  | { readonly kind: 'closed'; readonly seconds: number };

/** Uploads of a student within an hour: more than anybody paints, less than a disk holds. */
export const UPLOADS_AN_HOUR = 60;
const HOUR_SECONDS = 3600;

/** Null is wrong; `more` is right so far. */
export type Check = () => Promise<SignedIn | 'more' | null>;

export interface Door {
  /** Counts a picture of a student's on its way in; false where there were too many within an hour. */
  countUpload(studentId: string): Promise<boolean>;

  /** Looks at a code with `check`, unless too many were wrong. Right ones are never counted. */
  come(to: DoorOf, from: Caller, check: Check): Promise<AtDoor>;
  /** What a door is known by, however it was asked for. */
  nameOf(of: DoorOf): string;
  /** How often it was closed within a day because of wrong tries. */
  closings(of: DoorOf): Promise<number>;
  /** Forgets what counts no longer. */
  tidy(): Promise<void>;
}

export function openDoor(db: Database, { mark, comparable }: Pick<Auth, 'mark' | 'comparable'>): Door {
  const counted = (keyPrefix: string, points: number, duration: number) =>
    new RateLimiterDrizzle({
      ...{ storeClient: db, schema: doorTries, keyPrefix, points, duration },
      // `tidy` does so, from the process that looks after all else.
      clearExpiredByTimeout: false,
    });
  const wrong = counted('wrong', TRIES.points, TRIES.seconds);
  const rounds = counted('rounds', ONLY_COUNTED, DAY_SECONDS);
  const closed = counted('closed', ONLY_COUNTED, DAY_SECONDS);
  const uploads = counted('uploads', UPLOADS_AN_HOUR, HOUR_SECONDS);
  // Tries from one place are looked at one by one, so that many at once are no way round.
  const oneByOne = new Map<string, LimitFunction>();

  const nameOf = (of: DoorOf) => mark(`door of ${JSON.stringify(comparable(of))}`);
  const markOf = (name: string, id: string) => `${id}.${mark(`device ${id} at ${name}`)}`;
  const isKnown = (name: string, device: string | null): device is string =>
    device !== null && device === markOf(name, device.split('.')[0] ?? '');

  async function countWrong(name: string, key: string): Promise<void> {
    const { consumedPoints } = await wrong.penalty(key);
    if (consumedPoints < TRIES.points) return;
    const { consumedPoints: round } = await rounds.penalty(key);
    await closed.penalty(name);
    await wrong.block(key, Math.min(CLOSED_SECONDS.most, CLOSED_SECONDS.first * 2 ** (round - 1)));
  }

  async function look(name: string, key: string, device: string | null, check: Check): Promise<AtDoor> {
    const before = await wrong.get(key);
    if (before && before.consumedPoints >= TRIES.points)
      return { kind: 'closed', seconds: Math.ceil(before.msBeforeNext / 1000) };
    const signedIn = await check();
    if (signedIn === 'more') return { kind: 'more' };
    if (signedIn) return { kind: 'in', signedIn, device: device ?? markOf(name, newId()) };
    await countWrong(name, key);
    return { kind: 'wrong' };
  }

  return {
    nameOf,
    async come(to, { address, device: given }, check) {
      const name = nameOf(to);
      const device = isKnown(name, given) ? given : null;
      const key = device === null ? `${name} from ${mark(`address ${address}`)}` : mark(device);
      const queue = oneByOne.get(key) ?? pLimit(1);
      oneByOne.set(key, queue);
      try {
        return await queue(() => look(name, key, device, check));
      } finally {
        if (queue.activeCount + queue.pendingCount === 0) oneByOne.delete(key);
      }
    },
    async countUpload(studentId) {
      const { consumedPoints } = await uploads.penalty(studentId);
      return consumedPoints <= UPLOADS_AN_HOUR;
    },
    async closings(of) {
      return (await closed.get(nameOf(of)))?.consumedPoints ?? 0;
    },
    async tidy() {
      await db.delete(doorTries).where(lt(doorTries.expire, new Date()));
    },
  };
}
