/** Doors of a studio through which files come in. */
import { actionCalled, asking } from './actions';
import type { Evening, Sender } from './evening';

/** What is sent through a door, and by whom: a file, or text where it is pasted. */
export type Send = (
  bytes: Buffer,
  text: string,
) => { readonly at: string; readonly who: Sender; readonly init: RequestInit };

/** Every door that takes a file or a pasted one; `own` picks a student. */
export function doorsOf(
  { classId, exercises: [exerciseId], teacher, senders }: Evening,
  own: () => number,
): readonly (readonly [string, Send])[] {
  const form = (bytes: Buffer): RequestInit => {
    const body = new FormData();
    body.append('photo', new Blob([new Uint8Array(bytes)]), 'sheet.jpg');
    return { method: 'POST', body };
  };
  const upload = (name: string, at: string, byTeacher = false): readonly [string, Send] => [
    name,
    (bytes) => ({ at, who: byTeacher ? teacher : (senders[own() % senders.length] as Sender), init: form(bytes) }),
  ];
  const pasted = (name: string, at: string, args: (text: string) => readonly unknown[]): readonly [string, Send] => [
    name,
    (_, text) => ({ at, who: teacher, init: asking(actionCalled(name), args(text)) }),
  ];
  return [
    upload('hand in', `/hand-in/${exerciseId}`),
    upload('a look', `/look/${exerciseId}`),
    upload('a dab', `/check/${exerciseId}?step=2&wet=no&recipe=no`),
    upload('a pile', `/pile/${classId}?name=pile`, true),
    upload('a reference', '/bring-in?title=A&source=B&licence=C', true),
    upload('a card', `/card/${classId}?known=left`, true),
    pasted('readShelf', '/palette/cupboard', (text) => [text]),
    pasted('bringInFigures', `/palette/files?class=${classId}`, (text) => [classId, 'acrylic', text]),
    pasted('bringInSwatches', `/palette/files?class=${classId}`, (text) => [classId, 'acrylic', text]),
    pasted('bringInClassCard', `/ledger/${classId}`, (text) => [classId, text]),
  ];
}
