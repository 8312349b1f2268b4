/** What there is once in a process, though the server and the framework load their own copies of a file. */
export function onceAProcess<T>(name: string, make: () => T): T {
  const holder = globalThis as unknown as Record<symbol, T | undefined>;
  const key = Symbol.for(`fair-grey.${name}`);
  return (holder[key] ??= make());
}
