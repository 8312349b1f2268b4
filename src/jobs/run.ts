/** Starts the workers of the queue in this process, takes up what a killed one left behind, and looks after both from then on. */
import { deleteWhatIsOver } from '@/studio/class/keeping';
import { forgetOldDeeds } from '@/studio/critique/noting';
import { forgetOldChronicle } from '@/studio/staff/chronicle';
import { forgetWhatWent } from '@/studio/forgetting';
import { fillFigures } from '@/studio/hand-in/figures';
import { giveUpOn, measureAttempt, queueWhatWaits, takeUpAgain } from '@/studio/hand-in/measuring';
import { hasRoom } from '@/studio/hand-in/receive';
import type { House } from '@/studio/house';
import { sweepFiles } from '@/studio/unused-files';
import { log } from '@/watch/log';

const LANES = 2;
/** How often it is looked whether something waits that nobody will take, and for what nobody needs any longer. */
const LOOK_MS = 30_000;
const SWEEP_MS = 3_600_000;

function every(ms: number, what: string, work: () => Promise<unknown>): void {
  const again = () => void work().catch((error: unknown) => log.error({ err: error }, what));
  setInterval(again, ms).unref();
}

export async function runJobs(house: House): Promise<void> {
  await sweepFiles(house);
  await takeUpAgain(house);
  await house.queue.work(
    LANES,
    ({ attemptId }) => measureAttempt(house, attemptId),
    ({ attemptId }) => giveUpOn(house, attemptId),
  );
  // Of rows from before there were any; nobody waits for it.
  void fillFigures(house).catch((error: unknown) => log.error({ err: error }, 'figures'));
  every(LOOK_MS, 'what waits', async () => {
    if (await hasRoom(house)) await queueWhatWaits(house);
  });
  every(LOOK_MS, 'what was deleted', () => forgetWhatWent(house));
  every(SWEEP_MS, 'files', () => sweepFiles(house));
  every(SWEEP_MS, 'door', () => house.door.tidy());
  every(SWEEP_MS, 'what was begun at the door', () => house.auth.accounts.tidy());
  every(SWEEP_MS, 'what is over its time', () => deleteWhatIsOver(house));
  every(SWEEP_MS, 'deeds', () => forgetOldDeeds(house));
  every(SWEEP_MS, 'chronicle', () => forgetOldChronicle(house));
}
