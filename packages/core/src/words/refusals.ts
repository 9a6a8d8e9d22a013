import type { LIMITS, Refusal } from '../setup/index.ts';
import { ITEM_WORDS } from './itemWords.ts';

/** What there may only be so many of. */
const LIMIT_WORDS: Readonly<Record<keyof typeof LIMITS, string>> = {
  devices: 'devices',
  programs: 'programs',
  commands: 'commands in one program',
  layers: 'layers',
  pages: 'pages',
  macros: 'macros',
  radialMenus: 'radial menus',
  bindingsOfProfile: 'bindings in one profile',
  controls: 'controls on one device',
  rules: 'rules in one list',
  steps: 'steps in one list',
  radialItems: 'items in one radial menu',
};

/** A refusal in a sentence: what is wrong and, where there is one, the mend. */
export function refusalWords(refusal: Refusal): string {
  switch (refusal.code) {
    case 'unknown-profile':
      return `There is no profile “${refusal.profile}” any more.`;
    case 'unknown-layer':
      return `There is no layer “${refusal.layer}”.`;
    case 'unknown-page':
      return `There is no page “${refusal.page}” any more.`;
    case 'page-kind':
      return refusal.kind === 'folder'
        ? `“${refusal.page}” is a folder: it is opened, not chosen.`
        : `“${refusal.page}” is a set: it is chosen, not opened.`;
    case 'page-of-other-device':
      return `The page “${refusal.page}” belongs to another device. Copy it there instead.`;
    case 'page-fixed':
      return `“${refusal.page}” stays what it is and on its device. Copy what is on it instead.`;
    case 'set-within':
      return `“${refusal.page}” is a set: only folders stand in other pages.`;
    case 'page-base-circle':
      return `“${refusal.page}” would be based on itself by way of others.`;
    case 'pages-based-on': {
      const others = refusal.others.map((name) => `“${name}”`).join(', ');
      return `${others} ${refusal.others.length === 1 ? 'is' : 'are'} based on “${refusal.page}”. Base ${refusal.others.length === 1 ? 'it' : 'them'} on another page first, or on none.`;
    }
    case 'folder-circle':
      return `“${refusal.page}” would stand in itself by way of others.`;
    case 'too-deep':
      return `Folders stand at most ${refusal.limit} deep in each other; “${refusal.page}” would be deeper.`;
    case 'cell-outside':
      return `“${refusal.cell}” would reach beyond the grid of its page.`;
    case 'cells-overlap':
      return `“${refusal.cell}” would lie on “${refusal.other}”. Cells of a page lie beside each other.`;
    case 'unknown-device':
      return `There is no device “${refusal.device}” in the rig.`;
    case 'unknown-control':
      return `${refusal.device} has no control “${refusal.control}”.`;
    case 'control-lacks-trigger':
      return `“${refusal.control}” on ${refusal.device} cannot be used by ${refusal.trigger}.`;
    case 'unknown-command':
      return `The command “${refusal.command}” is not in this program's list. Record its shortcut instead.`;
    case 'style-needs-release':
      return `A turn has no release to ${refusal.style}; each step can only tap.`;
    case 'unknown-program':
      return `There is no program “${refusal.program}” any more.`;
    case 'unknown-macro':
      return `There is no macro “${refusal.macro}”.`;
    case 'unknown-radial-menu':
      return `There is no radial menu “${refusal.menu}”.`;
    case 'macro-circle':
      return `The macro “${refusal.macro}” would run itself by way of others.`;
    case 'macro-too-long':
      return `The macro “${refusal.macro}” comes to more than ${refusal.limit} steps. Repeat it less often.`;
    case 'guard-needs-press':
      return 'Only a press can ask for a longer or a second press.';
    case 'slide-needs-message':
      return 'A slider sends its value as a control message. To send keys, use its steps.';
    case 'still-used':
      return `“${refusal.name}” is still used elsewhere. Change what uses it first.`;
    case 'nothing-set':
      return 'Nothing is set here yet, so there is no face or note to change. Assign something first.';
    case 'id-taken':
      return `Two things would share the id “${refusal.id}”.`;
    case 'name-taken':
      return `There is already a program called “${refusal.name}”. Choose another name.`;
    case 'too-many':
      return `At most ${refusal.limit} ${LIMIT_WORDS[refusal.what]} fit in a set-up.`;
    case 'others-based-on':
      return `Other profiles are based on “${refusal.profile}”: ${refusal.others.join(', ')}. Change those first.`;
    case 'based-on-circle':
      return `“${refusal.profile}” would be based on itself by way of others.`;
    case 'bad-slot-key':
      return `“${refusal.key}” in profile “${refusal.profile}” is not layer/device/control/trigger.`;
    case 'profile-of-other-program':
      return `Profile “${refusal.profile}” does not belong to this program.`;
    case 'item-gone':
      return `There is no ${ITEM_WORDS[refusal.item]} “${refusal.id}” any more.`;
    case 'field-gone':
      return `This ${ITEM_WORDS[refusal.item]} is something else by now, which has no “${refusal.field}”.`;
    case 'fields-clash':
      return `${refusal.fields.join(', ')}: together with the rest of this ${ITEM_WORDS[refusal.item]} this makes no sense.`;
    case 'last-one':
      return `The last ${ITEM_WORDS[refusal.item]} cannot be removed. Remove the whole instead.`;
    case 'order-fixed':
      return `A ${ITEM_WORDS[refusal.item]} has no place in an order.`;
    case 'turned-already':
      return 'That was undone, or done again, by another page before.';
    case 'entry-unknown':
      return 'The edit this is about is not in the log, or cannot be read any more.';
    case 'changed-since':
      return 'Someone has changed the same things since, so there is nothing left to undo.';
    case 'everywhere-missing':
      return 'The profile Everywhere is missing.';
    case 'everywhere-based':
      return 'Everywhere is under all profiles, so it cannot be based on one.';
    case 'base-layer-missing':
      return 'The base layer must come first.';
  }
}
