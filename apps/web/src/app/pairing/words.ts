/** The words of pairing a browser. */
export const WORDS = {
  scan: (address: string) => `A code that opens ${address}`,
  orOpen: 'Scan it, or open',
  andType: 'and type',
  digits: (code: string) => `${code.slice(0, 3)} ${code.slice(3)}`,
  good: (seconds: number) =>
    `Good for ${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`,
  /** Somebody slips; more than that is somebody who guesses. */
  wrong: (count: number) =>
    count < 3
      ? 'A wrong code was typed.'
      : `Wrong codes were typed ${count} times. If that was not you, someone is trying to get in; they are slowed down.`,
  over: 'This code has run out.',
  another: 'Make another code',
  make: 'Make a code',
  making: 'Making a code…',
  failed: 'No code could be made: the server or its database does not answer.',
  paired: (name: string) => `“${name}” is paired.`,
  reachedAt: 'Reached at',
  reading: 'Asking the server how it is reached…',
  unknown: 'The server does not say how it is reached from elsewhere. Close this and open it again.',
  onlyHere:
    'The server listens on this computer only, so no other device can open it. Stop it, and start it for your network:',
  command: 'HOST=0.0.0.0 npm start',
  noAddress:
    'The server listens to the network, but this computer has no address in one. Connect it to a network.',
  notEncrypted:
    'The connection is not encrypted: browsers then neither keep the screen awake nor install a panel. docs/panels.md says how to encrypt it on a home network.',
} as const;
