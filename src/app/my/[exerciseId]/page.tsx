import { isMeasured, kindOf, valuesOf, workLines } from '@/core/kinds/table';
import { cautionText } from '@/core/planning/cautions';
import { zoneOf } from '@/core/planning/meetings';
import { myLook } from '@/studio/hand-in/looks';
import { myMixes } from '@/studio/mixing/my-mixes';
import { mayPractise } from '@/studio/practice/practice';
import { myExercise } from '@/studio/views/my-work';
import { AttemptNow } from '@/ui/hand-in/AttemptNow';
import { CheckMix } from '@/ui/hand-in/CheckMix';
import { HandInPhoto } from '@/ui/hand-in/HandInPhoto';
import { Letter } from '@/ui/hand-in/Letter';
import { Look } from '@/ui/hand-in/Look';
import { TakePhoto } from '@/ui/hand-in/TakePhoto';
import { WhileAtWork } from '@/ui/hand-in/WhileAtWork';
import { ValueStrip } from '@/ui/instruments/ValueStrip';
import { RecipeList } from '@/ui/mixing/RecipeList';
import { attemptName } from '@/ui/parts/attempt-name';
import { sayDay, sayMoment } from '@/ui/parts/dates';
import { StateMark } from '@/ui/parts/StateMark';
import { orNotFound, studentOnly } from '../../access';
import { askLook, measureAgain, sayToLetter, sendAnyway, stopMeasuring } from '../actions';

