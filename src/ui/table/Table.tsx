'use client';
/** The Table: one hand-in under critique, by what was read of it. */
import { ByEyeTable } from './by-eye/ByEyeTable';
import { PaintingTable } from './paintings/PaintingTable';
import { ScaleTable } from './scale/ScaleTable';
import type { TablePart, TableProps } from './table-props';
import { TonesTable } from './tones/TonesTable';

/** The part of each family, by what was measured. */
const PARTS: {
  readonly [K in TablePart['kind']]: (props: TableProps<Extract<TablePart, { kind: K }>>) => React.ReactNode;
} = {
  scale: (props) => <ScaleTable {...props} />,
  notan: (props) => <TonesTable {...props} />,
  painting: (props) => <PaintingTable {...props} />,
};

export function Table(props: TableProps) {
  const { part } = props;
  if (!part) return <ByEyeTable {...props} />;
  const show = PARTS[part.kind] as (props: TableProps<TablePart>) => React.ReactNode;
  return show({ ...props, part });
}
