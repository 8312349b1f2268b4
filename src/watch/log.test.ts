import { levelOf } from './log';
import { answering, requestId } from './request-id';

test('an id goes with all that a request starts, and not with what others start', async () => {
  const later = () => new Promise((resolve) => setTimeout(() => resolve(requestId()), 5));
  expect(await Promise.all([answering('a', later), answering('b', later), later()])).toEqual(['a', 'b', undefined]);
});

test('one machine logs what is wrong, a district every request, and both what they are told to', () => {
  expect(levelOf({})).toBe('warn');
  expect(levelOf({ FAIR_GREY_ROLE: 'all', FAIR_GREY_LOG: '' })).toBe('warn');
  expect(levelOf({ FAIR_GREY_ROLE: 'measure' })).toBe('info');
  expect(levelOf({ FAIR_GREY_ROLE: 'web', FAIR_GREY_LOG: 'error' })).toBe('error');
});
