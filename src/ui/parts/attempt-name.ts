/** How an attempt is called: by its number, and by its stage where it has one; `otherwise` where it does not count. */
export const attemptName = (
  { number, stage }: { readonly number: number | null; readonly stage: string | null },
  otherwise: string,
): string => [number ? `Try ${number}` : otherwise, ...(stage ? [stage.toLowerCase()] : [])].join(', ');
