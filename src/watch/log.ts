/** The log: lines of JSON on standard output, with the id of the request they belong to. Names and codes are never written. */
import { pino } from 'pino';
import { requestId } from './request-id';
import { saidOfError } from './said-of-error';

export const LOG_LEVELS = ['debug', 'info', 'warn', 'error', 'silent'] as const;
export type LogLevel = (typeof LOG_LEVELS)[number];

/** Whoever starts it on one machine reads sentences; a district collects every request. */
export function levelOf({ FAIR_GREY_LOG: set, FAIR_GREY_ROLE: role = 'all' }: Partial<NodeJS.ProcessEnv>): LogLevel {
  return LOG_LEVELS.find((level) => level === set) ?? (role === 'all' ? 'warn' : 'info');
}

export const log = pino({
  level: levelOf(process.env),
  base: { pid: process.pid, role: process.env['FAIR_GREY_ROLE'] ?? 'all' },
  timestamp: pino.stdTimeFunctions.isoTime,
  serializers: { err: saidOfError },
  mixin() {
    const request = requestId();
    return request === undefined ? {} : { request };
  },
});
