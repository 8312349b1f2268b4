/** Strokes are kept one after the other, of every way the newest; whatever goes wrong on the way, what was drawn waits for the next try. */
import type { KeptCorrection } from '@/studio/views/corrections';
import type { Answer } from '../../parts/answer';

/** A way as it is kept: its id once it has one, and how often it was written. */
export interface Slot {
  id: string | null;
  written: number;
}

export interface Waiting<Given> {
  readonly slot: Slot;
  readonly given: Given;
}

export class KeepInTurn<Given> {
  readonly #waiting = new Map<Slot, Given>();
  #busy = false;

  /** `kept` hears what became of each, `failed` that one could not be sent. */
  constructor(
    private readonly kept: (slot: Slot, answer: KeptCorrection) => void,
    private readonly failed: () => void,
  ) {}

  put(slot: Slot, given: Given, keep: (waiting: Waiting<Given>) => Promise<Answer<unknown, KeptCorrection>>): void {
    this.#waiting.set(slot, given);
    void this.#send(keep);
  }

  async #send(keep: (waiting: Waiting<Given>) => Promise<Answer<unknown, KeptCorrection>>): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    try {
      for (let next = this.#next(); next; next = this.#next()) {
        const { slot, given } = next;
        this.#waiting.delete(slot);
        const answer = await keep(next).catch(() => null);
        if (answer === null) {
          // What was drawn meanwhile is newer.
          if (!this.#waiting.has(slot)) this.#waiting.set(slot, given);
          this.failed();
          return;
        }
        if (!answer.ok) continue;
        slot.id = answer.value.id;
        slot.written = answer.value.written;
        this.kept(slot, answer.value);
      }
    } finally {
      this.#busy = false;
    }
  }

  #next(): Waiting<Given> | undefined {
    const [first] = this.#waiting;
    return first && { slot: first[0], given: first[1] };
  }
}
