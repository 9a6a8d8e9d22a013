import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { type CDPSession, chromium } from 'playwright-core';
import { WebSocket } from 'ws';
import { DEMO_ID } from '../../apps/server/src/server.ts';
import { dropDatabase, ensureDatabase, sibling } from '../../scripts/lib/databases.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { spawnServer } from '../../scripts/lib/server.mjs';

/** Values a second, and for how long: milliseconds. */
const VALUES = 120;
const LASTS_MS = 8000;

/** How much of a core the page of the desk uses: 0 to 1. */
export interface Load {
  /** All of its main thread's work, drawing and painting too. */
  readonly all: number;
  /** What of it is the page's own code. */
  readonly code: number;
}
export interface FaderLoad {
  /** While nothing happens, and while a fader on a panel is moved. */
  readonly idle: Load;
  readonly moved: Load;
  /** Values that were sent. */
  readonly sent: number;
}

/** A panel's fader moved all the time, and what that costs the page where the practice desk is, drawing and all. */
export async function measureFader(server: string): Promise<FaderLoad> {
  const name = `nimble_lever_bench_${randomUUID().replaceAll('-', '')}`;
  await ensureDatabase(server, name);
  const port = await freePort();
  const running = spawnServer(
    {
      DATABASE_URL: sibling(server, name),
      PORT: String(port),
      LOG_LEVEL: 'error',
      WEB_DIST: path.resolve('apps/web/dist'),
    },
    { quietly: true },
  );
  await running.ready;
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`http://127.0.0.1:${port}/rehearse`);
    // Its fader sends a control message there.
    await page.getByRole('button', { name: 'Hushbox', exact: true }).click();
    const panel = await joined(port);
    const metrics = await page.context().newCDPSession(page);
    // Time of the thread, so that what else runs on the machine does not count.
    await metrics.send('Performance.enable', { timeDomain: 'threadTicks' });
    const idle = await share(metrics, async () => pause(LASTS_MS));
    let sent = 0;
    const moved = await share(metrics, async () => {
      const began = performance.now();
      for (let now = 0; now < LASTS_MS; now = performance.now() - began) {
        // As many as are due: timers are not that exact.
        for (; sent < (now / 1000) * VALUES; sent++) panel.move(0.5 + 0.5 * Math.sin(sent / 40));
        await pause(1000 / VALUES);
      }
    });
    panel.close();
    return { idle, moved, sent };
  } finally {
    await browser.close();
    running.child.kill('SIGTERM');
    await running.exited;
    await dropDatabase(server, name);
  }
}

/** How busy the page's main thread was meanwhile (Chrome DevTools Protocol, `TaskDuration` and `ScriptDuration`). */
async function share(metrics: CDPSession, work: () => Promise<void>): Promise<Load> {
  const busy = async () => {
    const { metrics: found } = await metrics.send('Performance.getMetrics');
    const of = (name: string) => found.find((each) => each.name === name)?.value ?? 0;
    return { all: of('TaskDuration'), code: of('ScriptDuration') };
  };
  const [began, before] = [performance.now(), await busy()];
  await work();
  const [seconds, after] = [(performance.now() - began) / 1000, await busy()];
  return { all: (after.all - before.all) / seconds, code: (after.code - before.code) / seconds };
}

/** A panel at the desk, with a fader to move. */
async function joined(port: number) {
  const socket = new WebSocket(`ws://127.0.0.1:${port}/api/live?setUp=${DEMO_ID}`);
  await new Promise((resolve, reject) => {
    socket.once('open', resolve);
    socket.once('error', reject);
  });
  let seq = 0;
  const there = new Promise<void>((resolve) => {
    socket.on('message', (data) => JSON.parse(String(data)).kind === 'joined' && resolve());
  });
  socket.send(JSON.stringify({ kind: 'join', desk: null, name: 'Panel', devices: ['wall-panel'] }));
  await there;
  return {
    move: (value: number) => {
      seq += 1;
      const input = { kind: 'position', device: 'wall-panel', control: 'fader-1', value };
      socket.send(JSON.stringify({ kind: 'input', seq, t: performance.now(), input }));
    },
    close: () => socket.close(),
  };
}

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
