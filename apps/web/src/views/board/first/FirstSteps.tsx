import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { FirstControl } from './FirstControl.tsx';
import { FirstDevices } from './FirstDevices.tsx';
import { FirstProgram } from './FirstProgram.tsx';
import { WORDS } from './words.ts';

const Page = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  gap: 14,
  padding: '28px 24px',
  '& h2': { margin: 0, fontSize: 20, fontWeight: 650 },
  '& > p': { margin: '0 0 8px', color: vars?.palette.text.secondary },
}));
const Step = styled('section')(({ theme: { vars } }) => ({
  width: 720,
  maxWidth: '100%',
  boxSizing: 'border-box',
  display: 'grid',
  gridTemplateColumns: '40px minmax(0, 1fr)',
  gap: '4px 14px',
  padding: '18px 20px',
  borderRadius: 12,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '&.current': { borderColor: vars?.palette.text.primary },
  '&.later': { color: vars?.palette.text.secondary },
  '& .number': {
    gridRow: '1 / 3',
    width: 32,
    height: 32,
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 16,
    fontWeight: 650,
    backgroundColor: vars?.palette.tokens.sunk,
    color: vars?.palette.text.primary,
  },
  '&.done .number': { color: vars?.palette.tokens.onAccent, backgroundColor: vars?.palette.tokens.accent },
  '& h3': { margin: '5px 0 0', fontSize: 15, fontWeight: 650 },
  '& .inside': { display: 'flex', flexDirection: 'column', gap: 10, fontSize: 13 },
  '& .inside p': { margin: 0, color: vars?.palette.text.secondary },
  '& .choices': { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
}));

interface Props {
  /** All three are done, or the person wants the Board as it is. */
  readonly onBoard: () => void;
}

/** Where a person begins who has nothing yet: the devices, the program one works in, and what a first control does. */
export function FirstSteps({ onBoard }: Props) {
  const { devices, programs, profiles } = useAppSelector(selectSetup);
  const bound = Object.values(profiles).some(({ bindings }) => Object.keys(bindings).length > 0);
  const done = [devices.length > 0, programs.length > 0, bound];
  const current = done.indexOf(false);
  const step = (i: number, title: string, inside: ReactNode) => (
    <Step
      key={title}
      aria-label={title}
      className={done[i] ? 'done' : i === current ? 'current' : 'later'}
      aria-current={i === current ? 'step' : undefined}
    >
      <span className="number" aria-hidden>
        {done[i] ? <Check size={18} /> : i + 1}
      </span>
      <h3>{done[i] ? WORDS.isDone(title) : title}</h3>
      <div className="inside">{inside}</div>
    </Step>
  );
  return (
    <Page>
      <h2>{WORDS.title}</h2>
      <p>{WORDS.about}</p>
      {step(0, WORDS.devices, <FirstDevices />)}
      {step(1, WORDS.program, <FirstProgram />)}
      {step(2, WORDS.control, current >= 0 && current < 2 ? <p>{WORDS.later}</p> : <FirstControl />)}
      {current !== 0 && current !== 1 && (
        <Button variant="contained" onClick={onBoard}>
          {WORDS.toBoard}
        </Button>
      )}
    </Page>
  );
}
