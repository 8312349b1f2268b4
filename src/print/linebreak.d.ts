/** The package ships no types. */
declare module 'linebreak' {
  interface Break {
    /** Where the next line would begin. */
    readonly position: number;
    /** Whether a line must end here. */
    readonly required: boolean;
  }
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): Break | null;
  }
}