export default async function MyExercise({ params }: { params: Promise<{ exerciseId: string }> }) {
  const { house, student } = await studentOnly();
  const { exerciseId } = await params;
  const mine = await orNotFound(myExercise(house, student, exerciseId));
  const mixes = await orNotFound(myMixes(house, student, exerciseId));
  const look = await orNotFound(myLook(house, student, exerciseId));
  const { exercise, labels, attempts } = mine;
  const { terms } = exercise;
  const kind = kindOf(terms);
  // Whatever is painted in all its values is seen in all of them.
  const inTones = kind.wanted(terms) !== null;
  const zone = zoneOf(mine.class.meetings);
  const measured = isMeasured(terms.kind, exercise);
  const newest = attempts.at(-1) ?? null;
  const letters = attempts.filter((a) => a.letter !== null);
  const underWay = newest !== null && ['received', 'queued', 'measuring'].includes(newest.state);
  return (
    <div className="grid gap-3">
      <section className="panel">
        <div className="flex items-start justify-between gap-2">
          <h1 className="text-24 font-semibold leading-tight">{exercise.title}</h1>
          <StateMark state={mine.state} />
        </div>
        <p className="quiet mb-3">
          {mine.excused ? 'You are excused from this one.' : mine.dueAt && `due ${sayDay(mine.dueAt, zone)}`}
        </p>
        {mine.setUp && (
          <p className="mb-3">
            Painted from life: {mine.setUp.title}
            {mine.setUp.note && `. ${mine.setUp.note}`}
          </p>
        )}
        {exercise.referenceId !== null && (
          <figure className="m-0 mb-3">
            <img
              src={`/reference-sheet/${exercise.id}?as=${inTones ? 'tones' : 'grey'}`}
              alt={inTones ? 'What it is painted from, in its tones' : 'What it is painted from, in greys'}
              className="w-full"
            />
            <figcaption className="mt-1">
              <a className="underline" href={`/reference-sheet/${exercise.id}`}>
                Its sheets to print: grey, squinted, in its tones, to trace
              </a>
            </figcaption>
          </figure>
        )}
        {newest && (
          <div className="mb-3">
            <AttemptNow
              attempt={newest}
              measured={measured}
              stop={stopMeasuring}
              again={measureAgain}
              anyway={sendAnyway}
            />
          </div>
        )}
        {mine.state !== 'passed' && !underWay && (
          <HandInPhoto
            exerciseId={exercise.id}
            terms={terms}
            measured={measured}
            practice={mayPractise(house, terms)}
            again={attempts.length > 0}
            stages={mine.stages}
            nextStage={mine.nextStage}
            key={mine.nextStage ?? ''}
          />
        )}
      </section>
      {letters.length > 0 && (
        <section className="panel grid gap-6 bg-l97" aria-label="Critique">
          {[...letters].reverse().map((a) => (
            <div key={a.id}>
              <h2 className="label">{attemptName(a, 'The picture you sent on')}</h2>
              {a.letter && (
                <Letter
                  letter={a.letter}
                  labels={labels}
                  attemptId={a.id}
                  reference={exercise.referenceId === null ? null : `/reference-sheet/${exercise.id}?as=grey`}
                  reply={sayToLetter.bind(null, a.id)}
                />
              )}
              {a.grades.length > 0 && (
                <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-4" aria-label="Grades">
                  {a.grades.map(({ name, words }) => (
                    <div key={name} className="contents">
                      <dt>{name}</dt>
                      <dd className="text-right font-semibold tabular-nums">{words}</dd>
                    </div>
                  ))}
                </dl>
              )}
            </div>
          ))}
        </section>
      )}
      {attempts.length > 1 && (
        <section className="panel" aria-label="Attempts side by side">
          <h2 className="label">Side by side</h2>
          <div className="grid grid-cols-2 gap-2">
            {attempts
              .filter((a) => a.hasPreview)
              .slice(-2)
              .map((a) => (
                <figure key={a.id}>
                  <img
                    src={`/picture/${a.id}/preview`}
                    alt={attemptName(a, 'A picture that was refused')}
                    className="w-full"
                  />
                  <figcaption className="quiet mt-1">{attemptName(a, 'refused')}</figcaption>
                </figure>
              ))}
          </div>
        </section>
      )}
      {measured && kind.looks && mine.state !== 'passed' && (
        <section className="panel grid gap-3" aria-labelledby="look">
          <h2 id="look" className="text-18 font-semibold">
            A look in mid-work
          </h2>
          {look ? (
            <>
              <p className="quiet">Taken {sayMoment(look.createdAt, zone)}. Only you see it.</p>
              <Look
                key={look.id}
                picture={`/look/${exercise.id}?${look.id}`}
                look={look}
                ask={askLook.bind(null, exercise.id)}
              />
            </>
          ) : (
            <p>
              Photograph what there is so far and see it in greys beside what is wanted. It is no hand-in, and only you
              see it.
            </p>
          )}
          <TakePhoto
            url={`/look/${exercise.id}`}
            terms={terms}
            measured
            label="Photograph for a look"
            words={look ? 'Take another look' : 'Take a look: photograph or file'}
            chief={false}
            practice={
              mayPractise(house, terms)
                ? {
                    url: `/practice/${exercise.id}?for=look`,
                    words: 'Take a look with the studio’s practice camera',
                    doing: 'The practice camera is painting a part and photographing …',
                  }
                : null
            }
          />
        </section>
      )}
      {mixes?.names && mine.state !== 'passed' && (
        <section className="panel" aria-labelledby="check">
          <h2 id="check" className="mb-2 text-18 font-semibold">
            Check a mix
          </h2>
          <CheckMix
            exerciseId={exercise.id}
            labels={labels}
            names={mixes.names}
            walk={mixes.walk}
            practice={mayPractise(house, terms)}
          />
        </section>
      )}
      <section className="panel">
        <h2 className="mb-2 text-18 font-semibold">What to do</h2>
        <div className="mb-3">
          <ValueStrip values={valuesOf(terms)} labels={labels} height="h-10" />
        </div>
        <p className="mb-3">{kind.task}</p>
        <WhileAtWork terms={terms} />
        {exercise.note && <p className="mb-3 whitespace-pre-wrap font-letter text-18">{exercise.note}</p>}
        <ol className="mb-3 list-decimal space-y-1 pl-5">
          {workLines(terms, labels, mixes && mixes.lines.map((l) => l.name)).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
        {mixes && (
          <div className="mb-3">
            <h2 className="mb-1 text-18 font-semibold">The mixes</h2>
            <RecipeList lines={mixes.lines} colours={mixes.colours} />
            {mixes.beyond && <p className="mt-2">{mixes.beyond}</p>}
          </div>
        )}
        <p className="trouble mb-3">{cautionText(mine.safety)}</p>
        <a className="calm w-full" href={`/sheet/${exercise.id}`}>
          My worksheet to print
        </a>
      </section>
    </div>
  );
}
