/** A measured colour as it comes from outside: L*, a*, b*. */
import { z } from 'zod';

export const labSchema = z.tuple([
  z
    .number({ error: 'lightness must be 0 to 100' })
    .min(0, 'lightness must be 0 to 100')
    .max(101, 'lightness must be 0 to 100'),
  z.number({ error: 'a must be -128 to 128' }).min(-128, 'a must be -128 to 128').max(128, 'a must be -128 to 128'),
  z.number({ error: 'b must be -128 to 128' }).min(-128, 'b must be -128 to 128').max(128, 'b must be -128 to 128'),
]);
