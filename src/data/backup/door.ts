/**
 * How a command asks the Fair Grey that has a folder to make a backup of it: only that one may read its rows. It listens at a socket
 * that nobody but whoever runs it can open.
 */
import { rmSync } from 'node:fs';
import { createConnection, createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { text } from 'node:stream/consumers';
import { z } from 'zod';
import { hashOf } from '../files/file-store';
import { type BackupNote, backupNoteSchema } from './note';

/** Names of sockets are short: that of a folder is made of its hash. */
const socketOf = (folder: string): string =>
  path.join(tmpdir(), `fair-grey-${hashOf(new TextEncoder().encode(folder)).slice(0, 24)}.sock`);

const wishSchema = z.object({ target: z.string().min(1).max(4096) });
const answerSchema = z.union([z.object({ note: backupNoteSchema }), z.object({ trouble: z.string() })]);

/** Longer than anybody's wish. */
const MOST_LETTERS = 8192;

/** Listens until the server that is returned is closed. */
export function answerBackups(folder: string, make: (target: string) => Promise<BackupNote>): Server {
  const place = socketOf(folder);
  // Left there by a process that was killed: whoever has the folder is alone on it.
  rmSync(place, { force: true });
  const server = createServer({ allowHalfOpen: true }, (socket) => {
    socket.on('error', () => undefined);
    let asked = '';
    socket.on('data', (piece: Buffer) => {
      asked += piece.toString();
      if (asked.length > MOST_LETTERS) socket.destroy();
    });
    socket.on('end', () => {
      const answer = async () => {
        const { target } = wishSchema.parse(JSON.parse(asked));
        return { note: await make(target) };
      };
      answer()
        .catch((error: unknown) => ({ trouble: error instanceof Error ? error.message : String(error) }))
        .then((said) => socket.end(JSON.stringify(said)))
        .catch(() => undefined);
    });
  });
  // Made so that from its first moment nobody else can open it.
  const usual = process.umask(0o177);
  server.listen(place);
  process.umask(usual);
  server.unref();
  return server;
}

/** Asks whoever has the folder. Null where nobody listens. Throws with the sentence that it answers. */
export async function askForBackup(folder: string, target: string): Promise<BackupNote | null> {
  const socket = createConnection({ path: socketOf(folder), allowHalfOpen: true });
  const isThere = await new Promise<boolean>((resolve) => {
    socket.once('connect', () => resolve(true));
    socket.once('error', () => resolve(false));
  });
  if (!isThere) return null;
  socket.end(JSON.stringify({ target }));
  const said = answerSchema.parse(JSON.parse(await text(socket)));
  if ('trouble' in said) throw new Error(said.trouble);
  return said.note;
}
