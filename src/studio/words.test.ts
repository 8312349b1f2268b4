import fc from 'fast-check';
import { emailSchema, nameSchema, passwordSchema, textSchema } from './words';

const said = (schema: typeof textSchema, text: string) => schema.safeParse(text).error?.issues[0]?.message;

test('any Unicode is welcome, counted as people see it', () => {
  for (const name of ['Ørla Finnick', '青木', 'محمد', '👩🏽‍🎨', 'Zoë'])
    expect(nameSchema.parse(name)).toBe(name.normalize('NFC'));
  const painters = '👩🏽‍🎨'.repeat(80);
  expect(nameSchema.parse(painters)).toBe(painters);
  expect(said(nameSchema, `${painters}x`)).toBe('This name is too long: keep it to 80 characters.');
});

test('names have something in them, texts need not; what can’t be seen is taken out', () => {
  expect(said(nameSchema, '  \u0007 ')).toBe('Give a name.');
  expect(textSchema.parse('')).toBe('');
  expect(textSchema.parse('one\u0000\ntwo\t.')).toBe('one\ntwo\t.');
  expect(said(textSchema, 'x'.repeat(2001))).toMatch(/keep it to 2000 characters/);
  expect(textSchema.parse('x'.repeat(2000))).toHaveLength(2000);
});

test('invisible marks are taken out of names, but those that join letters of a script', () => {
  expect(nameSchema.parse('\u200bBea\ufeff Lind\u00adqvarn\u202e')).toBe('Bea Lindqvarn');
  expect(said(nameSchema, '\u200b\u2060')).toBe('Give a name.');
  expect(nameSchema.parse('می\u200cخواهم')).toBe('می\u200cخواهم');
});

test('what is kept is kept again unchanged', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), (text) => {
      const kept = textSchema.parse(text);
      expect(textSchema.parse(kept)).toBe(kept);
    }),
  );
});

test('an e-mail is one, a password is long enough', () => {
  expect(emailSchema.safeParse('hesper@tidewell.example').success).toBe(true);
  expect(emailSchema.safeParse('hesper').success).toBe(false);
  expect(passwordSchema.safeParse('short').error?.issues[0]?.message).toBe('Use at least 8 characters.');
});
