import { renderToStaticMarkup } from 'react-dom/server';
import { GoalTimer } from './GoalTimer';

test('each goal has a clock to start, named by its goal', () => {
  const html = renderToStaticMarkup(<GoalTimer goals={['the big light', 'three values']} minutes={12} />);
  expect([...html.matchAll(/aria-label="Start 12 minutes for “([^”]+)”"/g)].map((m) => m[1])).toEqual([
    'the big light',
    'three values',
  ]);
});

test('without a clock the goals stand alone', () => {
  const html = renderToStaticMarkup(<GoalTimer goals={['the big light']} minutes={null} />);
  expect(html).toContain('1. the big light');
  expect(html).not.toContain('<button');
});
