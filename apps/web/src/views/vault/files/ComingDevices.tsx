import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Setup } from '@nimble-lever/core/setup';
import type { DeviceMapping, Mapping } from '@nimble-lever/core/vault';
import { useState } from 'react';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import type { ComingDevice } from '../../../workers/takeIn.ts';
import { WORDS } from '../words.ts';

const Box = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 6,
  fontSize: 12,
  '& .line': { display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 150px', alignItems: 'center', gap: 6 },
  '& .name': { minWidth: 0, overflowWrap: 'anywhere' },
  '& summary': { cursor: 'pointer' },
  '& .folded': { display: 'flex', flexDirection: 'column', gap: 6, marginTop: 6 },
  '& .controls': {
    marginLeft: 10,
    paddingLeft: 10,
    borderLeft: `2px solid ${vars?.palette.divider}`,
    display: 'flex',
    flexDirection: 'column',
    gap: 4,
  },
}));

interface Props {
  readonly setup: Setup;
  readonly devices: readonly ComingDevice[];
  readonly mapping: Mapping;
  /** One's own device in its place; null: it is added. */
  readonly onMap: (device: string, to: string | null) => void;
  readonly onControl: (device: string, control: string, to: string | null) => void;
}

/** From so many on, devices that are the same here are folded away: what has to be looked at stays in sight. */
const MANY = 4;

/** Which of one's own devices take the place of those that come, and control by control how. */
export function ComingDevices({ setup, devices, mapping, onMap, onControl }: Props) {
  // As it was proposed: a line does not go away while one works on it.
  const [same] = useState(
    () => new Set(devices.filter((device) => isSame(setup, device, mapping[device.id])).map(({ id }) => id)),
  );
  const [open, setOpen] = useState<string | null>(null);
  if (devices.length === 0) return null;
  const folds = same.size >= MANY;
  const lineOf = (device: ComingDevice) => (
    <DeviceLine
      key={device.id}
      setup={setup}
      device={device}
      mapping={mapping[device.id]}
      isOpen={open === device.id}
      onOpen={(on) => setOpen(on ? device.id : null)}
      onMap={onMap}
      onControl={onControl}
    />
  );
  return (
    <Box role="group" aria-label={WORDS.comingDevices}>
      <h3>{WORDS.comingDevices}</h3>
      {devices.filter(({ id }) => !folds || !same.has(id)).map(lineOf)}
      {folds && (
        <details>
          <summary>{WORDS.sameDevices(same.size)}</summary>
          <div className="folded">{devices.filter(({ id }) => same.has(id)).map(lineOf)}</div>
        </details>
      )}
    </Box>
  );
}

/** Whether one's own device under a name takes the place of one that is just like it. */
function isSame({ devices }: Setup, { name, controls }: ComingDevice, mapped?: DeviceMapping): boolean {
  const own = devices.find(({ id }) => id === mapped?.to);
  return own?.name === name && controls.every(({ id }) => mapped?.controls[id] === id);
}

interface LineProps extends Pick<Props, 'setup' | 'onMap' | 'onControl'> {
  readonly device: ComingDevice;
  readonly mapping: DeviceMapping | undefined;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
}

function DeviceLine({ setup, device, mapping, isOpen, onOpen, onMap, onControl }: LineProps) {
  const { id, name, controls } = device;
  const { to = null, controls: mapped = {} } = mapping ?? {};
  const own = setup.devices.find((each) => each.id === to);
  return (
    <div>
      <div className="line">
        <span className="name">{name}</span>
        <ChoiceField
          label={WORDS.onWhich(name)}
          value={to ?? ADD}
          options={[[ADD, WORDS.addIt], ...setup.devices.map((each) => [each.id, each.name] as const)]}
          onChange={(next) => onMap(id, next === ADD ? null : next)}
        />
      </div>
      {own && (
        <Button
          size="small"
          aria-expanded={isOpen}
          aria-label={WORDS.controlsOf(name)}
          sx={{ mt: 0.5, minHeight: 24, fontSize: 12 }}
          onClick={() => onOpen(!isOpen)}
        >
          {WORDS.controls}
        </Button>
      )}
      {own && isOpen && (
        <div className="controls">
          {controls.map((control) => (
            <div key={control.id} className="line">
              <span className="name">{control.name}</span>
              <ChoiceField
                label={WORDS.onWhich(`${name}, ${control.name}`)}
                value={mapped[control.id] ?? NONE}
                options={[
                  [NONE, WORDS.noControl],
                  ...own.controls.map((each) => [each.id, each.name] as const),
                ]}
                onChange={(next) => onControl(id, control.id, next === NONE ? null : next)}
              />
            </div>
          ))}
        </div>
      )}
    </div>
  );
}

const ADD = '+';
const NONE = '-';
