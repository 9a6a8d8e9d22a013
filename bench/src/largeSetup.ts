import { twelvePad } from '@nimble-lever/core/devices';
import {
  BASE_LAYER,
  type Binding,
  demoSetup,
  EVERYWHERE,
  executableRule,
  type Profile,
  type Setup,
  slotKey,
} from '@nimble-lever/core/setup';

const SHORTCUTS = ['A', 'Ctrl+Z', 'Ctrl+Shift+K', 'F5', 'ArrowRight', 'Alt+Enter'];

/** A set-up of 200 programs × 300 controls with 20,000 bindings. */
export function largeSetup(): Setup {
  const devices = Array.from({ length: 22 }, (_, i) => twelvePad(`pad-${i}`, `Pad ${i}`));
  const places = devices
    .flatMap(({ id, controls }) => controls.map((control) => ({ device: id, control: control.id })))
    .slice(0, 300);
  const bindingsOf = (program: number): Record<string, Binding> =>
    Object.fromEntries(
      Array.from({ length: 100 }, (_, i) => {
        const place = places[(i * 3 + program) % places.length] ?? { device: '', control: '' };
        const shortcut = SHORTCUTS[(i + program) % SHORTCUTS.length] ?? 'A';
        const binding: Binding = {
          behaviour: {
            kind: 'action',
            action: { kind: 'shortcut', shortcut },
            style: 'follow',
            repeat: null,
          },
          face: null,
          note: null,
        };
        return [slotKey(BASE_LAYER, place.device, place.control, 'press'), binding];
      }),
    );
  const ids = Array.from({ length: 199 }, (_, i) => `program-${i}`);
  const profiles = [EVERYWHERE, ...ids].map(
    (id, i): Profile => ({
      id,
      name: null,
      program: id === EVERYWHERE ? null : id,
      rules: [],
      basedOn: null,
      bindings: bindingsOf(i),
    }),
  );
  return {
    ...demoSetup(),
    devices,
    commonCommands: [],
    programs: ids.map((id) => ({
      id,
      name: id,
      rules: [executableRule(id)],
      commands: [],
    })),
    profiles: Object.fromEntries(profiles.map((profile) => [profile.id, profile])),
  };
}
