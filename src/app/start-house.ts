import { answerBackups } from '@/data/backup/door';
import { runJobs } from '@/jobs/run';
import { theHouse } from '@/studio/house';

/** Opens the house; a process that can't says why and ends, so that nobody takes it for one that serves. */
export async function startHouse(): Promise<void> {
  const house = await theHouse().catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  });
  if (house.settings.role === 'all') await runJobs(house);
  const backups = house.alone ? answerBackups(house.settings.folder, (target) => house.backUp(target)) : null;
  const close = () => {
    backups?.close();
    void house.close().finally(() => process.exit(0));
  };
  process.once('SIGTERM', close);
  process.once('SIGINT', close);
}
