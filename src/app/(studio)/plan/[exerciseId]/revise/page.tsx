import { isoDayIn, zoneOf } from '@/core/planning/meetings';
import { exerciseFor } from '@/studio/access/actor';
import { referencesOf } from '@/studio/reference/references';
import { setUpsOf } from '@/studio/reference/set-ups';
import { ExerciseSetter } from '@/ui/plan/ExerciseSetter';
import { orNotFound, teacherOnly } from '../../../../access';
import { drawSheet, saveRevision } from '../../actions';

export default async function Revise({ params }: { params: Promise<{ exerciseId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { exerciseId } = await params;
  const { exercise, class: own } = await orNotFound(exerciseFor(house, teacher, exerciseId));
  const { id, name, underSixteen, school } = own;
  const due = exercise.dueAt ? isoDayIn(exercise.dueAt, zoneOf(own.meetings)) : '';
  const references = (await referencesOf(house, teacher)).map((r) => ({ id: r.id, title: r.title }));
  const setUps = (await setUpsOf(house, teacher)).map((s) => ({ id: s.id, title: s.title }));
  return (
    <ExerciseSetter
      references={references}
      setUps={setUps}
      classes={[{ id, name, underSixteen, school }]}
      revised={{
        classId: id,
        title: exercise.title,
        note: exercise.note,
        due,
        overrideReason: exercise.overrideReason ?? '',
        terms: exercise.terms,
        referenceId: exercise.referenceId ?? '',
        setUpId: exercise.setUpId ?? '',
      }}
      draw={drawSheet}
      save={saveRevision.bind(null, exerciseId)}
    />
  );
}
