import { log } from './log';
import { logWhatIsSaidAside } from './said-aside';

test('what is printed by others is logged, without what a database was asked about', () => {
  const before = { error: console.error, warn: console.warn };
  const logged = jest.spyOn(log, 'error').mockReturnValue(undefined);
  const warned = jest.spyOn(log, 'warn').mockReturnValue(undefined);
  try {
    logWhatIsSaidAside();
    const error = Object.assign(new Error('Failed query … params: Bea Lindqvarn'), { params: ['Bea Lindqvarn'] });
    console.error('⨯ while a page was made for Bea Lindqvarn', error);
    console.error('out of room');
    console.warn('old', { name: 'Bea Lindqvarn' });
  } finally {
    Object.assign(console, before);
  }
  expect(logged.mock.calls).toEqual([[{ err: expect.any(Error) as Error }, 'said aside'], ['out of room']]);
  expect(warned.mock.calls).toEqual([['old']]);
});
