import { styled } from '@mui/material/styles';
import { Volume2, VolumeX } from 'lucide-react';
import { raiseWindow } from '../../app/desk/desk.ts';
import { DESK_WINDOWS } from '../../app/desk/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { WORDS } from './words.ts';

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  gap: 6,
  height: 38,
  margin: '0 12px 10px',
  padding: '0 8px',
  borderRadius: 10,
  fontSize: 12,
  color: vars?.palette.tokens.onRailSoft,
  backgroundColor: vars?.palette.tokens.rail,
  '& button': {
    height: 28,
    padding: '0 12px',
    border: 0,
    borderRadius: 7,
    font: 'inherit',
    fontSize: 13,
    color: vars?.palette.tokens.onRail,
    backgroundColor: 'transparent',
    cursor: 'pointer',
  },
  '& button:focus-visible': { outlineColor: vars?.palette.tokens.railAccent },
  '& button[aria-pressed=true]': { backgroundColor: vars?.palette.tokens.railRaised, fontWeight: 650 },
  '& .fill': { flex: 1 },
  '& .sound': { display: 'inline-flex', alignItems: 'center', gap: 6, minWidth: 88 },
}));

/** The windows by name, and the desk's sound. */
export function Taskbar() {
  const dispatch = useAppDispatch();
  const { active, volume, muted } = useAppSelector((state) => state.desk);
  return (
    <Bar role="toolbar" aria-label={WORDS.taskbar}>
      {DESK_WINDOWS.toReversed().map(({ id, name }) => (
        <button key={id} type="button" aria-pressed={id === active} onClick={() => dispatch(raiseWindow(id))}>
          {name}
        </button>
      ))}
      <span className="fill" />
      <span>{WORDS.nextWindow}</span>
      <span className="fill" />
      <span className="sound">
        {muted ? <VolumeX size={15} aria-hidden /> : <Volume2 size={15} aria-hidden />}
        {muted ? WORDS.muted : WORDS.soundAt(volume)}
      </span>
    </Bar>
  );
}
