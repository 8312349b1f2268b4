'use client';
/** Pictures that could not be sorted: drag one onto a student's row, or choose the name beside it. */
import { useDraggable } from '@dnd-kit/core';
import { useState, useTransition } from 'react';

export interface TrayItem {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
}
interface Answer {
  readonly ok: boolean;
  readonly say?: string;
}
interface Props {
  readonly items: readonly TrayItem[];
  readonly students: readonly { readonly id: string; readonly name: string }[];
  readonly exercises: readonly { readonly id: string; readonly title: string }[];
  readonly give: (trayId: string, studentId: string, exerciseId: string) => Promise<Answer>;
  readonly discard: (trayId: string) => Promise<Answer>;
}

function Picture({ item }: { readonly item: TrayItem }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: item.id });
  const style = transform
    ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 20, position: 'relative' as const }
    : undefined;
  return (
    <div
      ref={setNodeRef}
      style={style}
      {...listeners}
      {...attributes}
      aria-label={`${item.name}: drag onto a student’s place`}
      className={`cursor-grab touch-none ${isDragging ? 'opacity-80' : ''}`}
    >
      <img src={`/tray/${item.id}`} alt={item.name} className="h-24 w-24 object-cover" draggable={false} />
    </div>
  );
}

export function Tray({ items, students, exercises, give, discard }: Props) {
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const run = (work: () => Promise<Answer>) =>
    start(async () => {
      const answer = await work();
      setTrouble(answer.ok ? '' : (answer.say ?? ''));
    });
  if (items.length === 0) return null;
  return (
    <section className="panel mt-3" aria-label="Tray">
      <h2 className="text-18 font-semibold">Tray: whose are these?</h2>
      <p className="quiet mb-2">Drag a picture onto its place above, or choose whose it is.</p>
      {trouble && (
        <p role="alert" className="trouble mb-2">
          {trouble}
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(21rem,100%),1fr))] gap-3">
        {items.map((item) => (
          <li key={item.id} className="grid grid-cols-[auto_1fr] gap-2 rounded-sm bg-l97 p-2">
            <Picture item={item} />
            <form
              className="grid gap-1 text-13"
              onSubmit={(e) => {
                e.preventDefault();
                const form = new FormData(e.currentTarget);
                const chosen = (name: string) => {
                  const value = form.get(name);
                  return typeof value === 'string' ? value : '';
                };
                run(() => give(item.id, chosen('student'), chosen('exercise')));
              }}
            >
              <span className="truncate font-semibold">{item.name}</span>
              <span>{item.reason}</span>
              <select name="student" required defaultValue="" className="field" aria-label={`Student of ${item.name}`}>
                <option value="" disabled>
                  Whose is it?
                </option>
                {students.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.name}
                  </option>
                ))}
              </select>
              <select
                name="exercise"
                required
                defaultValue=""
                className="field"
                aria-label={`Exercise of ${item.name}`}
              >
                <option value="" disabled>
                  Which exercise?
                </option>
                {exercises.map((x) => (
                  <option key={x.id} value={x.id}>
                    {x.title}
                  </option>
                ))}
              </select>
              <span className="flex gap-2">
                <button type="submit" className="calm" disabled={busy}>
                  Give
                </button>
                <button type="button" className="calm" disabled={busy} onClick={() => run(() => discard(item.id))}>
                  Throw away
                </button>
              </span>
            </form>
          </li>
        ))}
      </ul>
    </section>
  );
}
