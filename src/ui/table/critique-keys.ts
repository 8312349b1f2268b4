/** Keys of the Table, for a scale, for a painting in few tones and for one in many values. */

export const NOTAN_KEYS = [
  ['hold t', 'the painting in its tones'],
  ['hold r', 'the reference and the painting in each other’s place'],
  ['hold m', 'the reference half over the painting'],
  ['a', 'accept the flipped shape as a reading, for this one'],
  ['f', 'accept it for everyone'],
] as const;
export const PAINTING_KEYS = [
  ['hold c', 'the paint as it is, in its colours'],
  ['hold r', 'the reference and the painting in each other’s place'],
  ['hold m', 'the reference half over the painting'],
  ['hold f', 'how they differ: lighter where it is too light'],
  ['i', 'beside other pictures, as a whole'],
  ['v', 'side by side, split, a piece laid in, one feature held still, or the drawing checked'],
] as const;
/** The same of a painting in all its values. */
export const LIFE_VALUE_KEYS = [
  ['hold c', 'the paint as it is, in its colours'],
  ['i', 'beside other pictures, as a whole'],
  ['1 to 9', 'the mass that is painted; 0 for none of them'],
  ['b', 'take the last stroke or shape back'],
  ['j', 'judge it by these masses'],
] as const;
/** In place of those that need a reference, where it was painted from life. */
export const LIFE_KEYS = [
  ['hold t', 'the painting in its tones'],
  ['1 to 9', 'the mass that is painted; 0 for none of them'],
  ['b', 'take the last stroke or shape back'],
  ['j', 'judge it by these masses'],
] as const;
export const KEYS = [
  ['→', 'next hand-in'],
  ['←', 'the one before'],
  ['↓ ↑', 'next finding, the one before'],
  ['d', 'drop the finding, or take it back in'],
  ['e', 'edit the finding'],
  ['y', 'why it is said'],
  ['n', 'a remark of your own'],
  ['h', 'how it went: all tries'],
  ['k', 'mark the picture'],
  ['l', 'show on the picture what could be better'],
  ['p', 'pass, and on to the next'],
  ['g', 'once more, and on to the next'],
  ['w', 'withdraw the decision'],
  ['u', 'take back what you did last, here or before'],
  ['Enter', 'send a letter that is held'],
  ['hold s', 'squint'],
  ['hold o', 'the photograph as it came'],
  ['?', 'these keys'],
] as const;
