import { type ChildProcess, execFileSync, fork, spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { type TcpProxy, tcpProxy } from '../../../apps/server/src/testing/tcpProxy.ts';
import type { PageReport } from './page.ts';

const here = path.dirname(fileURLToPath(import.meta.url));
const ROOT = path.resolve(here, '../../..');
/** Waits. */
export const sleep = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** A page with what it told. */
export interface FaultyPage {
  child: ChildProcess;
  readonly made: Set<string>;
  readonly saved: Set<string>;
  readonly dropped: Set<string>;
  state: Extract<PageReport, { kind: 'state' }> | null;
}

/** The database server, which faults stop and starve. */
interface Cluster {
  readonly urlOf: (database: string) => string;
  readonly isRunning: () => boolean;
  readonly bringBack: () => Promise<number>;
  readonly stop: () => void;
}

/** A database server, a server and pages of their own, as `npm start` and browsers would have them, to be hurt. */
export class World {
  readonly pages: FaultyPage[] = [];
  readonly clockFile: string;
  server: ChildProcess | null = null;
  /** Whether ended servers are brought back now. */
  minding = true;
  /** The disk the database is on is small enough to be filled. */
  readonly hasSmallDisk: boolean;
  #cluster: Cluster | null = null;
  #proxy: TcpProxy | null = null;
  #unwatch: () => void = () => undefined;
  #port = 0;

  private constructor(
    readonly folder: string,
    hasSmallDisk: boolean,
  ) {
    this.hasSmallDisk = hasSmallDisk;
    this.clockFile = path.join(folder, 'clock');
  }

  static async open(pages: number): Promise<World> {
    const folder = mkdtempSync(path.join(tmpdir(), 'nimble-lever-faults-'));
    chmodSync(folder, 0o755);
    const world = new World(folder, mountSmallDisk(folder));
    // Read when the scripts are loaded, so it is set before.
    process.env.LOCAL_DIR = folder;
    const { startCluster } = await import('../../../scripts/lib/cluster.mjs');
    const { watch } = await import('../../../scripts/lib/watch.mjs');
    const { freePort } = await import('../../../scripts/lib/ports.mjs');
    const { ensureDatabase } = await import('../../../scripts/lib/databases.mjs');
    world.#cluster = (await startCluster('faults')) as Cluster;
    const { isRunning, bringBack } = world.#cluster;
    world.#unwatch = watch({ isRunning: () => !world.minding || isRunning(), bringBack }, 'PostgreSQL');
    await ensureDatabase(world.#cluster.urlOf('postgres'), 'nimble_lever');
    world.#port = await freePort();
    await world.startServer();
    world.#proxy = await tcpProxy(`http://127.0.0.1:${world.#port}`);
    for (let i = 0; i < pages; i++) world.startPage(i);
    return world;
  }

  get url(): string {
    return this.#cluster?.urlOf('nimble_lever') ?? '';
  }

  async startServer(): Promise<void> {
    const server = spawn(
      process.execPath,
      ['--import', path.join(here, 'clock.mjs'), path.join(ROOT, 'apps/server/dist/main.mjs')],
      {
        cwd: ROOT,
        env: {
          ...process.env,
          DATABASE_URL: this.url,
          PORT: String(this.#port),
          LOG_LEVEL: 'fatal',
          CLOCK_FILE: this.clockFile,
        },
        stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      },
    );
    this.server = server;
    server.once('exit', () => {
      // As a person would: it ended, so it is started again, until the database lets it.
      if (this.server === server) setTimeout(() => void this.startServer(), 300);
    });
    await Promise.race([new Promise((resolve) => server.once('message', resolve)), sleep(3000)]);
  }

  startPage(number: number): void {
    const before = this.pages[number];
    const file = path.join(this.folder, `page-${number}.json`);
    const address = this.#proxy?.url.replace(/\/$/, '') ?? '';
    const child = fork(path.join(here, 'page.ts'), [address, file, String(number)], {
      execArgv: ['--import', 'tsx'],
      cwd: ROOT,
    });
    const page: FaultyPage = before ?? {
      child,
      made: new Set(),
      saved: new Set(),
      dropped: new Set(),
      state: null,
    };
    page.child = child;
    page.state = null;
    this.pages[number] = page;
    child.on('message', (report: PageReport) => {
      if (report.kind === 'state') page.state = report;
      else page[report.kind].add(report.id);
    });
  }

  /** The database's processes. */
  postmaster(): number {
    const file = path.join(this.folder, 'postgres-faults/data/postmaster.pid');
    return existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) : 0;
  }

  tearSockets(): void {
    this.#proxy?.tear();
  }

  async ask<Row extends object>(sql: string): Promise<Row[]> {
    const client = new pg.Client({ connectionString: this.url, connectionTimeoutMillis: 3000 });
    client.on('error', () => undefined);
    await client.connect();
    const { rows } = await client.query(sql);
    await client.end();
    return rows;
  }

  async health(): Promise<boolean> {
    try {
      const response = await fetch(`http://127.0.0.1:${this.#port}/api/health`, {
        signal: AbortSignal.timeout(2000),
      });
      return response.ok;
    } catch {
      return false;
    }
  }

  /** What the server holds open, and what the database has of it. */
  async held() {
    const fds = Number(
      execFileSync('sh', ['-c', `ls /proc/${this.server?.pid}/fd | wc -l`], { encoding: 'utf8' }),
    );
    const [row] = await this.ask<{ connections: number; listeners: number }>(
      `SELECT count(*)::int AS connections, count(*) FILTER (WHERE query LIKE 'LISTEN%' OR query = 'SELECT 1')::int AS listeners
       FROM pg_stat_activity WHERE datname = 'nimble_lever' AND pid <> pg_backend_pid()`,
    );
    return { fds, connections: row?.connections ?? 0, listeners: row?.listeners ?? 0 };
  }

  async close(): Promise<void> {
    this.#unwatch();
    for (const { child } of this.pages) child.kill('SIGKILL');
    const server = this.server;
    this.server = null;
    server?.kill('SIGKILL');
    await this.#proxy?.close();
    this.#cluster?.stop();
    await sleep(500);
    unmountSmallDisk(this.folder, this.hasSmallDisk);
    rmSync(this.folder, { recursive: true, force: true });
  }

  moveClock(ms: number): void {
    writeFileSync(this.clockFile, String(ms));
  }
}

/** Megabytes: a disk so small that it fills up within a fault. */
const DISK_MB = 160;

/** A small disk of memory for the database's files, where this account may make one. */
function mountSmallDisk(folder: string): boolean {
  try {
    const place = path.join(folder, 'postgres-faults');
    execFileSync('mkdir', ['-p', place]);
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m`, 'tmpfs', place], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
}

/** Takes the small disk away again, also when a run before this one left it. */
function unmountSmallDisk(folder: string, isThere: boolean): void {
  if (isThere) execFileSync('umount', ['-l', path.join(folder, 'postgres-faults')], { stdio: 'ignore' });
}
