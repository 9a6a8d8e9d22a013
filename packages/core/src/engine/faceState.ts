import type { Resolution } from '../resolve/index.ts';
import type { Action } from '../setup/index.ts';
import { type Compiled, controlKey } from './compile.ts';
import { pagesOn } from './shownPage.ts';
import { type EngineState, useKey } from './state.ts';

/** What a control's face shows of what goes on. */
export interface FaceState {
  /** What it turns on is on: it is latched, its layer, page or profile shows, its macro runs. */
  readonly on: boolean;
  /** How many presses wait for a run of its macro. */
  readonly queued: number;
}

/** One that shows nothing. */
const AT_REST: FaceState = { on: false, queued: 0 };

/** What the face of a control shows now, for what decides about it. */
export function faceState(compiled: Compiled, state: EngineState, resolution: Resolution): FaceState {
  const { device, control, trigger, decided } = resolution;
  if (decided?.binding.behaviour.kind !== 'action') return AT_REST;
  const { action } = decided.binding.behaviour;
  const key = useKey({ key: controlKey(device, control), trigger, decided });
  const queued = action.kind === 'macro' ? (state.running[action.macro]?.queue.length ?? 0) : 0;
  const on = state.latched[key] !== undefined || isOn(compiled, state, device, action);
  return on || queued > 0 ? { on, queued } : AT_REST;
}

/** Whether what an action turns on is on, whoever turned it on. Most actions turn nothing on. */
function isOn(compiled: Compiled, state: EngineState, device: string, action: Action): boolean {
  switch (action.kind) {
    case 'layer':
      return state.layers.includes(action.layer);
    case 'page': {
      const { change, page } = action;
      if (change !== 'open' && change !== 'choose') return false;
      const of = compiled.pages.byId.get(page ?? '')?.device ?? device;
      const shown = pagesOn(compiled, state, of);
      // A device's own page is on where no set is.
      if (page === null) return shown.every(({ kind }) => kind !== 'set');
      return shown.some(({ id }) => id === page);
    }
    case 'profile':
      return action.change === 'pin' && state.pinned !== null && state.pinned === action.profiles[0];
    case 'macro':
      return state.running[action.macro] !== undefined;
    case 'shortcut':
    case 'command':
    case 'intent':
    case 'sequence':
    case 'text':
    case 'button':
    case 'click':
    case 'drag':
    case 'wheel':
    case 'speed':
    case 'wheel-mode':
    case 'computer':
    case 'program':
    case 'radial':
    case 'show':
    case 'message':
      return false;
  }
}
