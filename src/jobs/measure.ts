/** A process that measures and serves no pages; any number of them, on any machine that reaches the database and the files. */
import { openHouse } from '@/studio/house';
import { logWhatIsSaidAside } from '@/watch/said-aside';
import { runJobs } from './run';

try {
  const house = await openHouse();
  await runJobs(house);
  console.log('Measuring.');
  logWhatIsSaidAside();
  const end = () => void house.close().finally(() => process.exit(0));
  process.once('SIGTERM', end);
  process.once('SIGINT', end);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
