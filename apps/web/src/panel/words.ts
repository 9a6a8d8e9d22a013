/** The words of a panel in use. */
export const WORDS = {
  remote: 'Panel in a browser',
  connecting: 'Looking for the desk…',
  noDesk: 'No desk is there. Open Rehearse on the computer; this panel joins by itself.',
  lost: (seconds: number) =>
    `The server does not answer, for ${seconds} s. This panel joins again by itself.`,
  stranger: 'This browser is not paired any more, so nothing that is pressed here is done.',
  pair: 'Pair it again',
  onDesk: (desk: string) => `at ${desk}`,
  inFront: (program: string) => `${program} in front`,
  pages: (names: readonly string[]) => names.join(' › '),
  on: ', on',
  waiting: (count: number) => `, ${count} waiting`,
} as const;
