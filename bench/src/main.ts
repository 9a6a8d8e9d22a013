import { cpus } from 'node:os';
import { demoSetup } from '@nimble-lever/core/setup';
import { timeEvents } from './events.ts';
import { largeSetup } from './largeSetup.ts';

const COUNT = 200_000;

const [demo, large] = [timeEvents(demoSetup(), COUNT), timeEvents(largeSetup(), COUNT)];
const ratio = large.median / demo.median;
if (process.argv.includes('--json')) {
  console.log(JSON.stringify({ machine: cpus()[0]?.model, node: process.version, demo, large, ratio }));
} else {
  const row = (name: string, { median, p99, perSecond }: typeof demo) => ({
    'set-up': name,
    'median µs': median.toFixed(2),
    'p99 µs': p99.toFixed(2),
    'events/s': Math.round(perSecond).toLocaleString('en'),
  });
  console.table([row('demo', demo), row('200 programs × 300 controls, 20,000 bindings', large)]);
  console.log(`Large ÷ demo at the median: ${ratio.toFixed(2)} (an event does not walk the set-up).`);
}
