/** Carrying a card over to a new print, from a file on disk. */
import { type CardReadings, WrongCard } from '@/core/capture/card-profile';
import { CantCarry, carryCard, type Side } from '@/core/capture/carry-card';
import type { KnownCard } from '@/core/capture/open-sheet';
import { UnusablePicture, withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';

export interface CarryTask {
  readonly task: 'carry';
  readonly file: string;
  readonly card: KnownCard;
  /** Where the sheet whose card is known lies. */
  readonly known: Side;
}

/** Throws UnusablePicture with what to do, whatever is wrong with the picture or what is in it. */
export async function carryFile({ file, card, known }: CarryTask): Promise<CardReadings> {
  const { cv } = await loadOpenCv();
  try {
    return await withPhoto(file, null, (photo) => carryCard(photo, { card, known }, { cv, readQr }));
  } catch (error) {
    throw error instanceof CantCarry || error instanceof WrongCard ? new UnusablePicture(error.message) : error;
  }
}
