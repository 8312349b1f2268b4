import { labelsOf } from '@/core/kinds/table';
import { sayLate } from '@/core/planning/deadline';
import { alikeOf } from '@/studio/views/alike';
import { phrasesOf } from '@/studio/critique/phrases';
import { remarksOf } from '@/studio/critique/remarks';
import { correctingWith } from '@/studio/views/correcting-with';
import { colleaguesOf } from '@/studio/staff/colleagues';
import { gradingOf } from '@/studio/views/grading';
import { opinionsOn } from '@/studio/views/opinions';
import { tableOf } from '@/studio/views/table';
import { tablePartOf } from '@/studio/views/table-part';
import { triesOf } from '@/studio/views/tries';
import { Table } from '@/ui/table/Table';
import { orNotFound, teacherOnly } from '../../../access';
import {
  acceptAsReading,
  answerTo,
  changeItem,
  changeWord,
  correctPicture,
  dropCorrection,
  forgetReadings,
  giveVerdict,
  judgeByMasses,
  judgeOnceMore,
  keepOwnRemark,
  layBefore,
  lookBeside,
  markPicture,
  measureAgainstNow,
  measureOnceMore,
  proposeRescue,
  sayOfOwn,
  sendCorrection,
  setCorrectionApart,
  takeBackMark,
  takeFrameAsDark,
  unask,
  withdrawVerdict,
  writeFor,
} from '../actions';
import { giveGrade } from '../../ledger/grading-actions';

interface Props {
  readonly params: Promise<{ handInId: string }>;
  readonly searchParams: Promise<{ attempt?: string }>;
}

const tones = { acceptAsReading, judgeOnceMore, forgetReadings, judgeByMasses, takeFrameAsDark };
const actions = {
  ...{
    changeItem,
    changeWord,
    sayOfOwn,
    keepOwnRemark,
    markPicture,
    takeBackMark,
    answerTo,
    writeFor,
    giveVerdict,
    withdrawVerdict,
  },
  ...{ layBefore, unask, giveGrade },
  ...{ lookBeside, proposeRescue, correctPicture, sendCorrection, setCorrectionApart, dropCorrection },
  ...{ measureOnceMore, measureAgainstNow, tones },
};

export default async function TablePage({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { handInId } = await params;
  const table = await orNotFound(tableOf(house, teacher, handInId));
  const asked = (await searchParams).attempt;
  const shown =
    table.attempts.find((a) => a.id === asked) ?? table.attempts.find((a) => a.id === table.currentId) ?? null;
  const labels = labelsOf(shown?.terms ?? table.exercise.terms, table.class.numbering);
  const isDraft = shown?.critique?.sentAt === null;
  const maySeeCorrection = shown !== null && (isDraft || shown.corrections.length > 0);
  const alikeTo = { exerciseId: table.exercise.id, handInId, stage: shown?.stageId ?? null };
  const codes = isDraft ? [...new Set(shown.critique.items.map(({ original }) => original.code))] : [];
  return (
    <Table
      key={shown?.id ?? 'none'}
      handIn={{
        id: handInId,
        exerciseId: table.exercise.id,
        student: table.student.name,
        title: table.exercise.title,
        state: table.handIn.state,
        previous: table.previous,
        next: table.next,
        place: `${table.position} of ${table.total}`,
        late: table.date.kind === 'late' ? `${sayLate(table.date.lateMs)} late` : '',
        register: table.handIn.register,
        classRegister: table.class.register,
      }}
      attempts={table.attempts.map(({ id, number, state, stage }) => ({ id, number, state, stage }))}
      shown={shown}
      isCurrent={shown !== null && shown.id === table.currentId}
      labels={labels}
      part={await tablePartOf(house, teacher, table, shown, labels)}
      phrases={await phrasesOf(house, teacher, codes)}
      grading={shown ? await gradingOf(house, table.class.scheme, shown.id) : []}
      tries={await triesOf(house, table.attempts)}
      alike={isDraft ? await alikeOf(house, alikeTo, shown.measured) : []}
      remarks={isDraft ? await remarksOf(house, teacher) : []}
      correctingWith={maySeeCorrection ? await correctingWith(house, table.class, shown) : null}
      opinions={shown ? await opinionsOn(house, shown.id) : []}
      colleagues={isDraft ? await colleaguesOf(house, teacher) : []}
      actions={actions}
    />
  );
}
