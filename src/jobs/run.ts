/** Starts the workers of the queue in this process and takes up what a killed one left behind. */
import { measureAttempt, takeUpAgain } from '@/studio/hand-in/measuring';
import type { House } from '@/studio/house';
import { sweepFiles } from '@/studio/unused-files';

const LANES = 2;

export async function runJobs(house: House): Promise<void> {
  await sweepFiles(house);
  await house.queue.work(LANES, (job) => measureAttempt(house, job.attemptId));
  await takeUpAgain(house);
}
