import type { InputSource, OnHeard } from './source.ts';
import { WORDS } from './words.ts';

/** An axis that moved less than this stands still. */
const LEAST_MOVE = 0.02;

/** A gamepad as it was: the Gamepad API tells states, never changes, so these are compared. */
interface Known {
  readonly pressed: readonly boolean[];
  readonly axes: readonly number[];
}

/** Gamepads (W3C Gamepad): asked at every frame, as they tell nothing by themselves. */
export const gamepadSource: InputSource = {
  id: 'gamepad',
  name: WORDS.gamepads,
  isThere: () => 'getGamepads' in navigator,
  asks: false,
  listen: async (onHeard) => {
    const known = new Map<number, Known>();
    let frame = 0;
    const look = () => {
      for (const pad of navigator.getGamepads()) {
        if (pad) known.set(pad.index, compared(pad, known.get(pad.index), onHeard));
      }
      frame = requestAnimationFrame(look);
    };
    look();
    return () => cancelAnimationFrame(frame);
  },
};

/** Says what changed on a gamepad since it was looked at last, and what is known of it now. */
function compared(pad: Gamepad, before: Known | undefined, onHeard: OnHeard): Known {
  const pressed = pad.buttons.map((button) => button.pressed);
  pressed.forEach((down, i) => {
    if (before ? before.pressed[i] === down : !down) return;
    const name = WORDS.gamepadButton(pad.index + 1, i + 1);
    onHeard({ id: `gamepad/${pad.index}/button/${i}`, name, change: { kind: down ? 'down' : 'up' } });
  });
  const axes = pad.axes.map((value, i) => {
    const old = before?.axes[i];
    if (old === undefined || Math.abs(value - old) < LEAST_MOVE) return old ?? value;
    const name = WORDS.gamepadAxis(pad.index + 1, i + 1);
    onHeard({
      id: `gamepad/${pad.index}/axis/${i}`,
      name,
      change: { kind: 'value', value: (value + 1) / 2 },
    });
    return value;
  });
  return { pressed, axes };
}
