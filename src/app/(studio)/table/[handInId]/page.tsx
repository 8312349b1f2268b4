import { stepLabels } from '@/core/exercise/numbering';
import { exerciseLayout } from '@/core/kinds/exercise-layout';
import { valuesOf } from '@/core/kinds/kinds';
import { repaintWords } from '@/studio/critique/repainting';
import { readingsForEveryone, setUpOfExercise } from '@/studio/hand-in/notan-hand-ins';
import { labelsOf } from '@/studio/plan/exercises';
import { wantedBy } from '@/studio/reference/references';
import { standingOf, tableOf } from '@/studio/views';
import { CritiqueTable } from '@/ui/table/CritiqueTable';
import { orNotFound, teacherOnly } from '../../../access';
import {
  acceptAsReading,
  changeItem,
  changeWord,
  forgetReadings,
  giveVerdict,
  judgeByMasses,
  judgeOnceMore,
  measureAgainstNow,
  measureOnceMore,
  takeFrameAsDark,
  withdrawVerdict,
} from '../actions';

interface Props {
  readonly params: Promise<{ handInId: string }>;
  readonly searchParams: Promise<{ attempt?: string }>;
}

export default async function Table({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { handInId } = await params;
  const table = await orNotFound(tableOf(house, teacher, handInId));
  const asked = (await searchParams).attempt;
  const shown =
    table.attempts.find((a) => a.id === asked) ?? table.attempts.find((a) => a.id === table.currentId) ?? null;
  const terms = shown?.terms ?? table.exercise.terms;
  const { cells } = exerciseLayout(terms);
  const tall = terms.kind === 'bands' || shown?.result?.capture.target === 'brackets';
  const perRow = tall ? valuesOf(terms).length : cells.filter((c) => c.yMm === cells[0]?.yMm).length;
  // As on the straightened strip: cells 2 mm apart in a margin of 2 mm.
  const gapPercent = 200 / (perRow * ((cells[0]?.widthMm ?? 18) + 2) + 2);
  const wanted = wantedBy(terms);
  const setUp = await setUpOfExercise(house, table.exercise);
  const labels = wanted
    ? stepLabels(table.class.numbering, {
        steps: wanted.tones,
        order: 'light-first',
        spacing: 'lightness',
        ends: terms.ends,
      })
    : labelsOf(terms, table.class.numbering);
  return (
    <CritiqueTable
      key={shown?.id ?? 'none'}
      handInId={handInId}
      exerciseId={table.exercise.id}
      readingsForEveryone={shown?.notan ? await readingsForEveryone(house, table.exercise.id) : 0}
      student={table.student.name}
      title={table.exercise.title}
      state={table.handIn.state}
      labels={labels}
      repaint={await repaintWords(house, table.class.id, terms, shown?.result ?? null, labels)}
      targets={shown?.result?.steps.length ? shown.result.steps.map((s) => s.target) : valuesOf(terms)}
      perRow={perRow}
      gapPercent={tall ? 0.4 : gapPercent}
      tall={tall}
      attempts={table.attempts.map((a) => ({ id: a.id, number: a.number, state: a.state }))}
      shown={shown}
      isCurrent={shown !== null && shown.id === table.currentId}
      previous={table.previous}
      next={table.next}
      place={`${table.position} of ${table.total}`}
      standing={shown?.notan ? ((await standingOf(house, teacher, shown.id)) ?? 'as-it-is') : 'as-it-is'}
      setUp={setUp && { id: setUp.id, title: setUp.title, masses: setUp.setUp.masses }}
      actions={{
        changeItem,
        changeWord,
        giveVerdict,
        withdrawVerdict,
        measureOnceMore,
        acceptAsReading,
        judgeOnceMore,
        measureAgainstNow,
        forgetReadings,
        judgeByMasses,
        takeFrameAsDark,
      }}
    />
  );
}
