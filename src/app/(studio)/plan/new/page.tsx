import { redirect } from 'next/navigation';
import { classesOf } from '@/studio/people';
import { ScaleSetter } from '@/ui/ScaleSetter';
import { teacherOnly } from '../../../access';
import { drawSheet, setScale } from '../actions';

export default async function NewScale() {
  const { house, teacher } = await teacherOnly();
  const groups = await classesOf(house, teacher);
  if (groups.length === 0) redirect('/ledger');
  return <ScaleSetter classes={groups.map(({ id, name }) => ({ id, name }))} draw={drawSheet} save={setScale} />;
}
