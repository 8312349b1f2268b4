/** One student of a class: what became of every exercise, what is remembered of them, and where their letters go. */
import { NotFound, studentToChange, type Teacher } from '../access/actor';
import { notesOn } from '../class/notes';
import type { House } from '../house';
import { addressOf } from '../post/addresses';
import { hasCalendar } from '../post/calendars';
import { resultRows } from './results';

export async function studentPage(house: House, teacher: Teacher, classId: string, studentId: string) {
  if (teacher.standing === 'assistant') throw new NotFound();
  const { student, class: group } = await studentToChange(house, teacher, studentId);
  if (group.id !== classId) throw new NotFound();
  const [results, notes, address, isOpen] = await Promise.all([
    resultRows(house, teacher, classId, { studentId }),
    notesOn(house, teacher, studentId),
    addressOf(house, teacher, studentId),
    hasCalendar(house, teacher, { classId, studentId }),
  ]);
  return { student, class: group, results, notes, address, hasCalendar: isOpen };
}
