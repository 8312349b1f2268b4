/** Files in a ZIP, as somebody sends them. */
import { buffer } from 'node:stream/consumers';
import yazl from 'yazl';

export async function zipOf(files: readonly (readonly [string, Buffer])[]): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name);
  zip.end();
  return buffer(zip.outputStream);
}
