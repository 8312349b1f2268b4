import { type LetterAsText, letterText } from './letter-text';

const LETTER: LetterAsText = {
  ...{ student: 'Bea Lindqvarn', className: 'Tidewell Evening Studio', exercise: 'Five greys' },
  ...{
    date: '1 December 2026',
    verdict: 'Once more, please.',
    works: ['Both ends are reached.', 'The paint lies flat.'],
  },
  first: { say: 'Steps 3 and 4 are too close.', action: 'Bring 4 down by half a step.' },
  next: [{ say: 'Step 2 is streaky.', action: null }],
  later: [],
  word: 'Well stirred.',
};

test('a letter reads from what works to what can wait, and leaves out what is empty', () => {
  expect(letterText(LETTER)).toBe(
    [
      'Five greys\nBea Lindqvarn, Tidewell Evening Studio, 1 December 2026',
      'Once more, please.',
      'Both ends are reached. The paint lies flat.',
      'Steps 3 and 4 are too close. Bring 4 down by half a step.',
      'After that:\n- Step 2 is streaky.',
      'Well stirred.\n',
    ].join('\n\n'),
  );
  const bare = { ...LETTER, works: [], first: null, next: [], word: '' };
  expect(letterText(bare).split('\n\n')).toHaveLength(2);
});
