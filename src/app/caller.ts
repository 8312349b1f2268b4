/** Where a visitor calls from. Headers that say so are written by the server itself (`serve`), never taken from the visitor. */
import { headers } from 'next/headers';
import { ADDRESS_HEADER, PROTOCOL_HEADER } from './server/caller-headers';

export const addressOfCaller = async (): Promise<string> => (await headers()).get(ADDRESS_HEADER) ?? 'unknown';

export const cameByHttps = async (): Promise<boolean> => (await headers()).get(PROTOCOL_HEADER) === 'https';
