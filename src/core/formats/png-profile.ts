/** A colour profile put into a PNG (PNG, third edition, section 11.3.2.3): the codes stay as they are. */

const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = (c >>> 1) ^ (c & 1 ? 0xedb88320 : 0);
  return c;
});

function crc32(bytes: Uint8Array): number {
  let c = 0xffffffff;
  for (const b of bytes) c = (c >>> 8) ^ (TABLE[(c ^ b) & 0xff] as number);
  return (c ^ 0xffffffff) >>> 0;
}

/** After the signature and IHDR, both of fixed length. */
const AFTER_HEADER = 8 + 25;
const NAME = 'photograph';

/** The PNG with an `iCCP` chunk; the profile comes deflated. */
export function pngWithProfile(png: Uint8Array, deflated: Uint8Array): Uint8Array {
  const body = new Uint8Array(4 + NAME.length + 2 + deflated.length);
  body.set(new TextEncoder().encode(`iCCP${NAME}`));
  body.set(deflated, 4 + NAME.length + 2);
  const out = new Uint8Array(png.length + body.length + 8);
  const view = new DataView(out.buffer);
  out.set(png.subarray(0, AFTER_HEADER));
  view.setUint32(AFTER_HEADER, body.length - 4);
  out.set(body, AFTER_HEADER + 4);
  view.setUint32(AFTER_HEADER + 4 + body.length, crc32(body));
  out.set(png.subarray(AFTER_HEADER), AFTER_HEADER + 8 + body.length);
  return out;
}
