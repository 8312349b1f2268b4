/** Boards that stand in place of the pictures, as they are first drawn. */
import { samplePainting } from '@/core/painting/sample-result';
import type { Alike } from '@/studio/views/alike';
import { renderToStaticMarkup } from 'react-dom/server';
import { AlikeBoard } from './AlikeBoard';
import { AlikeOnes } from './AlikeOnes';
import { BesideBoard } from './beside/BesideBoard';
import { RescueWays } from './paintings/RescueWays';

const nothing = () => undefined;
const alike = (kind: 'scale' | 'painting', verdict: Alike['verdict'] = 'pass') =>
  ({
    attemptId: 'b',
    handInId: 'h',
    student: 'Ruta Vane',
    verdict,
    measured: { kind, result: samplePainting({}) },
  }) as Alike;
const board = (kind: 'scale' | 'painting', verdict?: Alike['verdict']) =>
  renderToStaticMarkup(
    <AlikeBoard own={{ attemptId: 'a', student: 'Bea' }} alike={[alike(kind, verdict)]} leave={nothing} />,
  );

test('nearly equal ones stand large beside the own one, with what was decided, and lead to their Table', () => {
  const html = board('painting', 'again');
  for (const part of ['/picture/a/strip', '/picture/b/strip', 'not decided yet', 'once more', '/table/h'])
    expect(html).toContain(part);
  expect(html).toContain('sm:grid-cols-2');
});

test('strips lie below one another, so that step stands on step', () => {
  expect(board('scale')).not.toContain('sm:grid-cols-2');
});

test('they are offered side by side where there are any', () => {
  const list = (all: readonly Alike[]) => renderToStaticMarkup(<AlikeOnes alike={all} labels={[]} lay={nothing} />);
  expect(list([])).toBe('');
  expect(list([alike('painting')])).toContain('See them side by side');
});

test('a board that is still being laid out says so, and can be left', () => {
  const html = renderToStaticMarkup(
    <BesideBoard look={() => Promise.resolve({ ok: false, say: 'Not yet.' })} leave={nothing} />,
  );
  expect(html).toContain('aria-busy="true"');
  expect(html).toContain('Done');
});

test('ways to mend are tried when somebody asks for them', () => {
  const html = renderToStaticMarkup(
    <RescueWays
      busy={false}
      propose={() => Promise.resolve({ ok: true, value: [] })}
      take={() => Promise.resolve({ ok: true, value: null })}
    />,
  );
  expect(html).toContain('Try ways to mend it');
});
