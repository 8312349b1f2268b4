/** A look in mid-work as markup: before the measurement is asked, and after. */
import type { LookView } from '@/studio/hand-in/looks';
import { cssGrey } from '../parts/grey';
import { LookPicture, WantedPicture } from './LookPicture';
import { Look } from './Look';
import { markupOf } from '../test-markup';

const square = (step: number, x: number) => ({
  step,
  rings: [
    [
      [x, 0],
      [x + 0.4, 0],
      [x + 0.4, 1],
      [x, 1],
    ] as [number, number][],
  ],
});
const look: LookView = {
  id: 'look1',
  createdAt: new Date(0),
  aspect: 2,
  relative: false,
  wanted: [
    { cell: square(1, 0), lightness: 90 },
    { cell: square(2, 0.5), lightness: 40 },
  ],
  told: null,
};
const fine = () => Promise.resolve({ ok: true });
const page = (more: Partial<LookView> = {}) =>
  markupOf(<Look picture="/look/ex" look={{ ...look, ...more }} ask={fine} />);

test('what is painted stands over what is wanted, in greys and in the same size', () => {
  const html = page();
  expect(html).toContain('aria-label="What is painted so far, in greys"');
  expect(html).toContain('aria-label="The greys that are wanted"');
  expect([...html.matchAll(/viewBox="0 0 1000 500"/g)]).toHaveLength(2);
  expect(html).toContain(cssGrey(90));
  expect(html).toContain(cssGrey(40));
});

test('before it is asked nothing of the measurement is there, and a place can be marked by keys', () => {
  const html = page();
  expect(html).toContain('Nothing seems wrong: ask the measurement');
  expect(html).toMatch(/aria-label="Place to mark: 50 percent across, 50 percent down/);
  expect(html).not.toContain('role="status"');
});

test('after it is asked the marks stay where they were, with what is made of them', () => {
  const html = page({
    told: {
      marks: [
        { x: 0.2, y: 0.5, say: 'You saw it.', seen: true },
        { x: 0.7, y: 0.5, say: 'Step 2 measures as it should.', seen: false },
      ],
      rest: 'Nothing else is off.',
    },
  });
  expect(html).toContain('left:20%;top:50%');
  expect(html).toContain('<li class="font-semibold">You saw it.</li>');
  expect(html).toContain('<li>Step 2 measures as it should.</li>');
  expect(html).toContain('Nothing else is off.');
  expect(html).not.toContain('Place to mark');
  expect(html).not.toContain('ask the measurement');
});

test('where no white is known it is said that the ends are taken for granted', () => {
  expect(page({ relative: true })).toContain('taken for granted');
  expect(page()).not.toContain('taken for granted');
});

test('squinting blurs light, of what is painted and of what is wanted alike', () => {
  const painted = markupOf(<LookPicture picture="/look/ex" look={look} squint swapped={false} />);
  expect(painted).toMatch(/color-interpolation-filters="linearRGB"/);
  expect(painted).toContain('stdDeviation="12"');
  expect(painted).toContain('<g filter="url(#look-squint)">');
  expect(markupOf(<WantedPicture look={look} squint />)).toContain('<g filter="url(#look-squint)">');
  expect(markupOf(<WantedPicture look={look} squint={false} />)).not.toContain('filter=');
  // Held to swap: the wanted greys stand where the painting was.
  const swapped = markupOf(<LookPicture picture="/look/ex" look={look} squint={false} swapped />);
  expect(swapped).not.toContain('<image');
  expect(swapped).toContain(cssGrey(40));
});
