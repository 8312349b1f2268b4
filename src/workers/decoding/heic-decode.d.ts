declare module 'heic-decode' {
  interface Decoded {
    readonly width: number;
    readonly height: number;
    /** RGBA, upright. */
    readonly data: Uint8ClampedArray;
  }
  export default function decode(options: { buffer: Uint8Array }): Promise<Decoded>;
}
