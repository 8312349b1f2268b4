import { redirect } from 'next/navigation';
import { classesOf } from '@/studio/people';
import { ExerciseSetter } from '@/ui/setter/ExerciseSetter';
import { teacherOnly } from '../../../access';
import { drawSheet, saveNew } from '../actions';

export default async function NewExercise() {
  const { house, teacher } = await teacherOnly();
  const groups = await classesOf(house, teacher);
  if (groups.length === 0) redirect('/ledger');
  const classes = groups.map(({ id, name, underSixteen, school }) => ({ id, name, underSixteen, school }));
  return <ExerciseSetter classes={classes} revised={null} draw={drawSheet} save={saveNew} />;
}
