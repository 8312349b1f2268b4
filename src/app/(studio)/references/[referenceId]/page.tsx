import { classesOf } from '@/studio/class/people';
import { referenceFor, referencesOf, usesOf } from '@/studio/reference/references';
import { PrepareBench } from '@/ui/references/PrepareBench';
import { orNotFound, teacherOnly } from '../../../access';
import { keepReference, takeAway } from '../actions';

export default async function Reference({ params }: { params: Promise<{ referenceId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { referenceId } = await params;
  const row = await orNotFound(referenceFor(house, teacher, referenceId));
  const [groups, uses, all] = await Promise.all([
    classesOf(house, teacher),
    usesOf(house, teacher, referenceId),
    referencesOf(house, teacher),
  ]);
  return (
    <PrepareBench
      key={row.id}
      referenceId={row.id}
      title={row.title}
      own={row.width / row.height}
      start={row.preparation}
      revision={row.revision}
      classes={groups.map(({ id, name }) => ({ id, name }))}
      uses={uses}
      others={all.filter((r) => r.id !== row.id).map(({ id, title }) => ({ id, title }))}
      keep={keepReference.bind(null, row.id)}
      drop={takeAway.bind(null, row.id)}
    />
  );
}
