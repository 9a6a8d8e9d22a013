import { createReadStream, existsSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';
import { FAMILIES, LIMITS, newCommand, type Setup, type storedSchema } from '@nimble-lever/core/setup';
import { chromium } from 'playwright-core';
import type { z } from 'zod';
import { largeSetup } from './largeSetup.ts';

/** Types of the files of the built page, so that it is served as the server does. */
const TYPES: Readonly<Record<string, string>> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.woff2': 'font/woff2',
};

/** Pixels it is scrolled at every frame, downwards and then to the right. */
const STEP = 40;
/** Five seconds at 60 frames a second: long enough for the garbage collector to run. */
const FRAMES = 300;

/** What scrolling came to: frames drawn, frames of 60 a second that were missed, and how far frames were apart, in ms. */
export interface Scrolled {
  readonly frames: number;
  /** Frames that a display of 60 a second would have shown in between. */
  readonly dropped: number;
  /** Milliseconds from one frame to the next. */
  readonly median: number;
  readonly p99: number;
  readonly longest: number;
}

/** Scrolls the Board of 20 programs × 150 controls × 4 layers in Chromium. */
export function scrollBoard(): Promise<Scrolled> {
  return scrollGrid('/board', largeSetup(19, 150));
}

/** Scrolls the sheet of a program with 2,000 commands, in the same set-up. */
export function scrollSheet(): Promise<Scrolled> {
  const setup = largeSetup(19, 150);
  const [program] = setup.programs;
  if (program) {
    program.commands = Array.from({ length: LIMITS.commands }, (_, i) =>
      newCommand({
        id: `command-${i}`,
        name: `Command number ${i}`,
        shortcut: `Ctrl+Shift+${String.fromCharCode(65 + (i % 26))}`,
        family: FAMILIES[i % FAMILIES.length] ?? 'edit',
        intent: i % 3 === 0 ? `idea-${i}` : null,
        risky: i % 50 === 0,
      }),
    );
  }
  return scrollGrid(`/programs?of=${program?.id ?? ''}`, setup);
}

/** Scrolls the grid of a view in Chromium, from the page as it is built. */
async function scrollGrid(view: string, setup: Setup): Promise<Scrolled> {
  const dist = path.resolve('apps/web/dist');
  const server = createServer((request, response) => {
    const { pathname } = new URL(request.url ?? '/', 'http://local');
    const file = path.join(dist, path.normalize(pathname));
    const found = path.extname(file) !== '' && existsSync(file) ? file : path.join(dist, 'index.html');
    response.setHeader('content-type', TYPES[path.extname(found)] ?? 'application/octet-stream');
    createReadStream(found).pipe(response);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const stored: z.input<typeof storedSchema> = {
      id: 'large',
      revision: 0,
      setup,
      binnedAt: null,
      history: { entries: [], more: false },
    };
    await page.route(/\/api\/set-up(\?|$)/, (route) => route.fulfill({ json: stored }));
    await page.goto(`http://127.0.0.1:${port}${view}`);
    await page.getByRole('grid').waitFor();
    // Once to warm up: what is measured is scrolling, not the first drawing of everything.
    await page.evaluate(scrollAll, { step: STEP, count: FRAMES / 2 });
    await page.evaluate(() => document.querySelector('[role=grid]')?.parentElement?.scrollTo(0, 0));
    return await page.evaluate(scrollAll, { step: STEP, count: FRAMES });
  } finally {
    await browser.close();
    server.close();
  }
}

/** Runs in the page: scrolls a step a frame and looks at how far frames are apart. */
async function scrollAll({ step, count }: { step: number; count: number }): Promise<Scrolled> {
  const scroller = document.querySelector('[role=grid]')?.parentElement;
  if (!scroller) throw new Error('no grid');
  const frame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
  const apart: number[] = [];
  await frame();
  let last = await frame();
  for (let i = 0; i < count; i++) {
    if (i < count / 2) scroller.scrollTop += step;
    else scroller.scrollLeft += step;
    const now = await frame();
    apart.push(now - last);
    last = now;
  }
  const interval = 1000 / 60;
  const dropped = apart.reduce((sum, ms) => sum + Math.max(0, Math.round(ms / interval) - 1), 0);
  const sorted = apart.toSorted((a, b) => a - b);
  const at = (part: number) => sorted[Math.floor(part * (count - 1))] ?? 0;
  return { frames: count, dropped, median: at(0.5), p99: at(0.99), longest: at(1) };
}
