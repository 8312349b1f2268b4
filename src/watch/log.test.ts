import { jest } from '@jest/globals';
import { answering, requestId } from './request-id';

test('an id goes with all that a request starts, and not with what others start', async () => {
  const later = () => new Promise((resolve) => setTimeout(() => resolve(requestId()), 5));
  expect(await Promise.all([answering('a', later), answering('b', later), later()])).toEqual(['a', 'b', undefined]);
});

/** The level of a process that was started with these settings. */
async function levelWith(settings: Record<string, string>): Promise<string> {
  const before = { ...process.env };
  Object.assign(process.env, { FAIR_GREY_LOG: '', FAIR_GREY_ROLE: '' }, settings);
  try {
    jest.resetModules();
    return (await import('./log')).log.level;
  } finally {
    process.env = before;
  }
}

test('one machine logs what is wrong, a district every request, and both what they are told to', async () => {
  expect(await levelWith({ FAIR_GREY_ROLE: 'all' })).toBe('warn');
  expect(await levelWith({ FAIR_GREY_ROLE: 'measure' })).toBe('info');
  expect(await levelWith({ FAIR_GREY_ROLE: 'web', FAIR_GREY_LOG: 'error' })).toBe('error');
});
