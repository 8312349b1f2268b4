/**
 * What a log may say of an error. A database's messages hold the values that it was asked about, names and codes among them:
 * of those only the kind, the code and the place are kept.
 */

/** PostgreSQL's own codes: five capitals or digits. */
const SQLSTATE = /^[0-9A-Z]{5}$/;
const DEEPEST = 4;

export interface SaidOfError {
  readonly type: string;
  readonly code?: string;
  readonly message?: string;
  readonly stack?: string;
  readonly cause?: SaidOfError;
}

const codeOf = (error: Error): string | undefined => {
  const { code } = error as NodeJS.ErrnoException;
  return typeof code === 'string' ? code : undefined;
};

const isOfDatabase = (error: Error): boolean =>
  SQLSTATE.test(codeOf(error) ?? '') || 'query' in error || 'params' in error;

/** The lines of a stack that say where; those above them repeat the message. */
const places = (stack: string | undefined): string =>
  (stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .join('\n');

export function saidOfError(error: unknown, deep = 0): SaidOfError {
  if (!(error instanceof Error)) return { type: typeof error };
  const code = codeOf(error);
  const stack = places(error.stack);
  return {
    type: error.name,
    ...(code !== undefined && { code }),
    ...(!isOfDatabase(error) && { message: error.message }),
    ...(stack !== '' && { stack }),
    ...(error.cause !== undefined && deep < DEEPEST && { cause: saidOfError(error.cause, deep + 1) }),
  };
}
