import { styled } from '@mui/material/styles';
import { BellRing, DoorOpen, Mic, MicOff, StickyNote } from 'lucide-react';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { heardBy, PEOPLE } from './tinCan.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 4,
  padding: 10,
  '& .talk': {
    display: 'flex',
    alignItems: 'center',
    gap: 8,
    padding: '8px 10px',
    marginBottom: 4,
    borderRadius: 8,
    fontWeight: 650,
    color: vars?.palette.text.secondary,
    backgroundColor: vars?.palette.tokens.sunk,
  },
  '& .talk[data-on=true]': {
    color: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
  '& .signs': { display: 'flex', gap: 8, marginLeft: 'auto' },
  '& button': {
    height: 28,
    padding: '0 10px',
    textAlign: 'left',
    font: 'inherit',
    fontSize: 13,
    color: vars?.palette.text.primary,
    backgroundColor: 'transparent',
    border: 0,
    borderRadius: 6,
    cursor: 'pointer',
  },
  '& button[aria-pressed=true]': { fontWeight: 650, backgroundColor: vars?.palette.tokens.accentTint },
}));

/** Tin Can: who hears you, and the rooms that can be rung. */
export function TinCanView() {
  const dispatch = useAppDispatch();
  const can = usePrograms((rehearse) => rehearse['tin-can']);
  const { talking, muted, at, toAll, listed, ringing, doorOpen, notes, volume, lastCommand } = can;
  const heard = talking && !muted;
  return (
    <>
      <Body>
        <div className="talk" data-on={heard}>
          {muted ? <MicOff size={16} aria-hidden /> : <Mic size={16} aria-hidden />}
          {heard ? WORDS.heardBy(heardBy(can)) : WORDS.notHeard}
          <span className="signs">
            {ringing !== null && <BellRing size={16} aria-label={WORDS.rings} />}
            {doorOpen && <DoorOpen size={16} aria-label={WORDS.doorOpen} />}
            {notes > 0 && <StickyNote size={16} aria-label={WORDS.notes(notes)} />}
          </span>
        </div>
        {listed &&
          PEOPLE.map((name, i) => (
            <button
              key={name}
              type="button"
              aria-pressed={toAll || i === at}
              onClick={() =>
                dispatch(changeProgram('tin-can', (state) => ({ ...state, at: i, toAll: false })))
              }
            >
              {name}
            </button>
          ))}
      </Body>
      <StatusLine
        facts={[[WORDS.volumeName, `${volume}`]]}
        lastName={WORDS.lastCommand}
        lastCommand={lastCommand}
      />
    </>
  );
}
