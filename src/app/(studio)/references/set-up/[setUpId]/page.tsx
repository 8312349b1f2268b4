import { setUpFor, usesOfSetUp } from '@/studio/reference/set-ups';
import { SetUpBench } from '@/ui/references/SetUpBench';
import { orNotFound, teacherOnly } from '../../../../access';
import { keepMasses, takeSetUpAway } from '../../actions';

export default async function SetUp({ params }: { params: Promise<{ setUpId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { setUpId } = await params;
  const row = await orNotFound(setUpFor(house, teacher, setUpId));
  const uses = await usesOfSetUp(house, teacher, setUpId);
  return (
    <SetUpBench
      key={row.id}
      title={row.title}
      note={row.note}
      setUp={row.setUp}
      written={row.written}
      uses={uses}
      keep={keepMasses.bind(null, row.id)}
      drop={takeSetUpAway.bind(null, row.id)}
    />
  );
}
