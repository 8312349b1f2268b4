/** Files by the hash of their content: in a folder of this machine, or in a store that several machines share. */
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';

export interface Kept {
  readonly hash: string;
  /** When it was last put there. */
  readonly at: Date;
}

export interface FileStore {
  /** Keeps the bytes; returns their SHA-256 in hex. Keeping the same bytes twice is keeping them once, from now on. */
  put(bytes: Uint8Array): Promise<string>;
  /** Whether it is there. */
  has(hash: string): Promise<boolean>;
  /** Throws FileMissing where it is not there, or not as it was kept. */
  read(hash: string): Promise<Buffer>;
  /** Path of a copy on this machine, to read and not to change. Throws FileMissing. */
  local(hash: string): Promise<string>;
  remove(hash: string): Promise<void>;
  list(): AsyncIterable<Kept>;
  /** Bytes free on this machine's disk. */
  free(): Promise<number>;
  /** A folder of this machine for uploads on their way. */
  readonly incoming: string;
}

/** A file that should be there is not, or is not what it was. */
export class FileMissing extends Error {
  override readonly name = 'FileMissing';
  constructor() {
    super(
      'A picture that belongs here is missing from the studio’s store, or was damaged there. Take it from a backup.',
    );
  }
}

export const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** The same of a file, piece by piece: nothing else has to wait for it. Null where it can't be read. */
export async function hashOfFile(file: string): Promise<string | null> {
  const hash = createHash('sha256');
  try {
    await pipeline(createReadStream(file), hash);
    return hash.digest('hex');
  } catch {
    return null;
  }
}

/** Throws RangeError at what is no content's hash. */
export function checkHash(hash: string): string {
  if (!/^[0-9a-f]{64}$/.test(hash)) throw new RangeError(`Not a content hash: ${hash}`);
  return hash;
}

/** The bytes, if they are those of the hash. Throws FileMissing. */
export function checkBytes(hash: string, bytes: Buffer): Buffer {
  if (hashOf(bytes) !== hash) throw new FileMissing();
  return bytes;
}
