import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import type { HeardEvent, Sample } from '@nimble-lever/core/devices/hid';
import { Play, Square } from 'lucide-react';
import { useState } from 'react';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import type { useReports } from './useReports.ts';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars, typography } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  '& form': { display: 'flex', gap: 8 },
  // Reports of different lengths keep their meanings in one column.
  '& ol': {
    margin: 0,
    padding: 0,
    listStyle: 'none',
    fontSize: 12,
    display: 'grid',
    gridTemplateColumns: 'fit-content(60%) 1fr',
    columnGap: 16,
  },
  '& li': { display: 'grid', gridTemplateColumns: 'subgrid', gridColumn: '1 / -1', padding: '2px 0' },
  '& code': { fontFamily: typography.mono, color: vars?.palette.text.secondary },
}));

/** A described device with reports to try it with: typed, or from its sample. */
interface Props {
  readonly device: Device;
  /** How many interfaces it has: a report comes by one of them. */
  readonly interfaces: number;
  /** Null for a descriptor of one's own. */
  readonly sample: Sample | null;
  readonly reports: ReturnType<typeof useReports>;
}

/** Bytes tried on a device, and what they say. */
export function TryReports({ device, interfaces, sample, reports }: Props) {
  const [at, setAt] = useState(0);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { heard, playing, send, play, stop } = reports;
  return (
    <Box aria-label={WORDS.tryIt}>
      <h2>{WORDS.tryIt}</h2>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          setProblem(send(text, Math.min(at, interfaces - 1)));
        }}
      >
        {interfaces > 1 && (
          <ChoiceField
            label={WORDS.byInterface}
            value={String(Math.min(at, interfaces - 1))}
            options={Array.from(
              { length: interfaces },
              (_, i) => [String(i), WORDS.interface(i + 1)] as const,
            )}
            onChange={(next) => setAt(Number(next))}
          />
        )}
        <OutlinedInput
          value={text}
          placeholder={WORDS.report}
          error={problem !== null}
          onChange={({ target }) => setText(target.value)}
          inputProps={{ 'aria-label': WORDS.report, spellCheck: false, maxLength: 1000 }}
          sx={{ width: 340, '& input': { fontFamily: (theme) => theme.typography.mono } }}
        />
        <Button type="submit">{WORDS.send}</Button>
        {sample && (
          <Button
            startIcon={playing ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}
            onClick={() => (playing ? stop() : play(sample))}
          >
            {playing ? WORDS.stop : WORDS.play}
          </Button>
        )}
      </form>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <ol aria-live="polite">
        {heard.map(({ key, report, events, lacks }) => (
          <li key={key}>
            <code>{report}</code>
            <span>
              {events.length > 0 && events.map((event) => eventWords(device, event)).join(', ')}
              {events.length === 0 && lacks === null && WORDS.nothingHeard}
              {lacks !== null && <span className="problem"> {lacks}</span>}
            </span>
          </li>
        ))}
      </ol>
    </Box>
  );
}

/** What a report said, as a person would say it: which control, and what it did. */
function eventWords(device: Device, event: HeardEvent): string {
  if (event.kind === 'move') return `${WORDS.pointer} ${Math.round(event.dx)}, ${Math.round(event.dy)}`;
  const name = device.controls.find(({ id }) => id === event.control)?.name ?? event.control;
  if (event.kind === 'turn') return `${name} ${event.amount > 0 ? '+' : '−'}${Math.abs(event.amount)}`;
  if (event.kind === 'position') return `${name} at ${Math.round(event.value * 100) / 100}`;
  return `${name} ${event.kind === 'down' ? WORDS.down : WORDS.up}`;
}
