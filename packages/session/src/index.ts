export type { Carrier } from './carrier.ts';
export type { Clock } from './clock.ts';
export { type Played, playRecording } from './playRecording.ts';
export { Remotes } from './remotes.ts';
export { Session, type SessionParts, SLEPT_MS, type UntimedEvent } from './session.ts';
export { VirtualClock } from './virtualClock.ts';
