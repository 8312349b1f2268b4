/** A nudge in words. */
import type { Nudge } from './nudge';

interface NudgeNames {
  readonly step: string;
  readonly light: string;
  readonly dark: string;
  /** The other step that the puddle will do for. */
  readonly other: string | null;
  /** Names of all steps; numbers where there are none. */
  readonly labels?: readonly string[];
}

/** Fewer parts of a puddle than this to one of a tube: what is in it is lost in what it takes. */
const LOST = 1 / 12;

const amount = (parts: number): string => {
  if (parts >= 200) return 'a touch';
  if (parts >= 1.5) return `one part to ${parts < 10 ? Number(parts.toFixed(1)) : Math.round(parts)} of the puddle`;
  return `${Number((1 / parts).toFixed(1))} parts to one of the puddle`;
};

/** "4 L* too light for 5: ivory black, one part to 15 of the puddle, then look." Too little to measure, and it is so much of a darker puddle. */
export function sayNudge(nudge: Nudge, { step, light, dark, other, labels = [] }: NudgeNames): string {
  if (nudge.add === null) return `Right for ${step}: leave it.`;
  const off = `${Math.abs(nudge.off).toFixed(0)} L* too ${nudge.off > 0 ? 'light' : 'dark'} for ${step}`;
  const instead = other === null ? '' : ` Or use it for ${other} as it is.`;
  if (nudge.toParts === null || !nudge.reachable) return `${off}: these paints don’t get there.${instead}`;
  if (nudge.toParts < LOST) return `${off}: mix it anew, that takes less paint than mending it.${instead}`;
  if (nudge.instead) {
    const { step: of, toParts } = nudge.instead;
    return `${off}: one part of ${labels[of - 1] ?? of} to ${Number(toParts.toFixed(1))} of the puddle, then look.${instead}`;
  }
  return `${off}: ${nudge.add === 'dark' ? dark : light}, ${amount(nudge.toParts)}, then look.${instead}`;
}
