import { NoRoom, Refused } from '@/studio/access/actor';
import { createWriteStream, mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { takeUpload } from './take-upload';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-upload-'));
const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://studio.test/hand-in', { method: 'POST', body, headers });
const form = (bytes: Uint8Array) => {
  const data = new FormData();
  data.append('photo', new Blob([new Uint8Array(bytes)]), 'sheet.jpg');
  return data;
};

test('a file comes through to disk whole', async () => {
  const bytes = Uint8Array.from({ length: 300_000 }, (_, i) => i % 251);
  const file = await takeUpload(post(form(bytes)), folder);
  expect(Buffer.compare(readFileSync(file), Buffer.from(bytes))).toBe(0);
});

test.each([
  ['nothing', post('')],
  [
    'a form without a file',
    post(
      (() => {
        const data = new FormData();
        data.append('word', 'hello');
        return data;
      })(),
    ),
  ],
  ['another kind of body', post('{}', { 'content-type': 'application/json' })],
])('%s is told', async (_, request) => {
  await expect(takeUpload(request, folder)).rejects.toThrow('No picture came with this');
});

test('a form that does not say how its parts are told apart is told', async () => {
  const request = post('--x', { 'content-type': 'multipart/form-data' });
  await expect(takeUpload(request, folder)).rejects.toThrow('did not come through whole');
});

test('more than 40 MB is refused, and nothing of it stays', async () => {
  const before = readdirSync(folder).length;
  await expect(takeUpload(post(form(new Uint8Array(41 * 1024 * 1024))), folder)).rejects.toBeInstanceOf(Refused);
  expect(readdirSync(folder)).toHaveLength(before);
});

test('a body that is cut off is told, and nothing of it stays', async () => {
  const before = readdirSync(folder).length;
  const cut = new ReadableStream({
    start(controller) {
      controller.enqueue(
        new TextEncoder().encode(
          '--x\r\nContent-Disposition: form-data; name="photo"; filename="a.jpg"\r\n\r\nhalf a pict',
        ),
      );
      controller.close();
    },
  });
  const request = new Request('http://studio.test/hand-in', {
    method: 'POST',
    body: cut,
    headers: { 'content-type': 'multipart/form-data; boundary=x' },
    duplex: 'half',
  } as RequestInit);
  await expect(takeUpload(request, folder)).rejects.toThrow('did not come through whole');
  expect(readdirSync(folder)).toHaveLength(before);
});

test('a disk that fills up while a picture comes in is told at once', async () => {
  const full = () => createWriteStream('/dev/full');
  const coming = takeUpload(post(form(new Uint8Array(3_000_000))), folder, undefined, full);
  await expect(coming).rejects.toThrow(NoRoom);
});
