import type { Edit, Setup, Slot } from '../setup/index.ts';
import { deviceName, profileName, triggerNameIn } from './names.ts';

const PARTS: ReadonlySet<Edit['kind']> = new Set(['set-device', 'set-layer', 'set-macro', 'set-radial-menu']);

/** An edit in a few words, for the undo button and the history: `Turn clockwise in Larkframe`. */
export function editWords(setup: Setup, edit: Edit): string {
  switch (edit.kind) {
    case 'set-binding':
      return edit.binding ? `set ${slotWords(setup, edit.slot)}` : `clear ${slotWords(setup, edit.slot)}`;
    case 'set-face':
      return `face of ${slotWords(setup, edit.slot)}`;
    case 'set-note':
      return `note on ${slotWords(setup, edit.slot)}`;
    case 'add-program':
      return `add ${edit.program.name}`;
    case 'rename-program':
      return `rename to ${edit.name}`;
    case 'remove-program':
      return `remove ${profileName(setup, edit.program)}`;
    case 'move-program':
      return `move ${profileName(setup, edit.program)}`;
    case 'set-device':
    case 'set-layer':
    case 'set-macro':
    case 'set-radial-menu': {
      const list = { device: setup.devices, layer: setup.layers, macro: setup.macros };
      const known = [...Object.values(list).flat(), ...setup.radialMenus].find(({ id }) => id === edit.id);
      return edit.item ? `change ${edit.item.name}` : `remove ${known?.name ?? edit.id}`;
    }
    case 'together': {
      // A part that takes its bindings along is what the person did; the bindings are how.
      const part = edit.edits.find((own) => PARTS.has(own.kind));
      if (part) return `${editWords(setup, part)} with what is bound to it`;
      const [first] = edit.edits;
      const rest = edit.edits.length - 1;
      return first ? `${editWords(setup, first)}${rest > 0 ? ` and ${rest} more` : ''}` : 'nothing';
    }
  }
}

function slotWords(setup: Setup, { profile, device, control, trigger }: Slot): string {
  const name = triggerNameIn(setup, device, control, trigger).toLowerCase();
  return `${deviceName(setup, device)}, ${name} in ${profileName(setup, profile)}`;
}
