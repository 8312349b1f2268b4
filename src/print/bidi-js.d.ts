/** Of the Unicode bidirectional algorithm as a package, what is used of it. */
declare module 'bidi-js' {
  interface Levels {
    /** Of every UTF-16 unit: odd ones run from right to left. */
    readonly levels: Uint8Array;
    readonly paragraphs: readonly { readonly start: number; readonly end: number; readonly level: number }[];
  }
  interface Bidi {
    getEmbeddingLevels(text: string, direction?: 'ltr' | 'rtl' | 'auto'): Levels;
    getMirroredCharacter(character: string): string | null;
  }
  export default function bidiFactory(): Bidi;
}
