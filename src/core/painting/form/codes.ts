/** Rules of form, by their codes. */
export const FORM_CODES = [
  'separation',
  'reflected_light',
  'not_joined',
  'cast_not_lightening',
  'cast_edge_hard',
  'black_hole',
  'counterchange',
  'highlight_order',
  'overlap_not_darker',
  'outside_steps',
  'step_unused',
  'edges_alike',
] as const;
export type FormCode = (typeof FORM_CODES)[number];
