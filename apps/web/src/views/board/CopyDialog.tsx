import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { mainTriggersOf, type Trigger, triggersOf } from '@nimble-lever/core/devices';
import {
  type Binding,
  type Copying,
  type CopyStep,
  layerOnDevice,
  planCopy,
  type Setup,
} from '@nimble-lever/core/setup';
import { controlUseWords, profileName, refusalWords, triggerName } from '@nimble-lever/core/words';
import { useMemo, useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { allColumns } from './boardModel.ts';
import { bindingName } from './cellFace.ts';
import type { CopyFrom } from './copyFrom.ts';
import { WORDS } from './words.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  width: 560,
  maxWidth: '100%',
  padding: 20,
  display: 'flex',
  flexDirection: 'column',
  gap: 14,
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0 },
  '& .fields': { display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 10 },
  '& ul': {
    margin: '6px 0 0',
    padding: 0,
    listStyle: 'none',
    maxHeight: 170,
    overflow: 'auto',
    fontSize: 12,
  },
  '& li': { padding: '3px 0', borderTop: `1px solid ${vars?.palette.divider}` },
  '& small': { fontSize: 12, color: vars?.palette.text.secondary },
  '& .buttons': { display: 'flex', justifyContent: 'flex-end', gap: 8 },
}));

/** Copies a row, a device or a column to another place, and shows before what that overwrites. */
export function CopyDialog({ from, onClose }: { readonly from: CopyFrom; readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  // Something other than where it comes from, so that the dialog opens with a choice that does something.
  const [device, setDevice] = useState(firstOther(setup, from));
  const [use, setUse] = useState('');
  const [profile, setProfile] = useState(
    allColumns(setup).findLast((column) => from.what !== 'column' || column.profile.id !== from.from)?.profile
      .id ?? '',
  );
  const uses = usesOf(setup, device);
  const chosen = uses.find(({ key }) => key === use) ?? uses[0];
  const copying = copyingOf(setup, from, device, profile, chosen);
  // Planned as one chooses: what is overwritten is seen before anything is written.
  const plan = useMemo(() => (copying ? planCopy(setup, copying) : null), [setup, copying]);
  // What neither overwrites nor is left out.
  const added = plan ? plan.steps.length - plan.overwritten.length - plan.left.length : 0;
  const select = (
    label: string,
    value: string,
    onChange: (value: string) => void,
    options: readonly Option[],
  ) => (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      sx={{ '& .MuiSelect-select': { paddingLeft: '14px' } }}
    >
      {options.map(({ key, name }) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Dialog open onClose={onClose} aria-labelledby="copy-title">
      <Body>
        <h2 id="copy-title">{WORDS.copyOf(from.name)}</h2>
        <div className="fields">
          {from.what !== 'column' &&
            select(
              WORDS.toDevice,
              device,
              setDevice,
              setup.devices
                .filter(({ id }) => from.what !== 'device' || id !== from.from)
                .map(({ id, name }) => ({ key: id, name })),
            )}
          {(from.what === 'row' || from.what === 'cell') &&
            chosen &&
            select(WORDS.toControl, chosen.key, setUse, uses)}
          {(from.what === 'column' || from.what === 'cell') &&
            select(
              WORDS.toProgram,
              profile,
              setProfile,
              allColumns(setup)
                .filter((column) => from.what !== 'column' || column.profile.id !== from.from)
                .map((column) => ({ key: column.profile.id, name: column.name })),
            )}
        </div>
        {!plan?.edit && <p>{WORDS.copyNothing}</p>}
        {plan?.edit && added > 0 && <p>{WORDS.copyNew(added)}</p>}
        {plan && plan.overwritten.length > 0 && (
          <div>
            <p>{WORDS.copyOver(plan.overwritten.length)}</p>
            <ul aria-label={WORDS.copyOver(plan.overwritten.length)}>
              {plan.overwritten.map((step) => (
                <li key={stepKey(step)}>
                  {placeWords(setup, step)}
                  <br />
                  <small>
                    {nameOf(setup, step, step.before)} → {nameOf(setup, step, step.after)}
                  </small>
                </li>
              ))}
            </ul>
          </div>
        )}
        {plan && plan.left.length > 0 && (
          <div>
            <p>{WORDS.copyLeft(plan.left.length)}</p>
            <ul>
              {plan.left.map((step) => (
                <li key={stepKey(step)}>
                  {placeWords(setup, step)}
                  <br />
                  <small>{step.refusal && refusalWords(step.refusal)}</small>
                </li>
              ))}
            </ul>
          </div>
        )}
        <div className="buttons">
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button
            variant="contained"
            disabled={!plan?.edit}
            onClick={() => {
              if (plan?.edit) dispatch(makeEdit(plan.edit));
              onClose();
            }}
          >
            {WORDS.copyIt}
          </Button>
        </div>
      </Body>
    </Dialog>
  );
}

interface Option {
  /** Stays the same while the list changes. */
  readonly key: string;
  readonly name: string;
}
interface Use extends Option {
  readonly control: string;
  readonly trigger: Trigger;
}

/** Copying onto itself is never what is wanted: another one is proposed. */
function firstOther(setup: Setup, from: CopyFrom): string {
  const own = from.what === 'device' ? from.from : null;
  return setup.devices.find(({ id }) => id !== own)?.id ?? '';
}

/** Every control and trigger of a device, main ones first. */
function usesOf(setup: Setup, device: string): readonly Use[] {
  const controls = setup.devices.find(({ id }) => id === device)?.controls ?? [];
  const all = controls.flatMap((control) =>
    triggersOf(control).map((trigger) => ({
      key: `${control.id}/${trigger}`,
      name: triggerName(control, trigger),
      control: control.id,
      trigger,
      main: mainTriggersOf(control).includes(trigger),
    })),
  );
  return [...all.filter(({ main }) => main), ...all.filter(({ main }) => !main)];
}

/** What would be copied by the choices made; null while they name nothing. */
function copyingOf(
  setup: Setup,
  from: CopyFrom,
  device: string,
  profile: string,
  use: Use | undefined,
): Copying | null {
  if (from.what === 'column') return { what: 'column', from: from.from, to: profile };
  if (from.what === 'device') return { what: 'device', from: from.from, to: device };
  if (!use) return null;
  if (from.what === 'cell') {
    const layer = layerOnDevice(setup, from.from.layer, device);
    return {
      what: 'cell',
      from: from.from,
      to: { profile, layer, device, control: use.control, trigger: use.trigger },
    };
  }
  return {
    what: 'row',
    layer: from.layer,
    from: from.from,
    to: { device, control: use.control, trigger: use.trigger },
  };
}

function stepKey({ slot }: CopyStep): string {
  return Object.values(slot).join('/');
}

function placeWords(setup: Setup, { slot }: CopyStep): string {
  return `${controlUseWords(setup, slot)} in ${profileName(setup, slot.profile)}`;
}

function nameOf(setup: Setup, { slot }: CopyStep, binding: Binding | null): string {
  const profile = setup.profiles[slot.profile];
  return profile && binding ? bindingName(setup, profile, binding) : WORDS.inherit;
}
