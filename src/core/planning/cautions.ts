/**
 * What can hurt, and the usual caution for it. Each follows from what is used or done; none replaces the label,
 * the safety data sheet, school policy, local rules or a licensed professional.
 */
import type { Materials } from '../exercise/materials';
import type { MediumId } from '../exercise/media';
import { PAINTS } from '../exercise/paints';

export const CAUTIONS = {
  solvents:
    'Solvent: air the room, keep the lid on and it off your skin. Dip and squeeze the brush instead of scrubbing, ' +
    'let the solvent settle and use it again. Never pour it down a drain.',
  'oily-rags':
    'Oily rags can heat up and catch fire by themselves: lay them flat to dry outdoors, or keep them wet in a lidded metal can.',
  'toxic-pigments':
    'Some of these paints hold toxic pigment: no sanding, no spraying, no dry powder. No food or drink at the table; wash your hands.',
  'lead-white':
    'Lead white is poisonous. Never in a school or for anyone under 16; elsewhere only in the hands of people who know how to work with it.',
  'childrens-label': 'For a young class look for a children’s-safety label on every paint and medium.',
  'water-paints':
    'Wipe the brush before you rinse it, let the rinse water settle and keep solids out of the sink. Local rules for waste water differ.',
  'look-alikes': 'Thinner and varnish are sold under names that look alike: read the label before you buy or pour.',
  sprays: 'Sprays and fixative outdoors only.',
  blades: 'Scrape and cut away from your hand.',
  kitchen: 'No cup or plate that held paint goes back to the kitchen.',
} as const;
export type CautionId = keyof typeof CAUTIONS;

export const DEFERRAL =
  'The label, the safety data sheet, school policy, local rules and licensed professionals come first.';

export interface SafetyPlan {
  readonly medium: MediumId;
  readonly materials: Materials;
  readonly underSixteen: boolean;
}

const hazards = (materials: Materials) => materials.paints.map((p) => PAINTS[p].hazard);

/** The cautions that a plan calls for, most serious first. */
export function cautionsFor({ medium, materials, underSixteen }: SafetyPlan): CautionId[] {
  const found = hazards(materials);
  const applies: Record<CautionId, boolean> = {
    solvents: materials.thinner === 'solvent',
    'oily-rags': medium === 'oil',
    'toxic-pigments': found.some((h) => h !== null),
    'lead-white': found.includes('lead'),
    'childrens-label': underSixteen,
    'water-paints': medium !== 'oil',
    'look-alikes': materials.thinner === 'solvent' || materials.varnish,
    sprays: materials.sprays,
    blades: materials.blades,
    kitchen: true,
  };
  return (Object.keys(CAUTIONS) as CautionId[]).filter((id) => applies[id]);
}

/** The cautions as one text to print, the deferral last. */
export function cautionText(plan: SafetyPlan): string {
  return [...cautionsFor(plan).map((id) => CAUTIONS[id]), DEFERRAL].join(' ');
}

/** The medium's own caution, and that there is more: what fits beside the work on a sheet. */
export function cautionsInShort(plan: SafetyPlan): string {
  const all = cautionsFor(plan);
  const own = all.find((id) => id === 'oily-rags' || id === 'water-paints');
  const first = [
    ...(all.includes('toxic-pigments') ? [CAUTIONS['toxic-pigments']] : []),
    ...(own ? [CAUTIONS[own]] : []),
  ];
  return [...first, 'More on the handout.', DEFERRAL].join(' ');
}

export type Permission =
  | { readonly kind: 'allowed' }
  /** May be set only with a reason that is recorded. */
  | { readonly kind: 'needs-reason'; readonly say: string }
  | { readonly kind: 'never'; readonly say: string };

/** Whether a class may be set these materials. Lead white for a school or under 16 has no way round it. */
export function maySet(plan: SafetyPlan, school: boolean): Permission {
  const found = hazards(plan.materials);
  if (found.includes('lead') && (plan.underSixteen || school))
    return {
      kind: 'never',
      say: 'Lead white can’t be set for a school or for a class under 16. Take it out: titanium white covers better.',
    };
  if (!plan.underSixteen) return { kind: 'allowed' };
  const named = plan.materials.paints.filter((p) => PAINTS[p].hazard !== null).map((p) => PAINTS[p].name);
  const what = [...named, ...(plan.materials.thinner === 'solvent' ? ['solvent'] : [])];
  if (what.length === 0) return { kind: 'allowed' };
  return {
    kind: 'needs-reason',
    say: `This class is under 16 and the plan holds ${what.join(', ')}. Take it out, or write down why it is set all the same; the reason is kept.`,
  };
}
