import { twelvePad } from '@nimble-lever/core/devices';
import {
  acting,
  type Binding,
  demoSetup,
  EVERYWHERE,
  executableRule,
  newProgram,
  numberItems,
  type Profile,
  type Rule,
  type Setup,
  slotKey,
} from '@nimble-lever/core/setup';

/** What bindings send, turn about. */
const SHORTCUTS = ['A', 'Ctrl+Z', 'Ctrl+Shift+K', 'F5', 'ArrowRight', 'Alt+Enter'];
/** Four layers, and as many programs as make twenty thousand bindings. */
const LAYERS = ['base', 'second', 'third', 'fourth'];
/** With Everywhere two hundred columns. */
const PROGRAMS = 199;

/** Five rules a program: its executable, its class, two kinds of title, and one that keeps windows out. */
function rulesOf(program: number): Rule[] {
  const name = `program-${program}`;
  const none = { negative: false, executable: null, class: null, title: null };
  const { id: _id, ...own } = executableRule(name);
  const rules = [
    own,
    { ...none, class: { match: 'glob', text: `${name}-*` } },
    { ...none, title: { match: 'glob', text: `* — ${name}` } },
    { ...none, title: { match: 'regex', text: `^${name}: (shot|scene) [0-9]{2,4}$` } },
    { ...none, negative: true, title: { match: 'regex', text: `(About|Licence).*${name}` } },
  ] as const;
  return numberItems(rules, 'rule');
}

/** A set-up of 200 profiles × 300 controls × 4 layers with 20,000 bindings and 995 rules; or smaller. */
export function largeSetup(programs = PROGRAMS, controls = 300): Setup {
  const devices = Array.from({ length: Math.ceil(controls / 14) }, (_, i) =>
    twelvePad(`pad-${i}`, `Pad ${i}`),
  );
  const places = devices
    .flatMap(({ id, controls }) => controls.map((control) => ({ device: id, control: control.id })))
    .slice(0, controls);
  const bindingsOf = (program: number): Record<string, Binding> =>
    Object.fromEntries(
      Array.from({ length: 100 }, (_, i) => {
        const place = places[(i * 3 + program) % places.length] ?? { device: '', control: '' };
        const shortcut = SHORTCUTS[(i + program) % SHORTCUTS.length] ?? 'A';
        const behaviour = acting({ kind: 'shortcut', shortcut }, 'follow');
        const layer = LAYERS[i % LAYERS.length] ?? 'base';
        const trigger = i % 7 === 0 ? 'hold' : 'press';
        const key = slotKey(layer, place.device, place.control, trigger);
        return [key, { behaviour, face: null, note: null } satisfies Binding];
      }),
    );
  // More programs than anyone has, so that nobody meets a slower one.
  const ids = Array.from({ length: programs }, (_, i) => `program-${i}`);
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
    pages: [],
    layers: LAYERS.map((id) => ({ id, name: id })),
    programs: ids.map((id, i) => newProgram({ id, name: id, rules: rulesOf(i) })),
    profiles: Object.fromEntries(profiles.map((profile) => [profile.id, profile])),
  };
}
