import { execFileSync, spawn } from 'node:child_process';

/** A screen of its own that only this test sees, where keys arrive as from a real keyboard. */
export interface Display {
  readonly name: string;
  /** Presses and lets go one key by its X keycode, through the XTEST extension. */
  key(keycode: number): void;
  /** Gives a window the keys. */
  focus(title: string): void;
  stop(): void;
}

/** Starts Debian's Xvfb on a free display. */
export async function openDisplay(): Promise<Display> {
  const server = spawn('Xvfb', ['-displayfd', '3', '-screen', '0', '1280x900x24', '-nolisten', 'tcp'], {
    stdio: ['ignore', 'ignore', 'ignore', 'pipe'],
  });
  const name = await new Promise<string>((resolve, reject) => {
    server.once('error', reject);
    server.once('exit', (code) => reject(new Error(`Xvfb ended with ${code}.`)));
    server.stdio[3]?.once('data', (number: Buffer) => resolve(`:${number.toString().trim()}`));
  });
  const env = { ...process.env, DISPLAY: name };
  const xdotool = (...args: string[]) => execFileSync('xdotool', args, { env, stdio: 'pipe' });
  return {
    name,
    // One digit would be taken for the character; only Escape has such a keycode.
    key: (keycode) => void xdotool('key', keycode === 9 ? 'Escape' : String(keycode)),
    focus: (title) =>
      void xdotool('search', '--sync', '--onlyvisible', '--name', title, 'windowfocus', '--sync'),
    stop: () => void server.kill('SIGTERM'),
  };
}
