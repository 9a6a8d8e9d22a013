import { layerOff } from './layers.ts';
import { buttonUp, keyUp } from './ledger.ts';
import { setPlace } from './places.ts';
import { type Run, send } from './run.ts';
import type { PlainHold } from './state.ts';
import { messageValue } from './stroke.ts';

/** Lets go of one thing; a macro is stopped by the one who called it. */
export function endHold(run: Run, hold: PlainHold): void {
  switch (hold.kind) {
    case 'key':
      keyUp(run, hold.program, hold.code);
      return;
    case 'button':
      buttonUp(run, hold.program, hold.button);
      return;
    case 'message': {
      const { message } = hold;
      send(run, hold.program, { kind: 'message', message, value: messageValue(message, 0) });
      return;
    }
    case 'layer':
      layerOff(run, hold.layer);
      return;
    case 'speed':
      setPlace(run, 'speed', hold.device, hold.back);
      return;
  }
}
