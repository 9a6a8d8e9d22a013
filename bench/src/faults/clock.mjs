// Loaded before the server where a test moves its clock: Date is off by as many milliseconds as the file says.
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';

// Loaded before the server: its clock is moved by what stands in a file, which is read at most five times a second.
const file = process.env.CLOCK_FILE;
const real = Date.now.bind(Date);
let offset = 0;
let read = -1000;
const now = () => {
  if (performance.now() - read > 200) {
    read = performance.now();
    try {
      offset = Number(readFileSync(file, 'utf8')) || 0;
    } catch {
      offset = 0;
    }
  }
  return real() + offset;
};
globalThis.Date = class extends Date {
  constructor(...args) {
    if (args.length === 0) super(now());
    else super(...args);
  }

  static now() {
    return now();
  }
};
