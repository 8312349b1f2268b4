'use client';
/** The rack: students by exercises, in the order and the groups that the teacher wants. Long classes are drawn as far as they are seen. */
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { parseAsStringLiteral, useQueryState } from 'nuqs';
import { useLayoutEffect, useRef, useState } from 'react';
import type { Answer } from '../parts/answer';
import { type AllowanceWish, DateForm } from './DateForm';
import { FILTERS, GROUPINGS, inGroups, narrowed, ordered, ORDERS, type RackRowData } from './rack-rows';
import { RackRow } from './RackRow';
import { RackTools } from './RackTools';

interface Exercise {
  readonly id: string;
  readonly title: string;
}
interface Props {
  readonly classId: string;
  readonly open: Exercise & { readonly due: string };
  readonly others: readonly Exercise[];
  readonly rows: readonly RackRowData[];
  readonly allow: (exerciseId: string, studentId: string, wish: AllowanceWish) => Promise<Answer<unknown, void>>;
}

/** A line of the table: a row, or the title of a group. */
type Line = { readonly key: string; readonly title: string } | { readonly key: string; readonly row: RackRowData };

const ROW_PX = 52;
const SPARE_ROWS = 6;
/** As many can be laid side by side. */
const BESIDE = { least: 2, most: 6 } as const;

function linesOf(rows: readonly RackRowData[], { order, grouping, filter }: ReturnType<typeof useWish>): Line[] {
  return inGroups(ordered(narrowed(rows, filter), order), grouping).flatMap(({ title, rows: own }): Line[] => [
    ...(title === '' ? [] : [{ key: `group ${title}`, title: `${title}: ${own.length}` }]),
    ...own.map((row) => ({ key: row.studentId, row })),
  ]);
}

/** How the rack is wanted: it stands in the address, so that it can be gone back to. */
function useWish() {
  const [order, setOrder] = useQueryState('order', parseAsStringLiteral(ORDERS).withDefault('name'));
  const [grouping, setGrouping] = useQueryState('by', parseAsStringLiteral(GROUPINGS).withDefault('none'));
  const [filter, setFilter] = useQueryState('show', parseAsStringLiteral(FILTERS).withDefault('all'));
  return { order, setOrder, grouping, setGrouping, filter, setFilter };
}

export function RackTable({ classId, open, others, rows, allow }: Props) {
  const wish = useWish();
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [dated, setDated] = useState<RackRowData | null>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(body.current?.offsetTop ?? 0), []);
  const lines = linesOf(rows, wish);
  const virtual = useWindowVirtualizer({
    count: lines.length,
    estimateSize: () => ROW_PX,
    getItemKey: (i) => lines[i]?.key ?? i,
    overscan: SPARE_ROWS,
    scrollMargin: top,
    initialRect: { width: 1280, height: 800 },
  });
  const seen = virtual.getVirtualItems();
  const before = (seen[0]?.start ?? top) - top;
  const after = virtual.getTotalSize() - ((seen.at(-1)?.end ?? top) - top);
  const titles = new Map([...others, open].map((e) => [e.id, e.title]));
  const pick = (attemptId: string, on: boolean) =>
    setPicked((now) => (on ? [...now, attemptId] : now.filter((id) => id !== attemptId)));
  const columns = 3 + others.length;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <RackTools
          {...wish}
          onOrder={(v) => void wish.setOrder(v)}
          onGrouping={(v) => void wish.setGrouping(v)}
          onFilter={(v) => void wish.setFilter(v)}
        />
        <span className="ml-auto flex flex-wrap items-center gap-3 text-13">
          {picked.length > BESIDE.most && <span role="status">Six at the most lie side by side.</span>}
          {picked.length >= BESIDE.least && picked.length <= BESIDE.most && (
            <Link href={`/rack/${classId}/beside?of=${picked.join('.')}`} className="calm">
              {picked.length} side by side
            </Link>
          )}
          <Link href={`/rack/${classId}/together?exercise=${open.id}`} className="calm">
            What they have in common
          </Link>
        </span>
      </div>
      <div className="relative overflow-x-auto" role="region" aria-label="Hand-ins, a row a student" tabIndex={0}>
        <table
          className="w-full border-separate border-spacing-x-1 border-spacing-y-1"
          aria-rowcount={lines.length + 1}
        >
          <thead>
            <tr>
              <th className="w-32 text-left font-normal sm:w-44">
                <span className="sr-only">Student</span>
              </th>
              <th scope="col" className="min-w-72 text-left align-bottom font-semibold lg:min-w-88">
                <Link href={`/plan/${open.id}`} className="hover:underline">
                  {open.title}
                </Link>
                <span className="quiet ml-2 font-normal">{open.due && `due ${open.due}`}</span>
              </th>
              <th scope="col" className="text-left align-bottom font-normal">
                <span className="sr-only">Date</span>
              </th>
              {others.map((e, i) => (
                <th key={e.id} scope="col" className="w-9 align-bottom font-normal">
                  <Link
                    href={`/rack/${classId}?exercise=${e.id}`}
                    title={e.title}
                    className="grid min-h-7 min-w-7 place-items-center rounded-sm text-13 hover:bg-l80"
                  >
                    <span aria-hidden>{i + 1}</span>
                    <span className="sr-only">{e.title}</span>
                  </Link>
                </th>
              ))}
            </tr>
          </thead>
          <tbody ref={body}>
            {before > 0 && (
              <tr aria-hidden>
                <td colSpan={columns} style={{ height: before }} />
              </tr>
            )}
            {seen.map(({ index, key }) => {
              const line = lines[index];
              if (!line) return null;
              return (
                <tr key={key} data-index={index} ref={virtual.measureElement} aria-rowindex={index + 2}>
                  {'title' in line ? (
                    <th colSpan={columns} scope="colgroup" className="pt-2 text-left text-13 font-semibold">
                      {line.title}
                    </th>
                  ) : (
                    <RackRow
                      row={line.row}
                      exercise={open}
                      titles={titles}
                      picked={picked.includes(line.row.open?.attemptId ?? '')}
                      onPick={(on) => line.row.open?.attemptId && pick(line.row.open.attemptId, on)}
                      onDate={() => setDated(line.row)}
                    />
                  )}
                </tr>
              );
            })}
            {after > 0 && (
              <tr aria-hidden>
                <td colSpan={columns} style={{ height: after }} />
              </tr>
            )}
          </tbody>
        </table>
        {lines.length === 0 && <p className="quiet py-3">Nobody here stands so.</p>}
      </div>
      {dated && (
        <DateForm
          student={dated.name}
          exercise={open.title}
          now={dated.allowance}
          day={dated.date.until}
          save={(given) => allow(open.id, dated.studentId, given)}
          close={() => setDated(null)}
        />
      )}
    </>
  );
}
