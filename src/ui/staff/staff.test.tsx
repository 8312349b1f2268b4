/** Who teaches a class and the studio: what each may do is said, and only who may change it is offered that. */
import { renderToStaticMarkup } from 'react-dom/server';
import { SecondStepForm } from './SecondStepForm';
import { SharedWith } from './SharedWith';

const fine = () => Promise.resolve({ ok: true as const, value: undefined });
const odile = { id: 'o', name: 'Odile Marrow', standing: 'assistant' as const };
const corin = { id: 'c', name: 'Corin Maddery', standing: 'teacher' as const };
const shared = (isOwn: boolean) =>
  renderToStaticMarkup(
    <SharedWith
      sharing={{ isOwn, owner: 'Hesper Dunnock', with: [odile], others: isOwn ? [corin] : [] }}
      share={fine}
      unshare={fine}
    />,
  );

test('whoever made a class shares it; others see with whom it is shared', () => {
  for (const words of ['You made this class', 'Odile Marrow: looks and drafts', 'Not any more', 'Corin Maddery'])
    expect(shared(true)).toContain(words);
  expect(shared(false)).toContain('Hesper Dunnock made this class');
  expect(shared(false)).not.toMatch(/Not any more|Share it with/);
});

test('a second step is begun with the password, and ended with it', () => {
  const begin = () => Promise.resolve({ ok: false as const, say: 'No.' });
  const form = (isOn: boolean) =>
    renderToStaticMarkup(<SecondStepForm isOn={isOn} begin={begin} confirm={fine} end={fine} />);
  expect(form(false)).toMatch(/type="password"[\s\S]*Begin/);
  expect(form(true)).toMatch(/type="password"[\s\S]*End it/);
});
