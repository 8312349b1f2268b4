/** How tones are called when they are spoken of. */

/** What a class calls its values, the lightest first. */
export interface ToneNames {
  readonly labels: readonly string[];
}

const ORDINALS = ['zeroth', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth'];

/** What a tone (1 the lightest) is called, as something that a place is: the class's number only where there are several between light and dark. */
export function toneName(tone: number, { labels }: ToneNames): string {
  if (tone === 1) return 'light';
  if (tone === labels.length) return 'dark';
  if (labels.length === 3) return 'the middle tone';
  const label = labels[tone - 1] ?? String(tone);
  const ordinal = /^\d+$/.test(label) ? ORDINALS[Number(label)] : undefined;
  return ordinal ? `the ${ordinal} tone` : `tone ${label}`;
}

/** The same as something that a place belongs to: "the light", "the second tone". */
export function toneGroup(tone: number, names: ToneNames): string {
  const name = toneName(tone, names);
  return name === 'light' || name === 'dark' ? `the ${name}` : name;
}
