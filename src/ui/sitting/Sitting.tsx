'use client';
/** An evening at the Table: what follows is fetched ahead, what was done can be taken back, and how far it has come is known. */
import type { SittingView } from '@/studio/views/sitting';
import { useParams, useRouter } from 'next/navigation';
import { type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Answer } from '../parts/answer';
import { type SittingHand, SittingContext } from './use-sitting';

interface SittingActions {
  sitDown(handInId: string): Promise<Answer<unknown, SittingView>>;
  takeBackDeed(id: string): Promise<Answer<unknown, { readonly handInId: string }>>;
  sendLetter(attemptId: string): Promise<Answer<unknown, void>>;
}

/** Pictures made for looking are kept by the browser for a minute; they are fetched anew before that is over. */
const FETCH_ANEW_MS = 45_000;

/** Fetches the first pictures of the next hand-in while the teacher looks at this one; its page is fetched by the link to it. */
function usePicturesAhead(next: SittingView['next'] | undefined): void {
  const pictures = next?.pictures.join(' ');
  useEffect(() => {
    if (!pictures) return;
    const fetchAll = () => {
      for (const address of pictures.split(' ')) new Image().src = address;
    };
    fetchAll();
    const again = setInterval(fetchAll, FETCH_ANEW_MS);
    return () => clearInterval(again);
  }, [pictures]);
}

export function Sitting({ children, actions }: { readonly children: ReactNode; readonly actions: SittingActions }) {
  const router = useRouter();
  const { handInId = '' } = useParams<{ handInId?: string }>();
  const [view, setView] = useState<SittingView | null>(null);
  // They are others whenever the page is made anew, and do the same.
  const latest = useRef(actions);
  useEffect(() => {
    latest.current = actions;
  });
  const see = useCallback(async () => {
    const answer = await latest.current.sitDown(handInId).catch(() => null);
    if (answer?.ok) setView(answer.value);
    return answer?.ok ? answer.value : null;
  }, [handInId]);
  const look = useCallback(async () => void (await see()), [see]);
  const came = useRef('');
  useEffect(() => {
    const isAhead = came.current !== '' && came.current !== handInId;
    came.current = handInId;
    // What was fetched ahead was so before the last decision; the first page of a visit is as it is now.
    void look().then(() => isAhead && router.refresh());
  }, [look, router, handInId]);
  usePicturesAhead(view?.next);

  const hand = useMemo((): SittingHand => {
    return {
      view,
      look,
      async goOn() {
        // Whoever decides before it is known what follows waits for that.
        const known = view ?? (await see());
        if (known?.next) router.push(`/table/${known.next.handInId}`);
        else if (known?.holds) router.push('/');
        else {
          router.refresh();
          await look();
        }
      },
      async takeBack() {
        if (!view?.last) return '';
        const answer = await latest.current.takeBackDeed(view.last.id);
        if (answer.ok && answer.value.handInId !== handInId) router.push(`/table/${answer.value.handInId}`);
        else await look();
        return answer.ok ? '' : answer.say;
      },
      async send(attemptId) {
        const answer = await latest.current.sendLetter(attemptId);
        await look();
        return answer;
      },
    };
  }, [view, see, look, router, handInId]);
  return <SittingContext value={hand}>{children}</SittingContext>;
}
