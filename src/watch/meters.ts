/** What is counted and timed in a process, in the words of Prometheus. Times are in seconds. */
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import { onceAProcess } from './once';

const REQUEST_SECONDS = [0.01, 0.03, 0.1, 0.3, 1, 3, 10, 30];
const STAGE_SECONDS = [0.03, 0.1, 0.3, 0.6, 1, 2, 4, 8, 16, 30];

function openMeters() {
  const registry = new Registry();
  const registers = [registry];
  collectDefaultMetrics({ register: registry, prefix: 'fair_grey_' });
  return {
    registry,
    requests: new Histogram({
      name: 'fair_grey_request_seconds',
      help: 'Time until a request was answered whole',
      labelNames: ['route', 'method', 'status'],
      buckets: REQUEST_SECONDS,
      registers,
    }),
    stages: new Histogram({
      name: 'fair_grey_measure_stage_seconds',
      help: 'Time of each stage of a measurement',
      labelNames: ['stage'],
      buckets: STAGE_SECONDS,
      registers,
    }),
    refusals: new Counter({
      name: 'fair_grey_refusals_total',
      help: 'What photographs were refused for',
      labelNames: ['code'],
      registers,
    }),
    ends: new Counter({
      name: 'fair_grey_measurements_total',
      help: 'Measurements by how they ended',
      labelNames: ['state'],
      registers,
    }),
    queued: new Gauge({ name: 'fair_grey_queue_jobs', help: 'Photographs that wait to be measured', registers }),
    oldest: new Gauge({
      name: 'fair_grey_queue_oldest_seconds',
      help: 'How long the first of them has waited',
      registers,
    }),
  };
}

/** One set in a process, whoever asks. */
export const meters = onceAProcess('meters', openMeters);
