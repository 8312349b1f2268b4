'use client';
/** A scale, bands or chips on the Table: the straightened strip over the greys that were wanted, and the value ruler. */
import { GapLadder } from '../../instruments/GapLadder';
import { ValueRuler } from '../../instruments/ValueRuler';
import { KEYS } from '../critique-keys';
import type { ScalePart, TableProps } from '../table-props';
import { attemptName } from '../../parts/attempt-name';
import { TableFrame } from '../TableFrame';
import { useCritique } from '../use-critique';
import { ChipList } from './ChipList';
import { LeastWork } from './LeastWork';
import { ScaleFacts } from './ScaleFacts';
import { StripCompare } from './StripCompare';

export function ScaleTable(props: TableProps<ScalePart>) {
  const critique = useCritique(props);
  const { shown, labels } = props;
  const { measured, row, repaint } = props.part;
  const { result } = measured;
  const lit = critique.pick?.original.where.steps ?? [];
  const pictures = (
    <>
      <div className="px-4 pt-3">
        <StripCompare
          picture={shown?.hasStrip ? `/picture/${shown.id}/strip` : null}
          targets={result.steps.map((s) => s.target)}
          {...row}
          squint={critique.squint.on}
          lit={lit}
        />
      </div>
      <div className="mx-4 mb-3 mt-3 min-h-80 flex-1 bg-l93 lg:min-h-0">
        <ValueRuler
          steps={result.steps.map((s, i) => ({
            label: labels[i] ?? '',
            lightness: s.lightness,
            target: s.target,
            uncertainty: s.ownUncertainty,
            off: s.flags.includes('off_target'),
          }))}
          lit={lit}
          onPick={(step) => critique.choose((where) => where.steps.includes(step))}
        />
      </div>
    </>
  );
  const above = (
    <>
      <LeastWork result={result} labels={labels} says={repaint} />
      {result.chips.length > 0 && <ChipList chips={result.chips} labels={labels} />}
      <GapLadder
        labels={labels}
        lightness={result.steps.map((s) => s.lightness)}
        flagged={result.gaps.map((g) => g.flags.length > 0)}
      />
    </>
  );
  return (
    <TableFrame
      {...props}
      critique={critique}
      pictures={pictures}
      holds={null}
      above={above}
      below={<ScaleFacts result={result} labels={labels} numberUp={shown ? attemptName(shown, 'Photograph') : ''} />}
      keys={KEYS}
    />
  );
}
