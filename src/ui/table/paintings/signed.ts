/** A figure with its sign; what rounds to nothing has none. */
export function signed(v: number, digits = 1): string {
  const text = Math.abs(v).toFixed(digits);
  return Number(text) === 0 ? text : `${v > 0 ? '+' : '-'}${text}`;
}
