'use client';
/** A whole list of students at once: looked at first, then enrolled one after the other, their codes shown this once. */
import { BadRoster, namesOfRoster, readRoster, type Roster as List, type RosterState } from '@/core/formats/roster-csv';
import { tableToCsv } from '@/core/formats/table-csv';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Answer } from '../parts/answer';
import { Choice, Tick } from '../parts/fields';
import { FilePick } from '../parts/FilePick';

interface Enrolled {
  readonly name: string;
  readonly code: string;
}
interface Props {
  readonly here: readonly string[];
  readonly enrol: (names: readonly string[]) => Promise<Answer<unknown, readonly Enrolled[]>>;
}

const STATES: Record<RosterState, string> = {
  new: '',
  here: 'there already',
  twice: 'twice in the list',
  empty: 'no name',
  long: 'too long for a name',
};
/** Enrolled with one request: codes are made slowly, so that nobody can guess them. */
const AT_ONCE = 8;
const UNREACHED =
  'The studio can’t be reached just now. Those below are enrolled; bring the list in once more for the rest.';

function saveCsv(enrolled: readonly Enrolled[]): void {
  const csv = tableToCsv({ columns: ['name', 'code'], rows: enrolled.map((e) => [e.name, e.code]) });
  const url = URL.createObjectURL(new Blob([csv], { type: 'text/csv' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = 'codes.csv';
  link.click();
  URL.revokeObjectURL(url);
}

export function Roster({ here, enrol }: Props) {
  const router = useRouter();
  const [list, setList] = useState<List | null>(null);
  const [columns, setColumns] = useState<List['likely']>({ name: 0, more: null });
  const [again, setAgain] = useState(false);
  const [enrolled, setEnrolled] = useState<readonly Enrolled[]>([]);
  const [of, setOf] = useState<number | null>(null);
  const [trouble, setTrouble] = useState('');
  const stopped = useRef(false);

  async function read(file: File) {
    try {
      const roster = readRoster(new Uint8Array(await file.arrayBuffer()));
      setList(roster);
      setColumns(roster.likely);
      setEnrolled([]);
      setTrouble('');
    } catch (error) {
      if (!(error instanceof BadRoster)) throw error;
      setTrouble(error.message);
    }
  }
  const all = list ? namesOfRoster(list, columns, here) : [];
  const wanted = all.filter(({ state }) => state === 'new' || (again && (state === 'here' || state === 'twice')));

  async function enrolAll() {
    stopped.current = false;
    setOf(wanted.length);
    let done: readonly Enrolled[] = [];
    for (let from = 0; from < wanted.length && !stopped.current; from += AT_ONCE) {
      const some = wanted.slice(from, from + AT_ONCE).map((w) => w.name);
      const answer = await enrol(some).catch(() => ({ ok: false as const, say: UNREACHED }));
      if (!answer.ok) {
        setTrouble(answer.say);
        break;
      }
      done = [...done, ...answer.value];
      setEnrolled(done);
    }
    setOf(null);
    if (done.length > 0) setList(null);
    router.refresh();
  }

  const options = (list?.columns ?? []).map((name, i) => [String(i), name || `column ${i + 1}`] as const);
  return (
    <div className="grid gap-3">
      <FilePick
        label="List of students as CSV"
        words="Bring in a list"
        accept=".csv,.txt,text/csv,text/plain"
        look="calm"
        disabled={of !== null}
        onFile={(file) => void read(file)}
      />
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      {list && (
        <>
          {list.columns.length > 1 && (
            <>
              <Choice
                label="Name"
                value={String(columns.name)}
                options={options}
                onChange={(v) => setColumns({ ...columns, name: Number(v) })}
              />
              <Choice
                label="And"
                value={String(columns.more ?? '')}
                options={[['', 'nothing else'], ...options]}
                onChange={(v) => setColumns({ ...columns, more: v === '' ? null : Number(v) })}
              />
            </>
          )}
          <ol
            className="max-h-64 overflow-y-auto rounded-sm bg-l97 p-2 text-13"
            aria-label="The list, as it would be enrolled"
            tabIndex={0}
          >
            {all.map(({ name, state }, i) => (
              <li key={`${i} ${name}`} className="flex justify-between gap-2">
                <span className="truncate">{name || '(empty)'}</span>
                <span className="quiet shrink-0">{STATES[state]}</span>
              </li>
            ))}
          </ol>
          {all.some(({ state }) => state === 'here' || state === 'twice') && (
            <Tick label="Enrol those too whose name is there" checked={again} onChange={setAgain} />
          )}
          {of === null ? (
            <button type="button" className="act" disabled={wanted.length === 0} onClick={() => void enrolAll()}>
              Enrol {wanted.length}
            </button>
          ) : (
            <button type="button" className="calm" onClick={() => (stopped.current = true)}>
              {enrolled.length} of {of} enrolled. Stop
            </button>
          )}
        </>
      )}
      {enrolled.length > 0 && (
        <div className="trouble" role="status">
          <p className="mb-1 font-semibold">Keep these codes now; they are shown only once.</p>
          <ul className="max-h-64 overflow-y-auto" tabIndex={0} aria-label="Codes of those who were enrolled">
            {enrolled.map(({ name, code }) => (
              <li key={code} className="flex justify-between gap-2">
                <span className="truncate">{name}</span>
                <span className="font-semibold">{code}</span>
              </li>
            ))}
          </ul>
          <button type="button" className="calm mt-2" onClick={() => saveCsv(enrolled)}>
            Save them as CSV
          </button>
        </div>
      )}
    </div>
  );
}
