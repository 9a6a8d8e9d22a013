/** Calls back after a time, or (`ms` null) takes that back. */
interface Asked {
  readonly id: number;
  readonly ms: number | null;
}

/** What will be told when its time has come, by its id. */
const timeouts = new Map<number, ReturnType<typeof setTimeout>>();

addEventListener('message', ({ data: { id, ms } }: MessageEvent<Asked>) => {
  clearTimeout(timeouts.get(id));
  timeouts.delete(id);
  if (ms === null) return;
  timeouts.set(
    id,
    setTimeout(() => {
      timeouts.delete(id);
      postMessage(id);
    }, ms),
  );
});
