import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { addPhrase, type Device, takesPhrases } from '@nimble-lever/core/devices';
import { useEffect, useRef } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { ControlFields } from './ControlFields.tsx';
import { usesOf } from './controlUses.ts';
import { useDeviceEdits } from './useDeviceEdits.ts';
import { WORDS } from './words.ts';

const List = styled('ul')(({ theme: { vars } }) => ({
  margin: 0,
  padding: '6px 0',
  listStyle: 'none',
  '& li': { borderBottom: `1px solid ${vars?.palette.divider}` },
  '& li[data-lit=true]': { backgroundColor: vars?.palette.tokens.accentTint },
  '& .row': {
    width: '100%',
    display: 'grid',
    gridTemplateColumns: '116px minmax(0, 1fr)',
    gap: 8,
    padding: '7px 14px',
    textAlign: 'left',
    font: 'inherit',
    fontSize: 12,
    color: vars?.palette.text.secondary,
    border: 0,
    background: 'none',
    cursor: 'pointer',
  },
  '& .row:focus-visible': { outlineOffset: -2 },
  '& .row b': { fontSize: 13, fontWeight: 500, color: vars?.palette.text.primary },
  '& li[data-selected=true] .row b': { fontWeight: 650 },
  '& li[data-selected=true]': { boxShadow: `inset 3px 0 0 ${vars?.palette.text.primary}` },
  '& .row span': { display: 'block', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .edit': { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 6, padding: '0 14px 10px' },
  '& .heard': {
    display: 'inline-flex',
    alignItems: 'center',
    gap: 2,
    padding: '0 2px 0 8px',
    borderRadius: 6,
    fontSize: 11,
    backgroundColor: vars?.palette.tokens.sunk,
    '& .MuiIconButton-root': { width: 24, height: 24 },
  },
}));

/** The controls of a device, and which of them is looked at. */
interface Props {
  readonly device: Device;
  /** The profile and layer whose bindings are told. */
  readonly profile: string;
  readonly layer: string;
  /** The id of the control that is looked at. */
  readonly selected: string | null;
  /** Ids as `device/control`. */
  readonly lit: ReadonlySet<string>;
  readonly onSelect: (control: string) => void;
}

/** Every control by name with what it does; the selected one can be renamed, and what it is heard as forgotten. */
export function ControlsTab({ device, profile, layer, selected, lit, onSelect }: Props) {
  const setup = useAppSelector(selectSetup);
  const edits = useDeviceEdits(device);
  const list = useRef<HTMLUListElement>(null);
  const addNew = () => {
    const next = addPhrase(device, newPhrase(device));
    edits.change(next);
    const added = next.controls.at(-1);
    if (added) onSelect(added.id);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: another selected one comes into sight.
  useEffect(() => {
    list.current?.querySelector('[data-selected=true]')?.scrollIntoView({ block: 'nearest' });
  }, [selected]);
  return (
    <List ref={list}>
      {device.controls.map((control) => {
        const uses = usesOf(setup, device, control, profile, layer);
        // Only the selected one has fields: a hundred controls with fields are a hundred tab stops.
        const isSelected = control.id === selected;
        return (
          <li key={control.id} data-selected={isSelected} data-lit={lit.has(`${device.id}/${control.id}`)}>
            <button
              type="button"
              className="row"
              aria-pressed={isSelected}
              onClick={() => onSelect(control.id)}
            >
              <b>{control.name}</b>
              <span>
                {uses.map(({ trigger, way, does }) => (
                  <span key={trigger}>
                    {uses.length > 1 && `${way}: `}
                    {does ?? WORDS.nothing}
                  </span>
                ))}
              </span>
            </button>
            {isSelected && <ControlFields control={control} edits={edits} came={edits.came} />}
          </li>
        );
      })}
      {takesPhrases(device.kind) && (
        <li style={{ padding: '10px 14px', borderBottom: 0 }}>
          <Button onClick={addNew}>{WORDS.addPhrase}</Button>
        </li>
      )}
    </List>
  );
}

/** A phrase that is not said yet, so that the new one is heard as soon as it has words of its own. */
function newPhrase({ controls }: Device): string {
  const said = new Set(controls.map(({ phrase }) => phrase));
  let phrase: string = WORDS.newPhrase;
  for (let i = 2; said.has(phrase); i++) phrase = `${WORDS.newPhrase} ${i}`;
  return phrase;
}
