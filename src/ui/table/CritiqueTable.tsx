'use client';
/** The Table: one hand-in under critique, worked with two hands on the keyboard. */
import { HEADLINES } from '@/core/critique/scale-critique';
import type { MassEdit, SetUpMass } from '@/core/reference/set-up';
import type { AttemptState, HandInState } from '@/data/schema/tables';
import type { AttemptView } from '@/studio/views';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { AttemptTrouble } from '../hand-in/AttemptTrouble';
import { FrameChoice } from '../hand-in/FrameChoice';
import { GapLadder } from '../instruments/GapLadder';
import { HoldButton, useHold } from '../instruments/HoldButton';
import { ValueRuler } from '../instruments/ValueRuler';
import { KeyList } from '../parts/KeyList';
import { StateMark } from '../parts/StateMark';
import { useKeys } from '../parts/use-keys';
import { useLive } from '../parts/use-live';
import { KEYS, LIFE_KEYS, NOTAN_KEYS } from './critique-keys';
import { DecisionBar } from './DecisionBar';
import { FindingList } from './FindingList';
import { ChipList } from './scale/ChipList';
import { LeastWork } from './scale/LeastWork';
import { ScaleFacts } from './scale/ScaleFacts';
import { StripCompare } from './scale/StripCompare';
import { LifePictures } from './tones/LifePictures';
import { NotanFacts } from './tones/NotanFacts';
import { NotanPictures } from './tones/NotanPictures';
import { ReadingChoice } from './tones/ReadingChoice';

type Answer = { readonly ok: true; readonly value: null } | { readonly ok: false; readonly say: string };

interface Props {
  readonly handInId: string;
  readonly exerciseId: string;
  /** How many readings were accepted for everyone. */
  readonly readingsForEveryone: number;
  readonly student: string;
  readonly title: string;
  readonly state: HandInState;
  readonly labels: readonly string[];
  /** What to add for each step of the least work. */
  readonly repaint: readonly string[] | null;
  readonly targets: readonly number[];
  readonly perRow: number;
  readonly gapPercent: number;
  readonly tall: boolean;
  readonly attempts: readonly { readonly id: string; readonly number: number | null; readonly state: AttemptState }[];
  readonly shown: AttemptView | null;
  readonly isCurrent: boolean;
  /** Whether what was measured against a reference still stands. */
  readonly standing: 'as-it-is' | 'other-reference' | 'other-set-up' | 'other-readings';
  /** What it was painted from in life; null where there was a picture, or nothing that is kept. */
  readonly setUp: { readonly id: string; readonly title: string; readonly masses: readonly SetUpMass[] } | null;
  readonly previous: string | null;
  readonly next: string | null;
  readonly place: string;
  readonly actions: {
    changeItem(
      attemptId: string,
      position: number,
      change: { say?: string; action?: string; dropped?: boolean },
    ): Promise<Answer>;
    changeWord(attemptId: string, word: string): Promise<Answer>;
    giveVerdict(attemptId: string, verdict: string): Promise<Answer>;
    withdrawVerdict(attemptId: string): Promise<Answer>;
    measureOnceMore(attemptId: string): Promise<Answer>;
    acceptAsReading(attemptId: string, region: number, scope: string): Promise<Answer>;
    judgeOnceMore(attemptId: string): Promise<Answer>;
    measureAgainstNow(attemptId: string): Promise<Answer>;
    forgetReadings(exerciseId: string): Promise<Answer>;
    judgeByMasses(attemptId: string, edits: readonly MassEdit[]): Promise<Answer>;
    takeFrameAsDark(attemptId: string, frameIsDark: boolean): Promise<Answer>;
  };
}

