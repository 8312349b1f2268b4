/** Which tones of the exercise those of a painting are, where it has fewer. */

/** Every way of choosing `count` of 1 to `of`, rising. */
function* choices(count: number, of: number, from = 1): Generator<number[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (let first = from; first <= of - count + 1; first++)
    for (const rest of choices(count - 1, of, first + 1)) yield [first, ...rest];
}

/** So far off in lightness (L*), a place counts as one that disagrees: a grey is rather taken for the grey than for the dark. */
const AS_GOOD_AS_WRONG = 50;

/**
 * For each painted tone, the lightest first, the tone of the exercise that it stands for: in order, so that most of the
 * picture agrees with the reference and each tone is about as light as the one that it stands for.
 * `drawn` and `wanted` are tones place by place (`wanted` null: only lightness counts), `lightness` the painted ones and `targets` the exercise's, L*.
 */
export function matchTones(
  drawn: Uint8Array,
  wanted: Uint8Array | null,
  lightness: readonly number[],
  targets: readonly number[],
): number[] {
  const [m, n] = [lightness.length, targets.length];
  const together = Array.from({ length: m }, () => new Float64Array(n + 1));
  drawn.forEach((t, i) => {
    const row = together[t - 1];
    const w = wanted ? (wanted[i] as number) : 0;
    if (row) row[w] = (row[w] as number) + 1;
  });
  let best = { choice: Array.from({ length: m }, (_, k) => k + 1), right: -Infinity };
  for (const choice of choices(m, n)) {
    const right = choice.reduce((s, tone, k) => {
      const own = together[k] ?? new Float64Array(n + 1);
      const off = Math.abs((targets[tone - 1] as number) - (lightness[k] as number)) / AS_GOOD_AS_WRONG;
      return s + (own[tone] as number) - off * own.reduce((a, b) => a + b, 0);
    }, 0);
    if (right > best.right) best = { choice, right };
  }
  return best.choice;
}
