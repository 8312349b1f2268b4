/** Which request is being answered, for whatever is logged on its way. */
import { AsyncLocalStorage } from 'node:async_hooks';
import { onceAProcess } from './once';

const current = onceAProcess('request', () => new AsyncLocalStorage<string>());

/** Runs `work`, and all that it starts, as the answer to a request. */
export const answering = <T>(id: string, work: () => T): T => current.run(id, work);

/** Undefined outside of a request. */
export const requestId = (): string | undefined => current.getStore();
