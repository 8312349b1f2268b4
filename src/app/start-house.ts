import { runJobs } from '@/jobs/run';
import { theHouse } from '@/studio/house';

export async function startHouse(): Promise<void> {
  const house = await theHouse();
  await runJobs(house);
  const close = () => {
    void house.close().finally(() => process.exit(0));
  };
  process.once('SIGTERM', close);
  process.once('SIGINT', close);
}
