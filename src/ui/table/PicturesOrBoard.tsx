'use client';
/** The left of every Table: the pictures of its family, or the board that stands in their place. */
import type { ReactNode } from 'react';
import { AlikeBoard } from './AlikeBoard';
import { BesideBoard } from './beside/BesideBoard';
import { CorrectionBoard } from './correction/CorrectionBoard';
import { MarkBoard } from './marks/MarkBoard';
import { TriesBoard } from './TriesBoard';
import type { TableProps } from './table-props';
import type { Critique } from './use-critique';

interface Props extends Pick<
  TableProps,
  'handIn' | 'shown' | 'labels' | 'part' | 'alike' | 'tries' | 'correctingWith' | 'actions'
> {
  readonly critique: Critique;
  /** What a family shows of its own. Without pictures, the photograph as it came stands there. */
  readonly pictures: ReactNode;
}

/** What can be marked: the straightened painting, or else the photograph, and what it was painted from. */
function picturesToMark({ id, hasStrip, hasPreview }: NonNullable<TableProps['shown']>, part: TableProps['part']) {
  const painting = {
    on: 'painting' as const,
    name: 'Painting',
    src: `/picture/${id}/${hasStrip ? 'strip' : 'preview'}`,
  };
  const reference = { on: 'reference' as const, name: 'Reference', src: `/laid/${id}/wanted` };
  return [
    ...(hasStrip || hasPreview ? [painting] : []),
    ...(part?.kind === 'painting' && part.beside === 'reference' ? [reference] : []),
  ];
}

export function PicturesOrBoard({ handIn, shown, labels, part, alike, tries, correctingWith, ...props }: Props) {
  const { actions, critique, pictures } = props;
  const { board, works, fixes, frozen, ask } = critique;
  if (!shown) return pictures;
  const leave = () => critique.setBoard(null);
  if (board === 'alike')
    return <AlikeBoard own={{ attemptId: shown.id, student: handIn.student }} alike={alike} leave={leave} />;
  if (board === 'tries') return <TriesBoard tries={tries} labels={labels} leave={leave} />;
  if (board === 'beside')
    return <BesideBoard look={(also) => critique.look(() => actions.lookBeside(shown.id, also))} leave={leave} />;
  if (board === 'marks')
    return (
      <MarkBoard
        marks={shown.marks}
        pictures={picturesToMark(shown, part)}
        findings={[...works, ...fixes].map((i) => ({ key: i.original.key, say: i.say ?? i.original.say }))}
        picked={fixes.find((i) => i === critique.pick)?.original.key ?? critique.editable.first}
        frozen={frozen}
        draw={(mark) => ask(() => actions.markPicture(shown.id, mark))}
        takeBack={(id) => ask(() => actions.takeBackMark(shown.id, id))}
        leave={leave}
      />
    );
  if (board === 'correction' && correctingWith)
    return (
      <CorrectionBoard
        ways={shown.corrections}
        picture={`/picture/${shown.id}/${shown.hasStrip ? 'strip' : 'preview'}`}
        tools={correctingWith}
        frozen={frozen}
        keep={(given, seen) => ask(() => actions.correctPicture(shown.id, given, seen))}
        sendWith={(id) => ask(() => actions.sendCorrection(shown.id, id))}
        setAside={(id, why) => ask(() => actions.setCorrectionApart(shown.id, id, why))}
        remove={(id) => ask(() => actions.dropCorrection(shown.id, id))}
        leave={leave}
      />
    );
  if (critique.original.on && shown.hasPreview)
    return (
      <img
        src={`/picture/${shown.id}/preview`}
        alt="The photograph as it came"
        className="h-full w-full object-contain"
      />
    );
  return pictures;
}
