'use client';
/** One way of a correction as it is drawn: its layers, what was before each stroke, and that every stroke is kept. */
import { FIRST_SOFT, firstChange } from '@/core/correction/first-change';
import type { Change, ChangeKind, Layer, MaskEdit } from '@/core/correction/layer';
import type { CorrectionView, KeptCorrection } from '@/studio/views/corrections';
import { useRef, useState } from 'react';
import type { Answer } from '../../parts/answer';
import { KeepInTurn, type Slot } from './keep-in-turn';
import { type CorrectingWith, meansOf } from './layer-kinds';

export interface WayGiven {
  readonly id: string | null;
  readonly name: string;
  readonly layers: readonly Layer[];
}
type Drawn = Omit<WayGiven, 'id'>;
export type Keep = (given: WayGiven, seen: number) => Promise<Answer<unknown, KeptCorrection>>;

/** What a way that nobody named is called. */
const wayName = (count: number) => (count === 0 ? 'A first way' : `Way ${count + 1}`);
const KEPT_BESIDE = 'Somebody else changed this one meanwhile. What you draw is kept beside it; nothing is lost.';
const NOT_KEPT = 'What you drew last is not kept yet: the studio can’t be reached. The next stroke tries once more.';
const NO_PAINT = 'There is no paint on this class’s palette that a glaze could be laid with.';
const newId = () => Math.random().toString(36).slice(2, 12);

interface Way {
  readonly id: string | null;
  readonly name: string;
  readonly layers: readonly Layer[];
}

const wayOf = (view: CorrectionView | undefined, count: number): Way =>
  view ? { id: view.id, name: view.name, layers: view.layers } : { id: null, name: wayName(count), layers: [] };

export function useCorrection(ways: readonly CorrectionView[], tools: CorrectingWith, keep: Keep) {
  const first = ways.find((w) => w.withLetter) ?? ways[0];
  const [way, setWay] = useState<Way>(() => wayOf(first, ways.length));
  const [past, setPast] = useState<readonly (readonly Layer[])[]>([]);
  const [kind, setKind] = useState<ChangeKind>('lightness');
  /** The layer that strokes belong to; null where the next one begins another. */
  const [chosen, setChosen] = useState<string | null>(null);
  const [note, setNote] = useState('');
  const at = useRef<Slot>({ id: first?.id ?? null, written: first?.written ?? 0 });
  const turn = useRef<KeepInTurn<Drawn> | null>(null);
  const inTurn = () =>
    (turn.current ??= new KeepInTurn<Drawn>(
      (slot, { id, isApart }) => {
        if (slot !== at.current) return;
        setWay((w) => ({ ...w, id }));
        setNote(isApart ? KEPT_BESIDE : '');
      },
      () => setNote(NOT_KEPT),
    ));
  const commit = (next: Way) => {
    setWay(next);
    const drawn = { name: next.name, layers: next.layers };
    inTurn().put(at.current, drawn, ({ slot, given }) => keep({ id: slot.id, ...given }, slot.written));
  };
  const draw = (layers: readonly Layer[]) => {
    setPast([...past, way.layers]);
    commit({ ...way, layers });
  };
  const layer = way.layers.find((l) => l.id === chosen) ?? null;
  const withLayer = (next: Layer) => way.layers.map((l) => (l.id === next.id ? next : l));

  return {
    way,
    layer,
    kind,
    note,
    chosen,
    choose: (id: string) => {
      setChosen(id);
      const own = way.layers.find((l) => l.id === id);
      if (own) setKind(own.change.kind);
    },
    /** The next stroke begins a layer of this kind. */
    begin: (next: ChangeKind) => {
      setKind(next);
      setChosen(null);
    },
    /** A stroke on the layer that is chosen, or the first one of another. */
    stroke: (edit: MaskEdit) => {
      if (layer) {
        draw(withLayer({ ...layer, mask: { ...layer.mask, edits: [...layer.mask.edits, edit] } }));
        return;
      }
      const change = firstChange(kind, meansOf(tools));
      if (!change) {
        setNote(NO_PAINT);
        return;
      }
      const own: Layer = { id: newId(), name: '', change, mask: { edits: [edit], soft: FIRST_SOFT[kind] } };
      setChosen(own.id);
      draw([...way.layers, own]);
    },
    /** While a slider is dragged the picture follows; what it was before is not lost for it. */
    preview: (next: Layer) => setWay({ ...way, layers: withLayer(next) }),
    /** What was dragged is let go, with the layers as they were when it was taken. */
    settle: (before: readonly Layer[], next?: Layer) => {
      setPast([...past, before]);
      commit(next ? { ...way, layers: withLayer(next) } : way);
    },
    change: (next: Change) => layer && draw(withLayer({ ...layer, change: next })),
    rename: (name: string) => layer && draw(withLayer({ ...layer, name })),
    remove: (id: string) => draw(way.layers.filter((l) => l.id !== id)),
    takeBack: () => {
      const before = past.at(-1);
      if (!before) return;
      setPast(past.slice(0, -1));
      commit({ ...way, layers: before });
    },
    canTakeBack: past.length > 0,
    call: (name: string) => commit({ ...way, name }),
    /** Another way to be drawn at; undefined begins a new one. */
    turnTo: (view: CorrectionView | undefined) => {
      at.current = { id: view?.id ?? null, written: view?.written ?? 0 };
      setWay(wayOf(view, ways.length));
      setPast([]);
      setChosen(null);
      setNote('');
    },
  };
}
export type Correcting = ReturnType<typeof useCorrection>;
