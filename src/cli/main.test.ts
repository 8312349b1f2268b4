/** What the command says of itself, and of what it can’t take. */
import { existsSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { helpOf, VERBS_HELP } from './help';
import { testCommand } from './test-command';

const { folder, fairGrey, text } = testCommand();

test('every verb and every option is explained with an example; what is not known is named', () => {
  const all = text('--help');
  for (const verb of Object.keys(VERBS_HELP)) expect(all).toContain(verb);
  for (const [verb, { options, example }] of Object.entries(VERBS_HELP)) {
    const words = helpOf(verb as keyof typeof VERBS_HELP);
    for (const [option, { words: about }] of Object.entries(options)) {
      expect(words).toContain(`--${option}`);
      expect(words.replace(/\s+/g, ' ')).toContain(about.replace(/\s+/g, ' '));
    }
    expect(words.replace(/\s+/g, ' ')).toContain(example);
  }
  expect(text('measure', 'scale', '--help')).toContain('--steps');
  const { code, said } = fairGrey('measure', 'scale', 'photo.jpg', '--stepz', '7');
  expect(code).toBe(2);
  expect(said).toContain('--stepz');
});

test.each([
  [['measure', 'scale', 'none.jpg', '--steps', '5'], 'There is no file none.jpg'],
  [['measure', 'scale', 'none.jpg', '--steps', '2'], 'A scale needs 3 to 15 steps, got 2.'],
  [['measure', 'scale', 'none.jpg'], '--steps: is needed'],
  [['measure', 'scale', 'none.jpg', '--steps', '5', '--ends', '50,40'], 'at least 20'],
  [['measure', 'scale', 'none.jpg', '--steps', '5', '--order', 'sideways'], '--order must be one of'],
  [['measure', 'scale', 'text.jpg', '--steps', '5'], 'not a picture'],
  [['worksheet', 'scale', '--steps', '16', '--out', 'never.pdf'], 'A scale needs 3 to 15 steps, got 16.'],
  [['worksheet', 'scale', '--steps', '9', '--dpi', '72', '--out', 'never.png'], '150 to 600'],
  [['worksheet', 'scale', '--steps', '9', '--paper', 'a3', '--out', 'never.pdf'], '--paper must be one of'],
  [['frobnicate'], 'Give one of'],
])('%j ends with 2 and one clear line', (args, words) => {
  writeFileSync(path.join(folder, 'text.jpg'), 'not a picture');
  const { code, json, said } = fairGrey(...args);
  expect(code).toBe(2);
  expect(json).toBeNull();
  expect(said.split('\n').at(-1)).toContain(words);
  expect(existsSync(path.join(folder, 'never.pdf')) || existsSync(path.join(folder, 'never.png'))).toBe(false);
});
