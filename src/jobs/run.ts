/** Starts the workers of the queue in this process and takes up what a killed one left behind. */
import { giveUpOn, measureAttempt, takeUpAgain } from '@/studio/hand-in/measuring';
import type { House } from '@/studio/house';
import { sweepFiles } from '@/studio/unused-files';

const LANES = 2;

export async function runJobs(house: House): Promise<void> {
  await sweepFiles(house);
  await takeUpAgain(house);
  await house.queue.work(
    LANES,
    ({ attemptId }) => measureAttempt(house, attemptId),
    ({ attemptId }) => giveUpOn(house, attemptId),
  );
}
