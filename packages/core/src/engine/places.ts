import { type Run, withEntry } from './run.ts';

/** Sets which pointer speed or computer of its list a device uses, and says so where that is another. */
export function setPlace(run: Run, kind: 'speed' | 'computer', device: string, at: number): void {
  const field = kind === 'speed' ? 'speeds' : 'computers';
  if ((run.state[field][device] ?? 0) === at) return;
  run.state[field] = withEntry(run.state[field], device, at);
  run.changes.push({ kind, device, at });
}
