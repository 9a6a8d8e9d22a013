import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { addPhrase, type Control, cutName, type Device, takesPhrases } from '@nimble-lever/core/devices';
import { Trash2, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { usesOf } from './controlUses.ts';
import { type DeviceEdits, useDeviceEdits } from './useDeviceEdits.ts';
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
  readonly profile: string;
  readonly layer: string;
  readonly selected: string | null;
  readonly lit: ReadonlySet<string>;
  readonly onSelect: (control: string) => void;
}

/** Every control by name with what it does; the selected one can be renamed, and what it is heard as forgotten. */
export function ControlsTab({ device, profile, layer, selected, lit, onSelect }: Props) {
  const setup = useAppSelector(selectSetup);
  const edits = useDeviceEdits(device);
  const list = useRef<HTMLUListElement>(null);
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
          <Button onClick={() => edits.change(addPhrase(device, WORDS.newPhrase))}>{WORDS.addPhrase}</Button>
        </li>
      )}
    </List>
  );
}

/** One control, and how it was when the device came, so that it can be put back. */
interface FieldsProps {
  readonly control: Control;
  readonly edits: DeviceEdits;
  readonly came: Device | null;
}

/** What can be changed of a control: how it is called, and for a voice what is said. */
function ControlFields({ control, edits, came }: FieldsProps) {
  const name = useDraft(control.name, (text) => {
    if (text.trim()) edits.setControl({ ...control, name: text.trim() });
  });
  const phrase = useDraft(control.phrase ?? '', (text) => {
    const said = text.trim();
    // A phrase is called what is said, cut to what a name may be.
    if (said) edits.setControl({ ...control, name: cutName(said), phrase: said });
  });
  // Controls that came with the device stay: without them it would not be the device.
  const isOwn = !came?.controls.some(({ id }) => id === control.id);
  return (
    <div className="edit">
      {control.phrase === null ? (
        <OutlinedInput
          {...name}
          inputProps={{ 'aria-label': WORDS.controlName(control.name), maxLength: 60 }}
          sx={{ width: 180 }}
        />
      ) : (
        <OutlinedInput
          {...phrase}
          inputProps={{ 'aria-label': WORDS.phraseOf(control.name), maxLength: 200 }}
          sx={{ width: 260 }}
        />
      )}
      {isOwn && (
        <IconButton
          aria-label={WORDS.removeControl(control.name)}
          onClick={() => edits.removeControl(control.id)}
        >
          <Trash2 size={15} aria-hidden />
        </IconButton>
      )}
      {control.heardAs.map((id) => (
        <span key={id} className="heard">
          {WORDS.heardAs} {id.replaceAll('/', ' ')}
          <IconButton
            aria-label={WORDS.forget(id)}
            onClick={() =>
              edits.setControl({ ...control, heardAs: control.heardAs.filter((own) => own !== id) })
            }
          >
            <X size={13} aria-hidden />
          </IconButton>
        </span>
      ))}
    </div>
  );
}
