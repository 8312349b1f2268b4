/** Which tones of the exercise those of a painting are, where it has fewer. */

/** Every way of choosing `count` of 1 to `of`, rising. */
function* choices(count: number, of: number, from = 1): Generator<number[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (let first = from; first <= of - count + 1; first++) for (const rest of choices(count - 1, of, first + 1)) yield [first, ...rest];
}

/**
 * For each painted tone, the lightest first, the tone of the exercise that it stands for: in order, so that most of the
 * picture agrees with the reference, and of ways that agree alike the one whose lightnesses are nearest to what is meant.
 * `drawn` and `wanted` are tones place by place, `lightness` the painted ones and `targets` the exercise's, L*.
 */
export function matchTones(drawn: Uint8Array, wanted: Uint8Array, lightness: readonly number[], targets: readonly number[]): number[] {
  const [m, n] = [lightness.length, targets.length];
  const together = Array.from({ length: m }, () => new Float64Array(n + 1));
  drawn.forEach((t, i) => {
    const row = together[t - 1];
    const w = wanted[i] as number;
    if (row) row[w] = (row[w] as number) + 1;
  });
  let best = { choice: Array.from({ length: m }, (_, k) => k + 1), agree: -1, off: Infinity };
  for (const choice of choices(m, n)) {
    const agree = choice.reduce((s, tone, k) => s + (together[k]?.[tone] ?? 0), 0);
    const off = choice.reduce((s, tone, k) => s + Math.abs((targets[tone - 1] as number) - (lightness[k] as number)), 0);
    if (agree > best.agree || (agree === best.agree && off < best.off)) best = { choice, agree, off };
  }
  return best.choice;
}
