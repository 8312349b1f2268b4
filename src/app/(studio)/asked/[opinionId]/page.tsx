import { lookAtAsked } from '@/studio/critique/opinions';
import { AskedHandIn } from '@/ui/opinions/AskedHandIn';
import { orNotFound, teacherOnly } from '../../../access';
import { sayOpinion } from '../actions';

export default async function Asked({ params }: { params: Promise<{ opinionId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { opinionId } = await params;
  const asked = await orNotFound(lookAtAsked(house, teacher, opinionId));
  return <AskedHandIn key={opinionId} asked={asked} say={sayOpinion} />;
}
