/** Second opinions as they are first drawn: for whoever asks, for whoever is asked, and on Today. */
import { renderToStaticMarkup } from 'react-dom/server';
import { Colleagues } from '../staff/Colleagues';
import { Opinions } from '../today/Opinions';
import { AskedHandIn } from './AskedHandIn';
import { SecondOpinion } from './SecondOpinion';

const fine = () => Promise.resolve({ ok: true as const, value: null });
const COLLEAGUES = [{ id: 'c', name: 'Corin Maddery', standing: 'teacher' as const }];
const opinion = { id: 'o', ofId: 'c', of: 'Corin Maddery', question: 'Too harsh?', word: null, verdict: null };
const table = (more: Partial<Parameters<typeof SecondOpinion>[0]> = {}) =>
  renderToStaticMarkup(
    <SecondOpinion opinions={[]} colleagues={COLLEAGUES} frozen={false} ask={fine} takeBack={fine} {...more} />,
  );

test('another teacher can be asked, once, while it was not sent', () => {
  expect(table()).toContain('A second opinion');
  expect(table({ colleagues: [] })).toBe('');
  const asked = table({ opinions: [opinion] });
  expect(asked).toContain('has not answered yet');
  expect(asked).not.toContain('A second opinion');
  expect(table({ opinions: [opinion], frozen: true })).not.toContain('Take the question back');
});

test('what they say stands there with what they would decide', () => {
  const html = table({ opinions: [{ ...opinion, word: 'The darks hold.', verdict: 'pass' }] });
  expect(html).toContain('would let it pass');
  expect(html).toContain('The darks hold.');
});

const ASKED = {
  ...{ id: 'o', asker: 'Hesper Dunnock', question: 'Too harsh?', student: null, title: 'Nine greys' },
  ...{ word: null, verdict: null, isSent: false, marks: [] },
  items: [{ key: 'k', kind: 'fix' as const, say: 'Step 3 is streaky.', action: 'Stir the mix.' }],
};

test('whoever is asked sees the draft and room for a word, and afterwards what was said', () => {
  const html = renderToStaticMarkup(<AskedHandIn asked={ASKED} say={fine} />);
  for (const words of ['Whose it is, is not said', 'Too harsh?', 'Step 3 is streaky.', 'What you think'])
    expect(html).toContain(words);
  const sent = renderToStaticMarkup(<AskedHandIn asked={{ ...ASKED, isSent: true, word: 'It holds.' }} say={fine} />);
  expect(sent).toContain('It holds.');
  expect(sent).not.toContain('textarea');
});

test('Today leads to what is asked, and to what came back', () => {
  const html = renderToStaticMarkup(
    <Opinions
      asked={[{ id: 'o', asker: 'Corin Maddery', title: 'Five greys', question: 'Is it even?' }]}
      answers={[
        { id: 'p', by: 'Corin Maddery', student: 'Bea', title: 'Jug', word: 'Fine.', handInId: 'h', attemptId: 'a' },
      ]}
    />,
  );
  expect(html).toContain('/asked/o');
  expect(html).toContain('/table/h?attempt=a');
});

test('who teaches here is listed, and one more can be invited', () => {
  const html = renderToStaticMarkup(
    <Colleagues
      own={{ name: 'Hesper Dunnock', standing: 'owner' }}
      colleagues={COLLEAGUES}
      days={7}
      invite={() => Promise.resolve({ ok: true, value: 'CODE' })}
      letBe={() => Promise.resolve({ ok: true, value: undefined })}
      newPassword={() => Promise.resolve({ ok: true, value: 'a-password' })}
    />,
  );
  for (const words of ['Hesper Dunnock (you)', 'Corin Maddery', 'Invite a teacher']) expect(html).toContain(words);
});
