import { styled } from '@mui/material/styles';
import { LayoutGrid, Mic, Monitor, Volume2, VolumeX } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { DESK_WINDOWS, selectDesk } from './deskSlice.ts';
import { commandWindows, raiseWindow } from './frontWindow.ts';
import { usePrograms } from './programsSlice.ts';
import { WORDS } from './words.ts';

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  gap: 3,
  height: 38,
  margin: '0 12px 10px',
  padding: '0 8px',
  borderRadius: 10,
  fontSize: 12,
  color: vars?.palette.tokens.onRailSoft,
  backgroundColor: vars?.palette.tokens.rail,
  '& button': {
    height: 28,
    padding: '0 9px',
    display: 'inline-flex',
    alignItems: 'center',
    gap: 5,
    border: 0,
    borderRadius: 7,
    font: 'inherit',
    fontSize: 13,
    color: vars?.palette.tokens.onRail,
    backgroundColor: 'transparent',
    cursor: 'pointer',
  },
  '& button:focus-visible': { outlineColor: vars?.palette.tokens.railAccent },
  '& button[data-open=false]': { color: vars?.palette.tokens.onRailSoft },
  '& button svg': { color: vars?.palette.tokens.railAccent },
  '& button[aria-pressed=true]': { backgroundColor: vars?.palette.tokens.railRaised, fontWeight: 650 },
  whiteSpace: 'nowrap',
  '& .fill': { flex: 1 },
  '& .hint': { marginRight: 12 },
  // On a narrow page every name still has its place; the longest give way first.
  '& button.program': { minWidth: 0, flexShrink: 1, overflow: 'hidden' },
  '& button.program span': { overflow: 'hidden', textOverflow: 'ellipsis' },
  '@media (max-width: 1180px)': {
    gap: 1,
    '& .hint': { display: 'none' },
    '& button': { padding: '0 5px', fontSize: 12 },
    '& .sound': { minWidth: 0 },
    // The sign stays, and says it where it is pointed at.
    '& .loud': { display: 'none' },
  },
  '& .sound': { display: 'inline-flex', alignItems: 'center', gap: 6, minWidth: 78 },
}));

/** What the desk can do with all windows at once. */
const DESK_ICONS = { 'all-windows': LayoutGrid, 'show-desk': Monitor } as const;

/** The windows of the computer that is shown, by name; of this one, its sound as well. */
export function Taskbar() {
  const dispatch = useAppDispatch();
  const { active, order, volume, muted, shown, fronts, overview, putAway } = useAppSelector(selectDesk);
  const isHere = shown === null;
  const inFront = isHere ? active : (fronts[shown] ?? null);
  const talks = usePrograms((rehearse) => rehearse['tin-can'].talking);
  return (
    <Bar role="toolbar" aria-label={WORDS.taskbar}>
      {/* Every program has its place, open or not: where one looked for it yesterday, it is today. } */}
      {DESK_WINDOWS.filter(({ isDialog }) => !isDialog).map(({ id, name }) => (
        <button
          key={id}
          type="button"
          className="program"
          title={name}
          aria-pressed={id === inFront}
          data-open={isHere ? order.includes(id) : id === inFront}
          onClick={() => dispatch(raiseWindow(id, shown))}
        >
          <span>{name}</span>
          {/* Whether one is heard must be seen from every program. } */}
          {isHere && id === 'tin-can' && talks && <Mic size={13} aria-label={WORDS.talks} />}
        </button>
      ))}
      <span className="fill" />
      {isHere && (
        <>
          <span className="hint" title={WORDS.nextWindow}>
            {WORDS.next}
          </span>
          {(['all-windows', 'show-desk'] as const).map((command) => {
            const Icon = DESK_ICONS[command];
            return (
              <button
                key={command}
                type="button"
                aria-label={WORDS.windowCommands[command]}
                title={WORDS.windowCommands[command]}
                aria-pressed={command === 'all-windows' ? overview : putAway.length > 0}
                onClick={() => dispatch(commandWindows(command))}
              >
                <Icon size={15} aria-hidden />
              </button>
            );
          })}
          <span className="sound" title={muted ? WORDS.muted : WORDS.soundAt(volume)}>
            {muted ? <VolumeX size={15} aria-hidden /> : <Volume2 size={15} aria-hidden />}
            <span className="loud">{muted ? WORDS.muted : WORDS.soundAt(volume)}</span>
          </span>
        </>
      )}
    </Bar>
  );
}
