/** How what is said of a painting in few tones is put. */
import type { NotanResult } from '../notan/result';
import type { Finding } from './finding';

export const round2 = (v: number) => Math.round(v * 100) / 100;
export const percent = (v: number) => `${Math.round(100 * v)} %`;

/** What a tone (1 the lightest) is called, given what the class calls each: the number is needed only where there are several between light and dark. */
export function toneName(tone: number, labels: readonly string[]): string {
  if (tone === 1) return 'light';
  if (tone === labels.length) return 'dark';
  return labels.length === 3 ? 'the middle tone' : `tone ${labels[tone - 1] ?? tone}`;
}

/** Where in the picture a box lies, in words. */
export function place({ x, y, width, height }: NotanResult['regions'][number]['box']): string {
  const [cx, cy] = [x + width / 2, y + height / 2];
  const across = cx < 1 / 3 ? 'left' : cx > 2 / 3 ? 'right' : '';
  const down = cy < 1 / 3 ? 'top' : cy > 2 / 3 ? 'bottom' : '';
  if (!across && !down) return 'in the middle';
  return `at the ${[down, across].filter(Boolean).join(' ')}`;
}

type Draft = Pick<Finding, 'code' | 'weight' | 'evidence' | 'say'> & {
  readonly do: string;
  readonly box?: Finding['where']['box'];
  readonly shape?: string;
};
export const fix = ({ box, shape, ...draft }: Draft): Finding => ({
  ...draft,
  kind: 'fix',
  weight: round2(draft.weight),
  where: { steps: [], ...(box && { box }), ...(shape !== undefined && { shape }) },
});
export const works = (code: string, say: string, evidence: Finding['evidence']): Finding => ({
  code,
  kind: 'works',
  weight: 0,
  where: { steps: [] },
  evidence,
  say,
  do: null,
});
