/** Ids and codes by chance from the system: short enough for a QR code, too many to guess. */
import { randomInt } from 'node:crypto';

const ID_LETTERS = 'abcdefghijkmnpqrstuvwxyz23456789';
/** No letter that is taken for another when it is read aloud or copied from a board. */
const CODE_LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

function draw(letters: string, length: number): string {
  return Array.from({ length }, () => letters[randomInt(letters.length)] ?? '').join('');
}

export const newId = (): string => draw(ID_LETTERS, 16);
export const newClassCode = (): string => draw(CODE_LETTERS, 6);
export const newInvitation = (): string => draw(CODE_LETTERS, 12);
export const newPersonalCode = (): string => draw(CODE_LETTERS, 8);
export const newSecret = (): string => draw(ID_LETTERS, 40);
