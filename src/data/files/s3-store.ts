/**
 * Files in a store that speaks S3, which several machines share. What is asked for as a file is fetched once and kept beside
 * this machine's data; its content is its name, so that a copy never grows old.
 */
import {
  DeleteObjectCommand,
  GetObjectCommand,
  HeadObjectCommand,
  paginateListObjectsV2,
  PutObjectCommand,
  S3Client,
} from '@aws-sdk/client-s3';
import { mkdir, readdir, rm, stat, utimes } from 'node:fs/promises';
import path from 'node:path';
import type { S3Settings } from '../settings';
import { checkBytes, checkHash, FileMissing, type FileStore, hashOf, hashOfFile, type Kept } from './file-store';
import { FORGOTTEN_MS, freeBytes, openIncoming, writeWhole } from './folder-store';

const isAway = (error: unknown): boolean => {
  const status = (error as { $metadata?: { httpStatusCode?: number } }).$metadata?.httpStatusCode;
  return status === 404;
};

/** Takes away copies that nobody has asked for in a day. */
async function tidy(copies: string): Promise<void> {
  for (const name of await readdir(copies)) {
    const file = path.join(copies, name);
    const { mtimeMs } = await stat(file).catch(() => ({ mtimeMs: Infinity }));
    if (Date.now() - mtimeMs > FORGOTTEN_MS) await rm(file, { force: true });
  }
}

/** Who may use it is told by the environment, as for every program that speaks S3 (AWS_ACCESS_KEY_ID and so on). */
export async function openS3Store(dataFolder: string, { endpoint, region, bucket }: S3Settings): Promise<FileStore> {
  const client = new S3Client({ region, ...(endpoint && { endpoint, forcePathStyle: true }) });
  const incoming = await openIncoming(dataFolder, false);
  const copies = path.join(dataFolder, 'copies');
  await mkdir(copies, { recursive: true });
  await tidy(copies);
  const at = (hash: string) => ({ Bucket: bucket, Key: checkHash(hash) });

  const lastPut = (hash: string): Promise<Date | null> =>
    client.send(new HeadObjectCommand(at(hash))).then(
      ({ LastModified }) => LastModified ?? new Date(0),
      (error: unknown) => {
        if (isAway(error)) return null;
        throw error;
      },
    );
  const has = async (hash: string) => (await lastPut(hash)) !== null;
  async function fetched(hash: string): Promise<Buffer> {
    const found = await client.send(new GetObjectCommand(at(hash))).catch((error: unknown) => {
      throw isAway(error) ? new FileMissing() : error;
    });
    if (!found.Body) throw new FileMissing();
    return checkBytes(hash, Buffer.from(await found.Body.transformToByteArray()));
  }
  return {
    incoming,
    has,
    async put(bytes) {
      const hash = hashOf(bytes);
      // Put there anew an old one counts as new: nothing that takes old files away can race whoever has just named it.
      const since = await lastPut(hash);
      if (since === null || Date.now() - since.getTime() > FORGOTTEN_MS / 2)
        await client.send(new PutObjectCommand({ ...at(hash), Body: bytes, ContentLength: bytes.length }));
      return hash;
    },
    read: fetched,
    async local(hash) {
      const copy = path.join(copies, checkHash(hash));
      if ((await hashOfFile(copy)) === hash) {
        const now = new Date();
        await utimes(copy, now, now).catch(() => undefined);
      } else await writeWhole(copy, await fetched(hash), incoming);
      return copy;
    },
    async remove(hash) {
      await client.send(new DeleteObjectCommand(at(hash)));
      await rm(path.join(copies, hash), { force: true });
    },
    async *list(): AsyncIterable<Kept> {
      for await (const page of paginateListObjectsV2({ client }, { Bucket: bucket }))
        for (const { Key, LastModified } of page.Contents ?? [])
          if (Key && LastModified) yield { hash: Key, at: LastModified };
    },
    free: () => freeBytes(dataFolder),
  };
}
