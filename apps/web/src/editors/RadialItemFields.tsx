import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { menuOwner, type RadialItem, type RadialMenu, type SingleEdit } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { useState } from 'react';
import { selectSetup } from '../app/setup/selectors.ts';
import { useAppSelector } from '../app/store.ts';
import { useDraft } from '../app/useDraft.ts';
import { ActionPicker } from './ActionPicker.tsx';
import type { ActionTarget } from './actionTarget.ts';
import { IconField } from './IconField.tsx';
import { WORDS } from './words.ts';

const Row = styled('div')({ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8, alignItems: 'start' });

/** One item of the menu, edited as a whole: it has no address of its own smaller than that. */
interface Props {
  /** Stands for the item. */
  readonly place: string;
  /** The menu it stands in. */
  readonly menu: RadialMenu;
  readonly item: RadialItem;
  /** `first` is edited with it, as one. */
  readonly onChange: (item: RadialItem, first?: readonly SingleEdit[]) => void;
  /** Goes on to another menu, one that the item opens. */
  readonly onEditMenu: (menu: string) => void;
}

/** Label, icon and action of one item of a radial menu. It runs commands of the menu's program, common ones, or anything. */
export function RadialItemFields({ place, menu, item, onChange, onEditMenu }: Props) {
  const setup = useAppSelector(selectSetup);
  const [recording, setRecording] = useState(false);
  const [composing, setComposing] = useState(false);
  const label = useDraft(item.label, (text) => {
    if (text.trim()) onChange({ ...item, label: text.trim() });
  });
  const profile = menuOwner(setup, menu);
  if (!profile) return null;
  const target: ActionTarget = {
    place,
    setup,
    profile,
    programName: menu.program === null ? '' : profileName(setup, profile.id),
    action: item.action,
    device: null,
    latched: false,
    onlyMessages: false,
    pair: null,
    setAction: (action, first) => onChange({ ...item, action }, first),
  };
  return (
    <>
      <Row>
        <OutlinedInput {...label} inputProps={{ 'aria-label': WORDS.radial.label, maxLength: 24 }} />
        <IconField icon={item.icon} onChange={(icon) => onChange({ ...item, icon })} />
      </Row>
      <Row style={{ gridTemplateColumns: '1fr' }}>
        <ActionPicker
          target={target}
          recording={recording}
          composing={composing}
          onRecord={() => setRecording(true)}
          onStop={() => setRecording(false)}
          onCompose={setComposing}
          onEditMenu={onEditMenu}
          onDone={() => undefined}
        />
      </Row>
    </>
  );
}
