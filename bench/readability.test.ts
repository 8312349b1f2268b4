/** All that can be said to somebody: how hard it is to read, and how it sounds. */
import { allSaid } from '@/core/critique/all-said';
import { REGISTERS } from '@/core/critique/voice';
import { GRADES, readabilityOf } from './readability';

test.each(REGISTERS)('the words for %s stay below a grade level', (register) => {
  const { all, hardest } = readabilityOf(register);
  expect(all).toBeLessThanOrEqual(GRADES[register].all);
  expect([hardest.text, hardest.grade <= GRADES[register].one]).toEqual([hardest.text, true]);
});

test('what is said to children is easier than what is said to others', () => {
  expect(readabilityOf('children').all).toBeLessThan(readabilityOf('beginners').all - 1);
});

test.each(REGISTERS)('nothing that is said to %s has a share, a code, a path or a hole in it', (register) => {
  for (const { code, text } of allSaid(register)) {
    expect([code, text]).not.toEqual([code, expect.stringMatching(/%|_| > |undefined|null|NaN|\[object/)]);
    expect([code, text]).toEqual([code, expect.stringMatching(/^[A-Z0-9“].*[.!?]$/)]);
    expect([code, text]).not.toEqual([code, expect.stringMatching(/ {2}|\.\.|, ?\./)]);
  }
});
