import { endModeHold } from './deviceModes.ts';
import { layerOff } from './layers.ts';
import { buttonUp, keyUp } from './ledger.ts';
import type { PlainHold } from './state.ts';
import { type StepContext, send } from './stepContext.ts';
import { messageValue } from './stroke.ts';

/** Lets go of one thing; a macro is stopped by the one who called it. */
export function endHold(context: StepContext, hold: PlainHold): void {
  switch (hold.kind) {
    case 'key':
      keyUp(context, hold.to, hold.code);
      return;
    case 'button':
      buttonUp(context, hold.to, hold.button);
      return;
    case 'message': {
      const { message } = hold;
      send(context, hold.to, { kind: 'message', message, value: messageValue(message, 0) });
      return;
    }
    case 'layer':
      layerOff(context, hold.layer);
      return;
    case 'show':
      context.changes.push({ kind: 'show', device: hold.device, shows: false });
      return;
    case 'speed':
    case 'wheel-mode':
      endModeHold(context, hold);
      return;
  }
}
