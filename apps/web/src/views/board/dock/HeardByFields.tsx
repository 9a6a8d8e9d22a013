import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { styled } from '@mui/material/styles';
import { keysByOf } from '@nimble-lever/core/setup';
import { programName } from '@nimble-lever/core/words';
import { useState } from 'react';
import type { ActionTarget } from '../../../editors/actionTarget.ts';
import { takeSteps } from '../../../editors/actionTarget.ts';
import { Composer } from '../../../editors/Composer.tsx';
import { LiveRecorder } from '../../../editors/LiveRecorder.tsx';
import { TypedShortcut } from '../../../editors/TypedShortcut.tsx';
import { WORDS } from '../words.ts';
import type { CellEdits } from './useCellEdits.ts';

const Line = styled('div')(({ theme: { vars } }) => ({
  display: 'grid',
  gridTemplateColumns: 'auto minmax(0, 1fr)',
  flexShrink: 0,
  alignItems: 'center',
  gap: '4px 8px',
  minHeight: 32,
  fontSize: 12,
  color: vars?.palette.text.secondary,
}));

/** Off here, but heard all the same by programs in the background, and what they hear. */
export function HeardByFields({ edits }: { readonly edits: CellEdits }) {
  const { setup, binding, setBehaviour, target: cellTarget } = edits;
  const [recording, setRecording] = useState(false);
  const [composing, setComposing] = useState(false);
  const off = binding?.behaviour;
  if (off?.kind !== 'off') return null;
  // The same fields as the cell itself, aimed at what programs in the background hear.
  const target: ActionTarget = {
    ...cellTarget,
    place: `${cellTarget.place} heard`,
    action: off.sends,
    latched: false,
    pair: null,
    setAction: (sends) => setBehaviour({ ...off, sends }),
  };
  const take = (notation: string) => takeSteps(target, notation);
  const keysBy = keysByOf(setup, { program: off.heardBy[0] ?? null });
  return (
    <Line>
      {WORDS.heardBy}
      <Select
        multiple
        displayEmpty
        size="small"
        value={off.heardBy}
        onChange={({ target: { value } }) =>
          setBehaviour({ ...off, heardBy: typeof value === 'string' ? [value] : value })
        }
        renderValue={(ids) =>
          ids.length === 0 ? WORDS.nobody : ids.map((id) => programName(setup, id)).join(', ')
        }
        inputProps={{ 'aria-label': WORDS.heardBy }}
        sx={{ minHeight: 28, height: 28, fontSize: 12 }}
      >
        {setup.programs.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </Select>
      {off.heardBy.length > 0 && (
        <>
          <span>{WORDS.hears}</span>
          {recording ? (
            <LiveRecorder
              onTaken={take}
              keysBy={keysBy}
              onCompose={() => setComposing(true)}
              onLeave={() => setRecording(false)}
            />
          ) : (
            <TypedShortcut
              target={target}
              placeholder={WORDS.hearsNative}
              onRecord={() => setRecording(true)}
              onCompose={() => setComposing(true)}
            />
          )}
        </>
      )}
      <Composer open={composing} keysBy={keysBy} onUse={take} onClose={() => setComposing(false)} />
    </Line>
  );
}
