/** What a student reads of a look. */
import type { JudgedStep } from './judge-look';

/** How far off, in parts of a step: figures would be trusted more than a look deserves. */
function far(error: number, stepSize: number): string {
  const steps = Math.abs(error) / stepSize;
  if (steps < 0.4) return 'a touch';
  if (steps < 0.75) return 'about half a step';
  if (steps < 1.5) return 'about a step';
  return `about ${Math.round(steps)} steps`;
}

/** `name` is the class's name of the step. */
export function sayMark(judged: JudgedStep | null, name: string, stepSize: number): string {
  if (!judged) return 'This lies between the steps.';
  const way = judged.error > 0 ? 'too light' : 'too dark';
  switch (judged.word) {
    case 'off':
      return `You saw it: ${name} is ${far(judged.error, stepSize)} ${way}.`;
    case 'right':
      return `${name} measures as it should. Look at what lies beside it: a neighbour can make it seem wrong.`;
    case 'edge':
      return `${name} is so near to right that this picture can’t tell.`;
    case 'unpainted':
      return `${name} is not painted yet.`;
  }
}

/** One sentence for all that was not marked. */
export function sayMissed(missed: readonly JudgedStep[], nameOf: (step: number) => string, stepSize: number): string {
  if (missed.length === 0) return 'Nothing else is off.';
  const each = missed.map(
    (m) => `${nameOf(m.step)} (${far(m.error, stepSize)} ${m.error > 0 ? 'too light' : 'too dark'})`,
  );
  return `The measurement would have marked ${each.join(', ')} as well.`;
}
