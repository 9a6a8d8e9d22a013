import { readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import path from 'node:path';
import { layoutDataSchema, readLayout } from '@nimble-lever/core/keys/layouts';
import { demoSetup } from '@nimble-lever/core/setup';
import { timeCompile, timeFront, timeLayoutChange, timeRecompile } from './compiling.ts';
import { memoryGrowth, timeEvents } from './events.ts';
import { measureFader } from './fader.ts';
import { type FirstView, firstViews } from './firstView.ts';
import { timeDecode, timeParse } from './hid.ts';
import { timeImport } from './importing.ts';
import { largeSetup } from './largeSetup.ts';
import { measureLive } from './live.ts';
import { timeMacros } from './macros.ts';
import { timePages } from './pages.ts';
import { scrollBoard, scrollSheet } from './scrolling.ts';
import { measureStore } from './store.ts';
import { tapOrHold } from './tapOrHold.ts';
import { measureVault } from './vault.ts';

/** Events measured one by one, and those after which the heap must be as large as before. */
const EVENTS = 200_000;
const MANY = 10_000_000;

// `--json` for another program, `--quick` for a look; without, what `docs/performance.md` shows.
const json = process.argv.includes('--json');
const quick = process.argv.includes('--quick');
const machine = `${cpus()[0]?.model ?? 'unknown'}, Node.js ${process.version}`;

if (!process.argv.includes('store')) await engine();
const server = process.env.BENCH_DATABASE_URL;
if (server && !process.argv.includes('engine')) {
  const views = await firstViews(server);
  if (json) console.log(JSON.stringify({ machine, firstView: views }, null, 2));
  else {
    const row = (what: string, { bytes, paint, cell }: FirstView) => ({
      what,
      'kB sent': Math.round(bytes / 1000),
      'first paint, ms': Math.round(paint),
      'first cell, ms': Math.round(cell),
    });
    console.log('The first view, cold, beside an empty page of the same libraries in the same run:');
    console.table([row('the Board', views.page), row('an empty page', views.empty)]);
    const { paint, cell } = views.ratio;
    console.log(
      `Board ÷ empty page: first paint ${paint.toFixed(2)}, first cell ${cell.toFixed(2)} (aim: at most 1.6)`,
    );
  }
}
if (server && !process.argv.includes('engine')) {
  const live = await measureLive(server);
  const { press, ping, many } = live;
  const ms = (value: number) => value.toFixed(2);
  if (json) console.log(JSON.stringify({ machine, live }, null, 2));
  else {
    console.log(
      `A press on a panel until it hears that it was carried out: ${ms(press.median)} ms, 95 of 100 under ${ms(press.p95)}; ` +
        `a ping of the same connection ${ms(ping.median)} and ${ms(ping.p95)} ms ` +
        `(over it at the 95th percentile: ${ms(press.p95 - ping.p95)} ms, aim: 5).`,
    );
    console.log(
      `200 panels, 2,000 presses a second: ${many.carriedOut} of ${many.sent} carried out, ${ms(many.median)} ms at the ` +
        `median, 95 of 100 under ${ms(many.p95)}.`,
    );
  }
}
if (server && !process.argv.includes('engine')) {
  const fader = await measureFader(server);
  const percent = (part: number) => `${(part * 100).toFixed(1)} %`;
  if (json) console.log(JSON.stringify({ machine, fader }, null, 2));
  else {
    console.log(
      `A fader on a panel with 120 values a second (${fader.sent} in all): the desk's page is busy for ` +
        `${percent(fader.moved.all)} of the time with painting, ${percent(fader.moved.code)} with its own code (at rest ` +
        `${percent(fader.idle.all)}; aim: under 10 %).`,
    );
  }
}
if (server && !process.argv.includes('engine')) {
  const rows = await measureStore(server);
  console.log(json ? JSON.stringify({ machine, store: rows }, null, 2) : machine);
  if (!json) for (const row of rows) console.table(row);
}

if (server && !process.argv.includes('engine')) {
  const vault = await measureVault(server);
  if (json) console.log(JSON.stringify({ machine, vault }, null, 2));
  else {
    const ms = (value: number) => Math.round(value).toLocaleString('en');
    const { states } = vault;
    console.log(
      `A file of 20,000 bindings (${(vault.bytes / 1e6).toFixed(1)} MB): out in ${ms(vault.export.ms)} ms, ` +
        `${vault.export.ratio.toFixed(1)} times JSON.stringify; in, compared and saved, in ${ms(vault.import.ms)} ms, ` +
        `${vault.import.ratio.toFixed(1)} times JSON.parse and one COPY of the same rows.`,
    );
    console.log(
      `A state among ${states.edits.toLocaleString('en')} edits: ${ms(states.median)} ms at the median, ${ms(states.most)} at ` +
        `the most. Edits take ${ms(states.kept.bytes.edits / 1e6)} MB, what is kept of states ${ms(states.kept.bytes.snapshots / 1e6)} MB.`,
    );
  }
}

/** A layout that ships, by its id. */
function layoutOf(id: string) {
  const file = path.join('packages/core/src/keys/layouts/xkb', `${id}.json`);
  return readLayout(layoutDataSchema.parse(JSON.parse(readFileSync(file, 'utf8'))));
}

/** Engine, descriptors and the Board. */
async function engine() {
  const large = largeSetup();
  // First, so that neither finds code made general by what runs later.
  const machines = tapOrHold(200_000);
  const parsing = timeParse(500);
  const decoding = timeDecode(EVENTS);
  const events = timeEvents(large, EVENTS);
  const small = timeEvents(demoSetup(), EVENTS);
  const pages = timePages(EVENTS);
  const macros = timeMacros(200);
  const front = timeFront(large, 5000);
  const compiling = timeCompile(large, 30);
  const recompiling = timeRecompile(large, 1000);
  const switching = timeLayoutChange(large, [layoutOf('de'), layoutOf('fr')], 30);
  const importing = timeImport(30);
  const scrolling = await scrollBoard();
  const sheet = await scrollSheet();
  const growth = memoryGrowth(large, quick ? MANY / 100 : MANY);

  if (json) {
    const report = {
      machine,
      events,
      small,
      pages,
      macros,
      front,
      compiling,
      recompiling,
      switching,
      growth,
      scrolling,
      sheet,
      importing,
      machines,
      parsing,
      decoding,
    };
    console.log(JSON.stringify(report, null, 2));
  } else {
    const row = (what: string, { median, p99 }: typeof events, aim: string) => ({
      what,
      'median µs': median.toFixed(2),
      'p99 µs': p99.toFixed(2),
      aim,
    });
    console.log(`${machine}\n200 profiles × 300 controls × 4 layers, 20,000 bindings, 995 rules`);
    console.table([
      row('an event', events, 'under 5 at the median, 50 at p99'),
      row('an event, demo set-up', small, ''),
      row('deciding the profile through all rules', front.decide, 'under 200'),
      row('a change of front, whole', front.event, 'under 200'),
      row('compiling anew', compiling, ''),
      row('compiling after one edit', recompiling, 'under 2000'),
      row('compiling after a change of layout', switching.compiling, ''),
      row(`finding the keys of all ${switching.shortcuts} shortcuts on it`, switching.resolving, ''),
      row(`reading a descriptor of ${parsing.bytes} bytes`, parsing, 'under 1000'),
      row('decoding an input report', decoding, ''),
    ]);
    console.log(
      `A macro of 10,000 steps: laid out in ${(macros.compiling / 1000).toFixed(1)} ms, ${macros.ratio.toFixed(2)} times what ` +
        `JSON.parse takes for what comes of it; its first stroke after ${macros.first.toFixed(1)} µs, ` +
        `${macros.firstRatio.toFixed(1)} times a plain press; off by ${macros.drift} ms after an hour.`,
    );
    console.log(
      `An event on a pad with 20 pages ÷ without: ${pages.ratio.toFixed(2)} ` +
        `(${pages.with.toFixed(2)} and ${pages.without.toFixed(2)} µs; aim: at most 1.2).`,
    );
    console.log(`Large ÷ demo at the median: ${(events.median / small.median).toFixed(2)}`);
    console.log(
      `Heap after ${(quick ? MANY / 100 : MANY).toLocaleString('en')} events, against a tenth of them: ${(growth / 1024).toFixed(0)} kB more`,
    );
    console.log(`8,000 reports a second take ${decoding.share.toFixed(2)} % of one core (aim: under 2 %).`);
    const { frames, dropped, median: apart, p99 } = scrolling;
    console.log(
      `Scrolling the Board (20 programs × 150 controls × 4 layers) in Chromium: ${dropped} frames dropped over ` +
        `${frames} drawn; ${apart.toFixed(1)} ms apart at the median, ${p99.toFixed(1)} ms at p99.`,
    );
    console.log(
      `Scrolling a program’s 2,000 commands: ${sheet.dropped} frames dropped over ${sheet.frames} drawn; ` +
        `${sheet.p99.toFixed(1)} ms apart at p99, ${sheet.longest.toFixed(1)} ms at the most (aim: none over 50).`,
    );
    console.log(
      `Taking in a list of ${importing.lines.toLocaleString('en')} lines: ${importing.ms.toFixed(0)} ms, ` +
        `${importing.ratio.toFixed(0)} times as long as only parting them (aim: under 1 s).`,
    );
    const { ours, theirs, ratio } = machines;
    const rate = (value: number) => Math.round(value).toLocaleString('en');
    console.log(
      `Tap or hold, events a second: ours ${rate(ours)}, xstate ${rate(theirs)}, ours ÷ theirs ${ratio.toFixed(1)}`,
    );
  }
}
