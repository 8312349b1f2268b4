'use client';
/** The rack with its tray: pictures dragged from the tray are given to the place they are dropped on. */
import { DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { type ReactNode, useState } from 'react';
import { Tray, type TrayItem } from './Tray';

interface Answer {
  readonly ok: boolean;
  readonly say?: string;
}
interface Props {
  readonly children: ReactNode;
  readonly items: readonly TrayItem[];
  readonly students: readonly { readonly id: string; readonly name: string }[];
  readonly exercises: readonly { readonly id: string; readonly title: string }[];
  readonly give: (trayId: string, studentId: string, exerciseId: string) => Promise<Answer>;
  readonly discard: (trayId: string) => Promise<Answer>;
}

/** A short way before a press becomes a drag, so that a click stays one. */
const DRAG_PX = 6;

export function RackBoard({ children, items, students, exercises, give, discard }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_PX } }),
    useSensor(KeyboardSensor),
  );
  const [trouble, setTrouble] = useState('');
  return (
    <DndContext
      id="rack"
      sensors={sensors}
      onDragEnd={({ active, over }) => {
        if (!over) return;
        const [studentId = '', exerciseId = ''] = String(over.id).split(' ');
        void give(String(active.id), studentId, exerciseId).then((a) => setTrouble(a.ok ? '' : (a.say ?? '')));
      }}
    >
      {children}
      {trouble && (
        <p role="alert" className="trouble mt-2">
          {trouble}
        </p>
      )}
      <Tray items={items} students={students} exercises={exercises} give={give} discard={discard} />
    </DndContext>
  );
}
