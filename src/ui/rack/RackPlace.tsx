'use client';
/** A student's place for an exercise, onto which a picture can be dropped. */
import { useDroppable } from '@dnd-kit/core';
import type { ReactNode } from 'react';

export function RackPlace({
  studentId,
  exerciseId,
  children,
}: {
  readonly studentId: string;
  readonly exerciseId: string;
  readonly children: ReactNode;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `${studentId} ${exerciseId}` });
  return (
    <td ref={setNodeRef} data-place={`${studentId} ${exerciseId}`} className={isOver ? 'outline-2 outline-ink' : ''}>
      {children}
    </td>
  );
}
