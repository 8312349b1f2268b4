import { type Materials, USUAL_MATERIALS } from '../exercise/materials';
import { PAINT_IDS, PAINTS } from '../exercise/paints';
import { type CautionId, CAUTIONS, cautionsFor, cautionText, DEFERRAL, maySet, type SafetyPlan } from './cautions';

const plan = (more: Partial<SafetyPlan> & { readonly with?: Partial<Materials> } = {}): SafetyPlan => ({
  medium: more.medium ?? 'gouache',
  underSixteen: more.underSixteen ?? false,
  materials: { ...USUAL_MATERIALS, ...more.with },
});

/** For each caution a plan that reaches it, and one beside it that does not. */
const REACHED: Record<CautionId, readonly [with_: SafetyPlan, without: SafetyPlan | null]> = {
  solvents: [plan({ medium: 'oil', with: { thinner: 'solvent' } }), plan({ medium: 'oil', with: { thinner: 'oil' } })],
  'oily-rags': [plan({ medium: 'oil' }), plan({ medium: 'acrylic' })],
  'toxic-pigments': [plan({ with: { paints: ['cadmium-red'] } }), plan({ with: { paints: ['venetian-red'] } })],
  'lead-white': [
    plan({ medium: 'oil', with: { paints: ['lead-white'] } }),
    plan({ medium: 'oil', with: { paints: ['zinc-white'] } }),
  ],
  'childrens-label': [plan({ underSixteen: true }), plan()],
  'water-paints': [plan({ medium: 'tempera' }), plan({ medium: 'oil' })],
  'look-alikes': [plan({ with: { varnish: true } }), plan()],
  sprays: [plan({ with: { sprays: true } }), plan()],
  blades: [plan({ with: { blades: true } }), plan()],
  kitchen: [plan(), null],
};

test.each(Object.entries(REACHED))('%s is reached by a plan, and not by the one beside it', (id, [reaches, beside]) => {
  expect(cautionsFor(reaches)).toContain(id);
  if (beside) expect(cautionsFor(beside)).not.toContain(id);
  expect(cautionText(reaches)).toContain(CAUTIONS[id as CautionId]);
});

test('every text ends by deferring to those who know the material', () => {
  for (const [reaches] of Object.values(REACHED)) expect(cautionText(reaches).endsWith(DEFERRAL)).toBe(true);
});

test('lead white has no way round it in a school or under 16', () => {
  const lead = { with: { paints: ['lead-white' as const] }, medium: 'oil' as const };
  expect(maySet(plan(lead), true).kind).toBe('never');
  expect(maySet(plan({ ...lead, underSixteen: true }), false).kind).toBe('never');
  expect(maySet(plan(lead), false).kind).toBe('allowed');
});

test('under 16 every toxic pigment and every solvent needs a reason', () => {
  for (const id of PAINT_IDS) {
    const permission = maySet(plan({ underSixteen: true, with: { paints: [id] } }), false).kind;
    const { hazard } = PAINTS[id];
    expect(permission).toBe(hazard === null ? 'allowed' : hazard === 'lead' ? 'never' : 'needs-reason');
  }
  const solvent = maySet(plan({ medium: 'oil', underSixteen: true, with: { thinner: 'solvent' } }), false);
  expect(solvent).toMatchObject({ kind: 'needs-reason', say: expect.stringContaining('solvent') as string });
  expect(maySet(plan({ medium: 'oil', with: { thinner: 'solvent' } }), true).kind).toBe('allowed');
});
