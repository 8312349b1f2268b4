/** For what has just come and must not be missed below the edge: a `ref` that brings it there. */
export function intoView(element: HTMLElement | null): void {
  element?.scrollIntoView({ block: 'nearest' });
}