export function CritiqueTable(props: Props) {
  const { shown, labels, actions, isCurrent } = props;
  const router = useRouter();
  const [chosen, setChosen] = useState(0);
  const [editing, setEditing] = useState<number | null>(null);
  const squint = useHold();
  const original = useHold();
  const tones = useHold();
  const swap = useHold();
  const over = useHold();
  const [help, setHelp] = useState(false);
  const [all, setAll] = useState(false);
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();

  const underWay = shown?.state === 'queued' || shown?.state === 'measuring';
  useLive(shown?.id ?? null, underWay || (shown?.state === 'measured' && !shown.hasPreview));
  const result = shown?.result ?? null;
  const read = result !== null && result.capture.accepted && result.steps.length > 0;
  const notan = shown?.notan?.capture.accepted && shown.notan.tones.length > 0 ? shown.notan : null;
  const items = shown?.critique?.items ?? [];
  const works = items.filter((i) => i.original.kind === 'works');
  const fixes = items.filter((i) => i.original.kind === 'fix');
  const headlines = all ? fixes : fixes.slice(0, HEADLINES);
  const visible = [...works, ...headlines];
  const pick = visible[chosen];
  const sameBox = (a: { x: number; y: number }, b: { x: number; y: number }) =>
    Math.abs(a.x - b.x) + Math.abs(a.y - b.y) < 1e-6;
  const region =
    notan && pick?.original.where.box
      ? notan.regions.findIndex((r) => pick.original.where.box && sameBox(r.box, pick.original.where.box))
      : -1;
  const life = notan && notan.reference !== 'picture' ? props.setUp : null;
  const view = notan &&
    shown && {
      attemptId: shown.id,
      hasStrip: shown.hasStrip,
      result: notan,
      greys: props.targets,
      labels,
      squint: squint.on,
      tones: tones.on,
      lit: region >= 0 ? region : null,
      box: pick?.original.where.box,
      onPick: (k: number) => {
        const box = notan.regions[k]?.box;
        const at = visible.findIndex((i) => box && i.original.where.box && sameBox(i.original.where.box, box));
        if (at >= 0) setChosen(at);
      },
    };
  const frozen = !isCurrent || (shown?.critique?.sentAt ?? null) !== null;
  const lit = pick?.original.where.steps ?? [];
  const numberUp = (shown?.number ?? 0) > 0 ? `Try ${shown?.number}` : 'Photograph';

  const run = (work: () => Promise<Answer>) =>
    start(async () => {
      const answer = await work();
      setTrouble(answer.ok ? '' : answer.say);
      router.refresh();
    });
  const go = (id: string | null) => id && router.push(`/table/${id}`);
  const verdict = (v: string) => shown && !frozen && run(() => actions.giveVerdict(shown.id, v));
  const change = (position: number, c: Parameters<Props['actions']['changeItem']>[2]) =>
    shown && run(() => actions.changeItem(shown.id, position, c));

  const accept = (scope: 'this' | 'everyone') =>
    shown && region >= 0 && !life && !frozen && run(() => actions.acceptAsReading(shown.id, region, scope));

  useKeys(
    {
      a: () => accept('this'),
      f: () => accept('everyone'),
      ArrowRight: () => go(props.next),
      ArrowLeft: () => go(props.previous),
      ArrowDown: () => setChosen((c) => Math.min(visible.length - 1, c + 1)),
      ArrowUp: () => setChosen((c) => Math.max(0, c - 1)),
      d: () => pick && !frozen && change(pick.position, { dropped: !pick.dropped }),
      e: () => pick && !frozen && setEditing(pick.position),
      p: () => verdict('pass'),
      g: () => verdict('again'),
      w: () => shown?.verdict && run(() => actions.withdrawVerdict(shown.id)),
      '?': () => setHelp(true),
    },
    {
      s: squint.hold,
      o: original.hold,
      ...(notan && { t: tones.hold }),
      ...(notan && !life && { r: swap.hold, m: over.hold }),
    },
  );

  const editable = { chosen, editing, frozen, onChoose: setChosen, onEdit: setEditing, onChange: change };
  return (
    <div className="grid h-[calc(100vh-44px)] min-h-[640px] grid-cols-[minmax(0,1fr)_21rem]">
      <section className="flex min-h-0 min-w-0 flex-col" aria-label="Pictures">
        {original.on && shown?.hasPreview ? (
          <img
            src={`/picture/${shown.id}/preview`}
            alt="The photograph as it came"
            className="h-full w-full object-contain"
          />
        ) : view && life && shown ? (
          <LifePictures
            key={shown.id}
            {...view}
            setUp={life}
            painted={shown.masses}
            frozen={frozen}
            busy={busy}
            judge={(edits) => run(() => actions.judgeByMasses(shown.id, edits))}
          />
        ) : view ? (
          <NotanPictures {...view} swap={swap.on} over={over.on} />
        ) : read ? (
          <>
            <div className="px-4 pt-3">
              <StripCompare
                picture={shown?.hasStrip ? `/picture/${shown.id}/strip` : null}
                targets={props.targets}
                perRow={props.perRow}
                gapPercent={props.gapPercent}
                tall={props.tall}
                squint={squint.on}
                lit={lit}
              />
            </div>
            <div className="mx-4 mb-3 mt-3 min-h-0 flex-1 bg-l93">
              <ValueRuler
                steps={result.steps.map((s, i) => ({
                  label: labels[i] ?? '',
                  lightness: s.lightness,
                  target: s.target,
                  uncertainty: s.ownUncertainty,
                  off: s.flags.includes('off_target'),
                }))}
                lit={lit}
                onPick={(step) => {
                  const at = visible.findIndex((i) => i.original.where.steps.includes(step));
                  if (at >= 0) setChosen(at);
                }}
              />
            </div>
          </>
        ) : (
          <div className="m-4 grid flex-1 place-items-center">
            {shown?.hasPreview && (
              <img
                src={`/picture/${shown.id}/${shown.hasStrip && !result && !shown.notan ? 'strip' : 'preview'}`}
                alt={
                  shown.hasStrip && !result
                    ? 'What was painted, straightened, in true greys'
                    : 'The photograph as it came'
                }
                className="max-h-[80vh] max-w-full"
              />
            )}
          </div>
        )}
      </section>
      <aside className="flex min-h-0 flex-col gap-2 overflow-y-auto bg-l93 p-3" aria-label="Critique">
        <div className="flex items-center gap-2">
          <h1 className="truncate text-18 font-semibold">{props.student}</h1>
          <span className="quiet ml-auto shrink-0">{props.place}</span>
          <button
            type="button"
            className="cursor-pointer rounded-sm border border-l37 px-2 text-13"
            aria-label="Keys"
            onClick={() => setHelp(true)}
          >
            ?
          </button>
        </div>
        <p className="quiet -mt-2 flex items-center justify-between gap-2">
          <span className="truncate">{props.title}</span>
          <StateMark state={props.state} />
        </p>
        {notan && (
          <div className="grid grid-cols-3 gap-1">
            <HoldButton label="Tones" keyName="t" hold={tones} />
            {!life && <HoldButton label="Swap" keyName="r" hold={swap} />}
            {!life && <HoldButton label="Over" keyName="m" hold={over} />}
          </div>
        )}
        {(read || notan) && shown?.hasPreview && (
          <div className="flex gap-2">
            <HoldButton label="Squint" keyName="s" hold={squint} />
            <HoldButton label="Photograph" keyName="o" hold={original} />
          </div>
        )}
        {props.attempts.length > 1 && (
          <nav aria-label="Attempts" className="flex flex-wrap gap-1 text-13">
            {props.attempts.map((a) => (
              <Link
                key={a.id}
                href={`/table/${props.handInId}?attempt=${a.id}`}
                aria-current={a.id === shown?.id}
                className={`rounded-sm px-2 py-0.5 ${a.id === shown?.id ? 'bg-l20 text-l97' : 'bg-l88'}`}
              >
                {a.number ? `Try ${a.number}` : a.state}
              </Link>
            ))}
          </nav>
        )}
        {shown && <AttemptTrouble shown={shown} again={() => run(() => actions.measureOnceMore(shown.id))} />}
        {read && <LeastWork result={result} labels={labels} says={props.repaint} />}
        {read && result.chips.length > 0 && <ChipList chips={result.chips} labels={labels} />}
        {read && (
          <GapLadder
            labels={labels}
            lightness={result.steps.map((s) => s.lightness)}
            flagged={result.gaps.map((g) => g.flags.length > 0)}
          />
        )}
        <FindingList title="What works" items={works} from={0} {...editable} />
        <FindingList title="To mend" items={headlines} from={works.length} {...editable} />
        {fixes.length > HEADLINES && (
          <button type="button" className="cursor-pointer text-left text-13 underline" onClick={() => setAll(!all)}>
            {all ? 'Fold the rest away' : `${fixes.length - HEADLINES} more`}
          </button>
        )}
        {shown?.critique && (
          <label>
            <span className="label">Your own word</span>
            <textarea
              className="field font-letter"
              rows={2}
              defaultValue={shown.critique.word}
              disabled={frozen}
              onBlur={(e) =>
                e.target.value !== shown.critique?.word && run(() => actions.changeWord(shown.id, e.target.value))
              }
            />
          </label>
        )}
        {trouble && (
          <p role="alert" className="trouble">
            {trouble}
          </p>
        )}
        {shown && notan?.frame && (
          <FrameChoice
            frame={notan.frame}
            frozen={frozen}
            busy={busy || underWay}
            choose={(on) => run(() => actions.takeFrameAsDark(shown.id, on))}
          />
        )}
        {shown && notan && (
          <ReadingChoice
            able={region >= 0 && !life}
            standing={props.standing}
            frozen={frozen}
            busy={busy}
            accept={accept}
            judge={() => run(() => actions.judgeOnceMore(shown.id))}
            measure={() => run(() => actions.measureAgainstNow(shown.id))}
            forget={() => run(() => actions.forgetReadings(props.exerciseId))}
            forEveryone={props.readingsForEveryone}
          />
        )}
        {read && <ScaleFacts result={result} labels={labels} numberUp={numberUp} />}
        {notan && <NotanFacts result={notan} labels={labels} numberUp={numberUp} />}
        <DecisionBar
          state={props.state}
          verdict={shown?.verdict ?? null}
          isCurrent={isCurrent}
          busy={busy}
          onVerdict={verdict}
          onWithdraw={() => shown && run(() => actions.withdrawVerdict(shown.id))}
        />
      </aside>
      <KeyList
        keys={notan ? [...KEYS.slice(0, -1), ...(life ? LIFE_KEYS : NOTAN_KEYS), ...KEYS.slice(-1)] : KEYS}
        open={help}
        onOpenChange={setHelp}
      />
    </div>
  );
}
