import { randomUUID } from 'node:crypto';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { build } from 'esbuild';
import { type Browser, chromium } from 'playwright-core';
import { dropDatabase, ensureDatabase, sibling } from '../../scripts/lib/databases.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { spawnServer } from '../../scripts/lib/server.mjs';

/** Rounds, each with a browser that has nothing of the page yet; the median counts. */
const ROUNDS = 9;

/** What a cold visit came to: bytes over the wire, and milliseconds until something, and a cell, is seen. */
export interface FirstView {
  readonly bytes: number;
  readonly paint: number;
  readonly cell: number;
}

/** The page, an empty page of the same libraries, and the first's times through the second's, of the same run. */
export interface FirstViews {
  readonly page: FirstView;
  readonly empty: FirstView;
  readonly ratio: { readonly paint: number; readonly cell: number };
}

/** What the page is made of, and one cell: as little as a page of these libraries can show. */
const EMPTY = `
import { createElement as h } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { configureStore, createSlice } from '@reduxjs/toolkit';
import { BrowserRouter, Routes, Route } from 'react-router';
import { ThemeProvider, createTheme, styled } from '@mui/material/styles';
import CssBaseline from '@mui/material/CssBaseline';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Menu from '@mui/material/Menu';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Plus } from 'lucide-react';
import { z } from 'zod';
Object.assign(globalThis, { all: [Autocomplete, Button, Dialog, Menu, Select, TextField, Tooltip, useVirtualizer, Plus, z] });
const slice = createSlice({ name: 'x', initialState: 0, reducers: {} });
const Grid = styled('div')({ padding: 8 });
const grid = h(Grid, { role: 'grid' }, h('div', { role: 'gridcell' }, 'Nothing'));
createRoot(document.getElementById('root')).render(
  h(Provider, { store: configureStore({ reducer: slice.reducer }) },
    h(ThemeProvider, { theme: createTheme() }, h(CssBaseline), h(BrowserRouter, null, h(Routes, null, h(Route, { path: '*', element: grid }))))),
);`;

/** Cold visits of the page and of the empty one, turn about, both from the real server. */
export async function firstViews(server: string): Promise<FirstViews> {
  const name = `nimble_lever_bench_${randomUUID().replaceAll('-', '')}`;
  await ensureDatabase(server, name);
  const serve = async (dist: string) => {
    const settings = { DATABASE_URL: sibling(server, name), LOG_LEVEL: 'error', WEB_DIST: dist };
    const running = spawnServer({ ...settings, PORT: String(await freePort()) }, { quietly: true });
    return { running, address: (await running.ready) ?? '' };
  };
  const [page, empty] = [await serve(path.resolve('apps/web/dist')), await serve(await buildEmpty())];
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const rounds: { page: FirstView; empty: FirstView }[] = [];
    for (let i = 0; i < ROUNDS + 1; i++) {
      const own = await visit(browser, page.address);
      const other = await visit(browser, empty.address);
      // The first warms up the browser, not its cache.
      if (i > 0) rounds.push({ page: own, empty: other });
    }
    const median = (of: (round: (typeof rounds)[number]) => number) =>
      rounds.map(of).toSorted((a, b) => a - b)[Math.floor(rounds.length / 2)] ?? 0;
    const medians = (which: 'page' | 'empty'): FirstView => ({
      bytes: median((round) => round[which].bytes),
      paint: median((round) => round[which].paint),
      cell: median((round) => round[which].cell),
    });
    const ratio = (what: 'paint' | 'cell') => median((round) => round.page[what] / round.empty[what]);
    return {
      page: medians('page'),
      empty: medians('empty'),
      ratio: { paint: ratio('paint'), cell: ratio('cell') },
    };
  } finally {
    await browser.close();
    for (const { running } of [page, empty]) {
      running.child.kill('SIGTERM');
      await running.exited;
    }
    await dropDatabase(server, name);
  }
}

/** A visit by a browser that was never there. */
async function visit(browser: Browser, address: string): Promise<FirstView> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const network = await context.newCDPSession(page);
  let bytes = 0;
  network.on('Network.loadingFinished', ({ encodedDataLength }) => {
    bytes += encodedDataLength;
  });
  await network.send('Network.enable');
  await page.goto(`${address}/board`);
  await page.waitForFunction(() => document.querySelector('[role=gridcell]') !== null, null, {
    polling: 'raf',
  });
  const times = await page.evaluate(() => ({
    cell: performance.now(),
    paint: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
  }));
  await context.close();
  return { bytes, ...times };
}

/** The empty page as files of its own, compressed as ours are. */
async function buildEmpty(): Promise<string> {
  const dist = path.resolve('.local/bench-empty');
  rmSync(dist, { recursive: true, force: true });
  mkdirSync(path.join(dist, 'assets'), { recursive: true });
  const file = path.join(dist, 'assets/page.js');
  await build({
    stdin: { contents: EMPTY, resolveDir: path.resolve('apps/web'), loader: 'js' },
    outfile: file,
    bundle: true,
    minify: true,
    format: 'esm',
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'error',
  });
  writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file)));
  writeFileSync(
    path.join(dist, 'index.html'),
    '<!doctype html><html lang="en"><head><title>Empty</title><script type="module" crossorigin src="/assets/page.js"></script></head><body><div id="root"></div></body></html>',
  );
  return dist;
}
