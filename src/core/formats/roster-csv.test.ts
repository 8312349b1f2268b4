/** Lists of classes as they come. */
import fc from 'fast-check';
import { BadRoster, namesOfRoster, readRoster, textOf } from './roster-csv';

const utf8 = (text: string) => new TextEncoder().encode(text);
/** As old programs of the West write it. */
const latin = (text: string) => Uint8Array.from(text, (c) => c.charCodeAt(0));
function utf16(text: string, littleEndian: boolean): Uint8Array {
  const bytes = new Uint8Array(2 + 2 * text.length);
  const view = new DataView(bytes.buffer);
  view.setUint16(0, 0xfeff, littleEndian);
  [...text].forEach((c, i) => view.setUint16(2 + 2 * i, c.charCodeAt(0), littleEndian));
  return bytes;
}
const names = (bytes: Uint8Array, here: readonly string[] = []) => {
  const roster = readRoster(bytes);
  return namesOfRoster(roster, roster.likely, here);
};

test.each([
  ['UTF-8', utf8('Name\nØrla Finnick\nJürgen')],
  ['UTF-8 with a mark', utf8('\uFEFFName\nØrla Finnick\nJürgen')],
  ['windows-1252', latin('Name\nØrla Finnick\nJürgen')],
  ['UTF-16, little end first', utf16('Name\nØrla Finnick\nJürgen', true)],
  ['UTF-16, big end first', utf16('Name\nØrla Finnick\nJürgen', false)],
])('in %s', (_, bytes) => {
  expect(names(bytes).map((n) => n.name)).toEqual(['Ørla Finnick', 'Jürgen']);
});

test.each([
  ['commas', 'Nr,First name,Last name\n1,Bea,Lindqvarn\n2,"Vane, Ruta",\n', ['Bea Lindqvarn', 'Vane, Ruta']],
  ['semicolons', 'Vorname;Nachname\r\nBea;Lindqvarn\r\n', ['Bea Lindqvarn']],
  ['tabs', 'Prénom\tNom\nBea\tLindqvarn', ['Bea Lindqvarn']],
  ['names alone, without a first line', 'Bea Lindqvarn\nRuta Vane', ['Bea Lindqvarn', 'Ruta Vane']],
  ['a column of another name', 'Class,Who\nA,Bea', ['A']],
])('parted by %s', (_, text, wanted) => {
  expect(names(utf8(text)).map((n) => n.name)).toEqual(wanted);
});

test('other columns are chosen by hand', () => {
  const roster = readRoster(utf8('Class,Who,Of\nA,Bea,Lindqvarn'));
  expect(roster.columns).toEqual(['Class', 'Who', 'Of']);
  expect(namesOfRoster(roster, { name: 1, more: 2 }, [])).toEqual([{ name: 'Bea Lindqvarn', state: 'new' }]);
});

test('who is there already, who stands there twice, and lines without a name are told', () => {
  const text = `Name\nBea Lindqvarn\nruta  VANE\nRuta Vane\n,\n${'x'.repeat(90)}\nTam`;
  expect(names(utf8(text), ['bea lindqvarn']).map((n) => n.state)).toEqual(['here', 'new', 'twice', 'long', 'new']);
});

test('formulas are names like others, and what kept them from being formulas goes', () => {
  expect(names(utf8('Name\n\'=HYPERLINK("x")\n=1+1')).map((n) => n.name)).toEqual(['=HYPERLINK("x")', '=1+1']);
});

test('a thousand rows, and files that are no list', () => {
  const thousand = `Name\n${Array.from({ length: 1000 }, (_, i) => `Student ${i}`).join('\n')}`;
  expect(names(utf8(thousand)).filter((n) => n.state === 'new')).toHaveLength(1000);
  for (const [bytes, says] of [
    [utf8('PK\u0003\u0004workbook'), 'workbook'],
    [utf8('Name\n\n\n'), 'no names'],
    [utf8('a\u0000b'), 'no text'],
    [utf8(`Name\n${'x\n'.repeat(6000)}`), '6000 rows'],
    [new Uint8Array(3_000_000).fill(65), 'larger'],
  ] as const) {
    expect(() => readRoster(bytes)).toThrow(BadRoster);
    expect(() => readRoster(bytes)).toThrow(says);
  }
});

test('whatever bytes come, it is a list or it is told', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
      expect(typeof textOf(bytes)).toBe('string');
      try {
        expect(readRoster(bytes).rows.length).toBeGreaterThan(0);
      } catch (error) {
        expect(error).toBeInstanceOf(BadRoster);
      }
    }),
  );
});
