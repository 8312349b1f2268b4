/** The rules of form that a painting is held to, in the order in which they are told. */
import { blackHole, castEdgeHard, castNotLightening, overlapNotDarker } from './cast-shadows';
import { counterchange, highlightOrder, notJoined, reflectedLight, separation } from './light-and-shadow';
import { broken, type BrokenRule, type FormRequest, type FormRule } from './rule';
import { edgesAlike, outsideSteps, stepUnused } from './steps-and-edges';

const RULES: readonly FormRule[] = [
  separation,
  reflectedLight,
  notJoined,
  castNotLightening,
  castEdgeHard,
  blackHole,
  counterchange,
  highlightOrder,
  overlapNotDarker,
  outsideSteps,
  stepUnused,
  edgesAlike,
];

/** Every rule that a painting breaks, with where and by how much. */
export const brokenRules = (request: FormRequest): BrokenRule[] => RULES.flatMap((rule) => broken(rule, request));
