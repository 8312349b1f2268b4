/** What was deleted, as whoever deleted it is told. */
import type { Receipt } from '@/studio/views/receipt';

const some = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;
const moment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** `copies` says how long copies keep it. */
export function sayReceipt({ at, students, handIns, photographs, files }: Receipt, copies: string): string {
  const counted = [
    some(students, 'student', 'students'),
    some(handIns, 'hand-in', 'hand-ins'),
    some(photographs, 'photograph', 'photographs'),
    some(files, 'file', 'files'),
  ];
  return `Deleted for good, ${moment.format(at)}: ${counted.join(', ')}. ${copies}`;
}
