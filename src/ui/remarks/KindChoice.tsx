/** Whether a remark is about what works or about what is to be mended. */
import { FINDING_KINDS, type FindingKind } from '@/core/critique/finding';
import { Choice } from '../parts/fields';

const NAMES: Record<FindingKind, string> = { works: 'What works', fix: 'To mend' };
export const kindName = (kind: FindingKind): string => NAMES[kind];

export function KindChoice({ kind, onChange }: { kind: FindingKind; onChange: (kind: FindingKind) => void }) {
  return (
    <Choice
      label="It is about"
      value={kind}
      options={FINDING_KINDS.map((k) => [k, NAMES[k]] as const)}
      onChange={onChange}
    />
  );
}
