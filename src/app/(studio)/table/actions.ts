'use server';
import { VERDICTS } from '@/core/critique/verdict';
import { keepCorrection, removeCorrection, sendWithLetter, setCorrectionAside } from '@/studio/critique/correcting';
import { editItem, setWord } from '@/studio/critique/critiquing';
import { decide, withdraw } from '@/studio/critique/deciding';
import type { StandingEdit } from '@/studio/critique/standing';
import { drawMark, takeMarkBack } from '@/studio/critique/marking';
import { type Beside, besideOthers } from '@/studio/views/beside';
import type { KeptCorrection } from '@/studio/views/corrections';
import { type RescueOffer, rescueOffers } from '@/studio/views/rescue-offers';
import { askOpinion, takeQuestionBack } from '@/studio/critique/opinions';
import { answerReply } from '@/studio/critique/replies';
import { holdsLetters } from '@/studio/critique/sitting';
import { speakTo } from '@/studio/critique/register';
import { keepRemark, sayOwn } from '@/studio/critique/remarks';
import {
  acceptReading,
  judgeAgain,
  measureAnew,
  READING_SCOPES,
  setFrameIsDark,
  takeReadingsBack,
} from '@/studio/hand-in/notan-hand-ins';
import { tryAgain } from '@/studio/hand-in/receive';
import { paintMasses } from '@/studio/reference/set-ups';
import { seenSchema } from '@/studio/access/meanwhile';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const edit = z.object({ say: z.string().optional(), action: z.string().optional(), dropped: z.boolean().optional() });

async function act<T = null, Theirs = unknown>(
  work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>,
): Promise<Outcome<T, Theirs>> {
  const done = await look<T, Theirs>(work);
  revalidatePath('/', 'layout');
  return done;
}

/** The same of what changes nothing. */
async function look<T, Theirs = unknown>(
  work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>,
): Promise<Outcome<T, Theirs>> {
  const at = await teacherOnly();
  return outcome<T, Theirs>(() => work(at));
}

export async function changeItem(
  attemptId: string,
  key: string,
  change: unknown,
  seen: number,
): Promise<Outcome<void, StandingEdit>> {
  return act(({ house, teacher }) =>
    editItem(house, teacher, attemptId, z.string().max(300).parse(key), edit.parse(change), seenSchema.parse(seen)),
  );
}
export async function changeWord(attemptId: string, word: string, seen: number): Promise<Outcome<number, string>> {
  return act(({ house, teacher }) =>
    setWord(house, teacher, attemptId, z.string().parse(word), seenSchema.parse(seen)),
  );
}
export async function sayOfOwn(attemptId: string, own: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => sayOwn(house, teacher, attemptId, own));
}
export async function keepOwnRemark(remark: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => keepRemark(house, teacher, remark));
}
export async function markPicture(attemptId: string, mark: unknown): Promise<Outcome<string>> {
  return act(({ house, teacher }) => drawMark(house, teacher, attemptId, mark));
}
export async function takeBackMark(attemptId: string, id: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => takeMarkBack(house, teacher, attemptId, z.string().max(60).parse(id)));
}
const idSchema = z.string().max(60);

export async function correctPicture(
  attemptId: string,
  given: unknown,
  seen: number,
): Promise<Outcome<KeptCorrection>> {
  return act(({ house, teacher }) => keepCorrection(house, teacher, attemptId, given, seenSchema.parse(seen)));
}
export async function sendCorrection(attemptId: string, id: string | null): Promise<Outcome<void>> {
  return act(({ house, teacher }) => sendWithLetter(house, teacher, attemptId, idSchema.nullable().parse(id)));
}
export async function setCorrectionApart(attemptId: string, id: string, why: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) =>
    setCorrectionAside(house, teacher, attemptId, idSchema.parse(id), z.string().parse(why)),
  );
}
export async function dropCorrection(attemptId: string, id: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => removeCorrection(house, teacher, attemptId, idSchema.parse(id)));
}
export async function layBefore(attemptId: string, question: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => askOpinion(house, teacher, attemptId, question));
}
export async function unask(attemptId: string, id: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => takeQuestionBack(house, teacher, attemptId, idSchema.parse(id)));
}
export async function lookBeside(attemptId: string, also: string | null): Promise<Outcome<Beside>> {
  return look(({ house, teacher }) => besideOthers(house, teacher, attemptId, idSchema.nullable().parse(also)));
}
export async function proposeRescue(attemptId: string): Promise<Outcome<RescueOffer[]>> {
  return look(({ house, teacher }) => rescueOffers(house, teacher, attemptId));
}
export async function answerTo(attemptId: string, text: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => answerReply(house, teacher, attemptId, z.string().parse(text)));
}
export async function writeFor(handInId: string, register: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => speakTo(house, teacher, handInId, register));
}
/** What follows is another hand-in: no page is made anew of this one. */
export async function giveVerdict(attemptId: string, verdict: string, isSure: boolean): Promise<Outcome<void>> {
  return look(async ({ house, teacher }) =>
    decide(house, teacher, attemptId, z.enum(VERDICTS).parse(verdict), {
      isSure: z.boolean().parse(isSure),
      holds: await holdsLetters(house, teacher),
    }),
  );
}
export async function withdrawVerdict(attemptId: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => withdraw(house, teacher, attemptId));
}
export async function measureOnceMore(attemptId: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => tryAgain(house, teacher, attemptId));
}

export async function acceptAsReading(attemptId: string, region: string, scope: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) =>
    acceptReading(house, teacher, attemptId, z.string().max(40).parse(region), z.enum(READING_SCOPES).parse(scope)),
  );
}
export async function judgeOnceMore(attemptId: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => judgeAgain(house, teacher, attemptId));
}
export async function measureAgainstNow(attemptId: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => measureAnew(house, teacher, attemptId));
}
export async function forgetReadings(exerciseId: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => takeReadingsBack(house, teacher, exerciseId));
}
export async function judgeByMasses(attemptId: string, edits: unknown): Promise<Outcome<void>> {
  return act(({ house, teacher }) => paintMasses(house, teacher, attemptId, edits));
}
export async function takeFrameAsDark(attemptId: string, frameIsDark: boolean): Promise<Outcome<void>> {
  return act(({ house, teacher }) => setFrameIsDark(house, teacher, attemptId, z.boolean().parse(frameIsDark)));
}
