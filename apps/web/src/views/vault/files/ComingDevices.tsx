import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Setup } from '@nimble-lever/core/setup';
import type { Mapping } from '@nimble-lever/core/vault';
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

/** Which of one's own devices take the place of those that come, and control by control how. */
export function ComingDevices({ setup, devices, mapping, onMap, onControl }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  if (devices.length === 0) return null;
  return (
    <Box role="group" aria-label={WORDS.comingDevices}>
      <h3>{WORDS.comingDevices}</h3>
      {devices.map(({ id, name, controls }) => {
        const { to = null, controls: mapped = {} } = mapping[id] ?? {};
        const own = setup.devices.find((device) => device.id === to);
        const isOpen = open === id && own !== undefined;
        return (
          <div key={id}>
            <div className="line">
              <span className="name">{name}</span>
              <ChoiceField
                label={WORDS.onWhich(name)}
                value={to ?? ADD}
                options={[
                  [ADD, WORDS.addIt],
                  ...setup.devices.map((device) => [device.id, device.name] as const),
                ]}
                onChange={(next) => onMap(id, next === ADD ? null : next)}
              />
            </div>
            {own && (
              <Button
                size="small"
                aria-expanded={isOpen}
                aria-label={WORDS.controlsOf(name)}
                sx={{ mt: 0.5, minHeight: 24, fontSize: 12 }}
                onClick={() => setOpen(isOpen ? null : id)}
              >
                {WORDS.controls}
              </Button>
            )}
            {isOpen && (
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
      })}
    </Box>
  );
}

const ADD = '+';
const NONE = '-';
