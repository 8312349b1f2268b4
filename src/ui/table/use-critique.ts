'use client';
/** One hand-in worked with two hands on the keyboard: which finding is picked, what is done with it, what was decided. */
import { HEADLINES } from '@/core/critique/finding';
import type { SaidItem } from '@/core/critique/letter';
import { type Grouping, grouped } from '@/core/critique/passes';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { useHold } from '../instruments/HoldButton';
import { useKeys } from '../parts/use-keys';
import { useNews } from '../parts/use-news';
import { useSitting } from '../sitting/use-sitting';
import type { Answer } from '../parts/answer';
import type { ItemChange, TableProps } from './table-props';

type Said = NonNullable<NonNullable<TableProps['shown']>['critique']>;
const NOTHING_SAID: Pick<Said, 'changes' | 'whys'> = { changes: {}, whys: {} };

/** What can stand in place of the pictures. */
export type Board = 'marks' | 'correction' | 'beside' | 'alike' | 'tries';

const UNREACHED = 'The studio can’t be reached just now. Nothing that was kept is lost; try once more.';

export type Critique = ReturnType<typeof useCritique>;

export function useCritique({ handIn, shown, isCurrent, phrases, part, tries, actions }: TableProps) {
  const router = useRouter();
  const sitting = useSitting();
  const isPainting = part?.kind === 'painting';
  const [chosen, setChosen] = useState(0);
  const [editing, setEditing] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const [grouping, setGrouping] = useState<Grouping>('pass');
  const [whyOpen, setWhyOpen] = useState(false);
  const [help, setHelp] = useState(false);
  const [board, setBoard] = useState<Board | null>(null);
  const [remarking, setRemarking] = useState(false);
  const [trouble, setTrouble] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const [busy, start] = useTransition();
  const squint = useHold();
  const original = useHold();
  const underWay = shown?.state === 'queued' || shown?.state === 'measuring';
  const isWaitedFor = underWay || (shown?.state === 'measured' && !shown.hasPreview);
  useNews(shown?.id ?? null, isWaitedFor, ({ state, stage }) => {
    // What is being done at the moment is no news here; that it is done is.
    if (state !== 'measuring' || stage === null) router.refresh();
  });

  const items = shown?.critique?.items ?? [];
  const works = items.filter((i) => i.original.kind === 'works');
  const fixes = items.filter((i) => i.original.kind === 'fix');
  const headlines = fixes.slice(0, HEADLINES);
  const rest = grouped(fixes.slice(HEADLINES), (i) => i.original, grouping);
  const visible = [...works, ...headlines, ...(all ? rest.flatMap((group) => group.items) : [])];
  const first = fixes.find((i) => !i.dropped)?.original.key ?? null;
  const pick: SaidItem | undefined = visible[chosen];
  const frozen = !isCurrent || (shown?.critique?.sentAt ?? null) !== null;

  /** Asks the studio something that changes nothing; what it answers is told, and handed on to whoever asked. */
  const look = <A extends Answer<unknown, unknown>>(work: () => Promise<A>): Promise<A> => {
    const answered = work();
    start(async () => {
      // Without a connection the page stays, with all that stands on it.
      const answer = await answered.catch(() => null);
      setTrouble(answer === null ? UNREACHED : answer.ok ? '' : answer.say);
    });
    return answered;
  };
  /** Asks it to change something, and shows what came of it. */
  const ask = <A extends Answer<unknown, unknown>>(work: () => Promise<A>): Promise<A> =>
    look(async () => {
      const answer = await work();
      router.refresh();
      void sitting.look();
      return answer;
    });
  const run = (work: () => Promise<Answer<unknown, unknown>>) => void ask(work);
  const go = (id: string | null) => id && router.push(`/table/${id}`);
  const verdict = (v: string) => {
    if (!shown || frozen) return;
    // What was refused once is sent when it is asked for again.
    const isSure = refused === v;
    void look(() => actions.giveVerdict(shown.id, v, isSure)).then((answer) => {
      setRefused(answer.ok ? null : v);
      if (answer.ok) void sitting.goOn();
    });
  };
  const isHeld = shown?.verdict !== null && handIn.state === 'held';
  const send = () => shown && isHeld && run(() => sitting.send(shown.id));
  const takeBack = () => start(async () => setTrouble(await sitting.takeBack().catch(() => UNREACHED)));
  const withdraw = () => shown && run(() => actions.withdrawVerdict(shown.id));
  const attemptId = shown?.id ?? '';
  const change = (key: string, c: ItemChange, seen: number) => ask(() => actions.changeItem(attemptId, key, c, seen));
  const { changes, whys } = shown?.critique ?? NOTHING_SAID;
  /** Picks the first finding that is said of something. */
  const choose = (isOf: (where: SaidItem['original']['where']) => boolean) => {
    const at = visible.findIndex((i) => isOf(i.original.where));
    if (at >= 0) setChosen(at);
  };

  const keys: Record<string, () => void> = {
    ArrowRight: () => go(handIn.next),
    ArrowLeft: () => go(handIn.previous),
    ArrowDown: () => setChosen((c) => Math.min(visible.length - 1, c + 1)),
    ArrowUp: () => setChosen((c) => Math.max(0, c - 1)),
    d: () =>
      pick && !frozen && void change(pick.original.key, { dropped: !pick.dropped }, changes[pick.original.key] ?? 0),
    e: () => pick && !frozen && setEditing(pick.original.key),
    h: () => tries.length > 0 && setBoard('tries'),
    i: () => isPainting && setBoard('beside'),
    k: () => shown?.critique && setBoard('marks'),
    l: () => shown?.critique && setBoard('correction'),
    n: () => shown?.critique && !frozen && setRemarking(true),
    p: () => verdict('pass'),
    g: () => verdict('again'),
    u: takeBack,
    w: () => shown?.verdict && withdraw(),
    Enter: send,
    y: () => setWhyOpen((open) => !open),
    '?': () => setHelp(true),
  };
  // On the boards keys draw, and in a remark they write.
  const isElsewhere = board !== null || remarking;
  useKeys(isElsewhere ? {} : keys, isElsewhere ? {} : { s: squint.hold, o: original.hold });

  const editable = {
    first,
    phrases,
    changes,
    whys,
    whyOpen,
    onWhy: setWhyOpen,
    chosen,
    editing,
    frozen,
    onChoose: setChosen,
    onEdit: setEditing,
    onChange: change,
  };
  return {
    ...{ works, fixes, headlines, rest, grouping, setGrouping, editable, all, setAll, pick, choose },
    ...{
      /** Whether keys belong to a board or a text, and not to what the Table shows. */
      isElsewhere,
      help,
      setHelp,
      remarking,
      setRemarking,
      board,
      setBoard,
      isPainting,
      trouble,
      busy,
      underWay,
      frozen,
      run,
      ask,
      look,
      verdict,
      withdraw,
      send,
      takeBack,
    },
    ...{ squint, original },
  };
}
