/** A letter as plain text, for whoever reads it as e-mail: the same words in the same order. */

/** What is seen, and what to do; null where there is nothing to do. */
export interface LetterSentence {
  readonly say: string;
  readonly action: string | null;
}

/** The words of a letter, in the order in which they are read. */
export interface LetterAsText {
  readonly student: string;
  readonly className: string;
  readonly exercise: string;
  readonly date: string;
  readonly verdict: string;
  readonly works: readonly string[];
  readonly first: LetterSentence | null;
  readonly next: readonly LetterSentence[];
  readonly later: readonly LetterSentence[];
  /** The teacher's own word; empty where there is none. */
  readonly word: string;
}
const said = ({ say, action }: LetterSentence): string => [say, action].filter(Boolean).join(' ');

/** Parts with an empty line between them; what is empty is left out. */
export function letterText(letter: LetterAsText): string {
  const { student, className, exercise, date, verdict, works, first, next, later, word } = letter;
  const list = (title: string, sentences: readonly LetterSentence[]) =>
    sentences.length === 0 ? '' : [title, ...sentences.map((s) => `- ${said(s)}`)].join('\n');
  const parts = [
    `${exercise}\n${student}, ${className}, ${date}`,
    verdict,
    works.join(' '),
    first ? said(first) : '',
    list('After that:', next),
    list('And smaller things:', later),
    word,
  ];
  return `${parts.filter((part) => part.trim() !== '').join('\n\n')}\n`;
}
