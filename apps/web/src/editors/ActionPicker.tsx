import { itemAt, keysByOf, type RadialMenu } from '@nimble-lever/core/setup';
import type { RefObject } from 'react';
import { newId } from '../app/setup/newId.ts';
import { ActionFields, hasFields } from './ActionFields.tsx';
import { type ActionTarget, takeSteps } from './actionTarget.ts';
import { CommandChooser } from './CommandChooser.tsx';
import { Composer } from './Composer.tsx';
import { LiveRecorder } from './LiveRecorder.tsx';
import { TypedShortcut } from './TypedShortcut.tsx';
import { WORDS } from './words.ts';

/**
 * One place where an action is chosen, recorded or typed; the dock, radial menus and what programs in the
 * background hear use the same.
 */
interface Props {
  readonly target: ActionTarget;
  /** Whether keys are being recorded; then nothing else is shown. */
  readonly recording: boolean;
  /** Whether keys on screen are open. */
  readonly composing: boolean;
  /** The list's field, so that Enter on a cell can go there. */
  readonly chooserRef?: RefObject<HTMLInputElement | null>;
  /** Recording begins, and ends. */
  readonly onRecord: () => void;
  readonly onStop: () => void;
  readonly onCompose: (open: boolean) => void;
  /** Shows a radial menu to be edited. */
  readonly onEditMenu: (menu: string) => void;
  /** Something was chosen: the keys go back to where they were. */
  readonly onDone: () => void;
}

/** Chooses what is done: from the list, by recording, by typing, from keys on screen; then what only that action asks. */
export function ActionPicker(props: Props) {
  const { target, recording, composing, chooserRef, onRecord, onStop, onCompose, onEditMenu, onDone } = props;
  const { action, setup, setAction } = target;
  const take = (notation: string) => takeSteps(target, notation);
  const keysBy = keysByOf(setup, target.profile);
  // Making the menu and binding it is one edit: taken back, neither is left over.
  const newMenu = () => {
    const menu = makeMenu(setup.radialMenus, target.profile.program);
    const after = setup.radialMenus.at(-1)?.id ?? null;
    const made = { kind: 'add', at: itemAt.radialMenu(menu.id), item: menu, after } as const;
    setAction({ kind: 'radial', menu: menu.id }, [made]);
    onEditMenu(menu.id);
  };
  return (
    <>
      {/* While it records nothing else is there to take the keys. } */}
      {recording ? (
        <LiveRecorder onTaken={take} keysBy={keysBy} onCompose={() => onCompose(true)} onLeave={onStop} />
      ) : (
        <>
          <CommandChooser
            target={target}
            {...(chooserRef ? { inputRef: chooserRef } : {})}
            onNewMenu={newMenu}
            onDone={onDone}
          />
          {!target.onlyMessages && (
            <TypedShortcut target={target} onRecord={onRecord} onCompose={() => onCompose(true)} />
          )}
          {action && hasFields(action) && (
            <ActionFields key={target.place} target={target} action={action} onEditMenu={onEditMenu} />
          )}
        </>
      )}
      <Composer open={composing} keysBy={keysBy} onUse={take} onClose={() => onCompose(false)} />
    </>
  );
}

/** A menu to begin with: one item that undoes. */
function makeMenu(menus: readonly RadialMenu[], program: string | null): RadialMenu {
  const names = new Set(menus.map((menu) => menu.name));
  let name: string = WORDS.newMenu;
  for (let i = 2; names.has(name); i++) name = `${WORDS.newMenu} ${i}`;
  const id = newId(name, 'menu');
  return {
    id,
    name,
    program,
    items: [{ id: 'item-1', label: 'Undo', icon: 'undo', action: { kind: 'shortcut', shortcut: 'Ctrl+Z' } }],
  };
}
