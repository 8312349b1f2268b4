/** What other teachers think of an attempt, as its own teacher sees it. */
import type { Verdict } from '@/core/critique/verdict';
import { opinions, user } from '@/data/schema/tables';
import { asc, eq } from 'drizzle-orm';
import type { House } from '../house';

export interface OpinionView {
  readonly id: string;
  /** The teacher who was asked: id, and name. */
  readonly ofId: string;
  readonly of: string;
  readonly question: string;
  /** Null until they have said it. */
  readonly word: string | null;
  readonly verdict: Verdict | null;
}

/** In the order in which they were asked. Whoever calls has seen to it that the attempt may be looked at. */
export async function opinionsOn(house: House, attemptId: string): Promise<OpinionView[]> {
  return house.db
    .select({
      ...{ id: opinions.id, ofId: user.id, of: user.name, question: opinions.question },
      ...{ word: opinions.word, verdict: opinions.verdict },
    })
    .from(opinions)
    .innerJoin(user, eq(opinions.of, user.id))
    .where(eq(opinions.attemptId, attemptId))
    .orderBy(asc(opinions.createdAt), asc(opinions.id));
}
