'use client';
/** Whom the letter is written for: as in the class, or otherwise for this hand-in. */
import { REGISTERS, type Register } from '@/core/critique/voice';
import { Choice } from '../parts/fields';
import { REGISTER_NAMES } from '../parts/register-names';

interface Props {
  /** Null is as in the class. */
  readonly own: Register | null;
  readonly ofClass: Register;
  readonly speakTo: (register: Register | null) => void;
}

export function WrittenFor({ own, ofClass, speakTo }: Props) {
  const usual = `As in the class: ${REGISTER_NAMES[ofClass].toLowerCase()}`;
  return (
    <Choice
      label="Written for"
      value={own ?? 'class'}
      options={[['class', usual] as const, ...REGISTERS.map((r) => [r, REGISTER_NAMES[r]] as const)]}
      onChange={(register) => speakTo(register === 'class' ? null : register)}
    />
  );
}
