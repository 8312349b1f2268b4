import { classesOf } from '@/studio/class/people';
import { referencesOf } from '@/studio/reference/references';
import { setUpsOf } from '@/studio/reference/set-ups';
import { ExerciseSetter } from '@/ui/plan/ExerciseSetter';
import { redirect } from 'next/navigation';
import { teacherOnly } from '../../../access';
import { drawSheet, saveNew } from '../actions';

export default async function NewExercise() {
  const { house, teacher } = await teacherOnly();
  const groups = await classesOf(house, teacher);
  if (groups.length === 0) redirect('/ledger');
  const classes = groups.map(({ id, name, underSixteen, school }) => ({ id, name, underSixteen, school }));
  const references = (await referencesOf(house, teacher)).map(({ id, title }) => ({ id, title }));
  const setUps = (await setUpsOf(house, teacher)).map(({ id, title }) => ({ id, title }));
  return (
    <ExerciseSetter
      classes={classes}
      references={references}
      setUps={setUps}
      revised={null}
      draw={drawSheet}
      save={saveNew}
    />
  );
}
