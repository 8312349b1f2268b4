/** A post that another page sent is not answered. */
import { fromElsewhere } from './api';

const post = (origin: string | null) =>
  new Request('http://studio.test/hand-in', {
    method: 'POST',
    headers: { host: 'studio.test', ...(origin !== null && { origin }) },
  });

test.each([
  [null, false],
  ['http://studio.test', false],
  ['http://elsewhere.test', true],
  ['null', true],
  ['not an address', true],
])('from %p: elsewhere %p', (origin, elsewhere) => {
  expect(fromElsewhere(post(origin))).toBe(elsewhere);
});
