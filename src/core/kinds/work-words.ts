/** Lines that several kinds print. */
export const PHOTOGRAPH = 'When it is dry: photograph the whole sheet, flat, in even light, with no shine.';
export const STEP_BACK = 'Step back and squint every few minutes; take a grey snapshot, compare, go on.';
export const WASH = 'Wash the brush between values that lie far apart, wipe it between neighbours.';
