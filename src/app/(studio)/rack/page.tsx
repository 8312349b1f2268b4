import { classesOf } from '@/studio/class/people';
import { redirect } from 'next/navigation';
import { teacherOnly } from '../../access';

export default async function Racks() {
  const { house, teacher } = await teacherOnly();
  const [first] = await classesOf(house, teacher);
  redirect(first ? `/rack/${first.id}` : '/ledger');
}
