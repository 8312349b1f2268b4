/** What a next try has mended. */
import { curedSince } from './cured';
import { type Finding, OWN_WORD } from './finding';
import type { SaidItem } from './letter';
import { PLAIN_VOICE } from './voice';

const BOX = { x: 0.1, y: 0.1, width: 0.2, height: 0.2 };
const finding = (code: string, where: Partial<Finding['where']> = {}, more: Partial<Finding> = {}): Finding => ({
  ...{ key: `${code} ${JSON.stringify(where)}`, code, kind: 'fix', weight: 1, evidence: {}, say: `It is ${code}.` },
  ...{ do: null, where: { steps: [], ...where }, ...more },
});
const said = (original: Finding, more: Partial<SaidItem> = {}): SaidItem => ({
  ...{ original, say: null, action: null, dropped: false, ...more },
});
const WORKS = finding('drawing_holds', {}, { kind: 'works' });
const cured = (before: SaidItem[], now: Finding[]) => curedSince(before, now, PLAIN_VOICE).map((f) => f.say);

test('what is not told any longer is ticked off, in the words that it was told in', () => {
  const before = [said(finding('streaky', { steps: [3] }), { say: 'Three is marbled.' }), said(finding('weak_black'))];
  expect(cured(before, [WORKS])).toEqual([
    'Mended since last time: “Three is marbled.”',
    'This was to be mended, and is: “It is weak_black.”',
  ]);
  expect(curedSince(before, [WORKS], PLAIN_VOICE).every((f) => f.kind === 'works' && f.code === 'cured')).toBe(true);
});

test('the same place under another key is still the same place', () => {
  const near = { ...BOX, x: 0.12 };
  const far = { ...BOX, x: 0.6 };
  expect(cured([said(finding('part_off', { box: BOX }))], [finding('part_off', { box: near })])).toEqual([]);
  expect(cured([said(finding('part_off', { box: BOX }))], [finding('part_off', { box: far })])).toHaveLength(1);
  expect(cured([said(finding('part_off', { shape: 'jug' }))], [finding('part_off', { shape: 'jug' })])).toEqual([]);
  expect(cured([said(finding('too_close', { steps: [3, 4] }))], [finding('too_close', { steps: [4, 5] })])).toEqual([]);
});

test('what nobody measured, or nobody was told, is not ticked off', () => {
  expect(cured([said(finding('corrected_lightness', { box: BOX }))], [WORKS])).toEqual([]);
  expect(cured([said(finding(OWN_WORD)), said(finding('streaky'), { dropped: true }), said(WORKS)], [WORKS])).toEqual(
    [],
  );
  expect(cured([said(finding('streaky'))], [])).toEqual([]);
});
