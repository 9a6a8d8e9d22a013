import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { DeviceDrawing } from '../../pieces/DeviceDrawing.tsx';

const Box = styled('div')({
  flex: 'none',
  display: 'grid',
  gridTemplateColumns: '3fr 2fr',
  gap: 16,
  minHeight: 240,
});
const List = styled('ul')(({ theme: { vars } }) => ({
  margin: 0,
  padding: 0,
  listStyle: 'none',
  fontSize: 13,
  maxHeight: 300,
  overflow: 'auto',
  '& li': { display: 'flex', justifyContent: 'space-between', gap: 8, padding: '3px 8px', borderRadius: 6 },
  '& li[data-lit=true]': { backgroundColor: vars?.palette.tokens.accentTint },
  '& small': { fontSize: 11, color: vars?.palette.text.secondary },
}));

/** A device that was read from its descriptor, before it is added. */
interface Props {
  readonly device: Device;
  readonly lit: ReadonlySet<string>;
}

/** Nothing can be done with it yet. */
const nothing = () => undefined;

/** The drawing that was laid out for a described device, and its controls by name. */
export function DescribedDrawing({ device, lit }: Props) {
  return (
    <Box>
      <DeviceDrawing
        device={device}
        lit={lit}
        selected={null}
        angles={{}}
        values={{}}
        hint={({ name }) => name}
        onDown={nothing}
        onUp={nothing}
        onTurn={nothing}
        onPosition={nothing}
      />
      <List>
        {device.controls.map(({ id, name, kind }) => (
          <li key={id} data-lit={lit.has(id)}>
            {name} <small>{kind.replace('-', ' ')}</small>
          </li>
        ))}
      </List>
    </Box>
  );
}
