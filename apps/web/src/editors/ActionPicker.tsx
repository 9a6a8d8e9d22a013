import { itemAt, type RadialMenu } from '@nimble-lever/core/setup';
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
  readonly recording: boolean;
  readonly composing: boolean;
  readonly chooserRef?: RefObject<HTMLInputElement | null>;
  readonly onRecord: () => void;
  readonly onStop: () => void;
  readonly onCompose: (open: boolean) => void;
  /** Shows the ring of a radial menu. */
  readonly onEditRing: (menu: string) => void;
  readonly onDone: () => void;
}

/** Chooses what is done: from the list, by recording, by typing, from keys on screen; then what only that action asks. */
export function ActionPicker(props: Props) {
  const { target, recording, composing, chooserRef, onRecord, onStop, onCompose, onEditRing, onDone } = props;
  const { action, setup, setAction } = target;
  const take = (notation: string) => takeSteps(target, notation);
  // Making the menu and binding it is one edit: taken back, neither is left over.
  const newRing = () => {
    const menu = makeRing(setup.radialMenus);
    const after = setup.radialMenus.at(-1)?.id ?? null;
    const made = { kind: 'add', at: itemAt.radialMenu(menu.id), item: menu, after } as const;
    setAction({ kind: 'radial', menu: menu.id }, [made]);
    onEditRing(menu.id);
  };
  return (
    <>
      {/* While it records nothing else is there to take the keys. } */}
      {recording ? (
        <LiveRecorder onTaken={take} onCompose={() => onCompose(true)} onLeave={onStop} />
      ) : (
        <>
          <CommandChooser
            target={target}
            {...(chooserRef ? { inputRef: chooserRef } : {})}
            onNewRing={newRing}
            onDone={onDone}
          />
          {!target.onlyMessages && (
            <TypedShortcut target={target} onRecord={onRecord} onCompose={() => onCompose(true)} />
          )}
          {action && hasFields(action) && (
            <ActionFields key={target.place} target={target} action={action} onEditRing={onEditRing} />
          )}
        </>
      )}
      <Composer open={composing} onUse={take} onClose={() => onCompose(false)} />
    </>
  );
}

/** A menu to begin with: one item that undoes. */
function makeRing(menus: readonly RadialMenu[]): RadialMenu {
  const names = new Set(menus.map((menu) => menu.name));
  let name: string = WORDS.newRing;
  for (let i = 2; names.has(name); i++) name = `${WORDS.newRing} ${i}`;
  const id = newId(name, 'ring');
  return {
    id,
    name,
    items: [{ id: 'item-1', label: 'Undo', icon: 'undo', action: { kind: 'shortcut', shortcut: 'Ctrl+Z' } }],
  };
}
