import { styled } from '@mui/material/styles';
import type { Compiled } from '@nimble-lever/core/engine';
import { type FrontWindow, resolveProfile } from '@nimble-lever/core/resolve';
import type { Setup } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { Pin } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useLocation } from 'react-router';
import { useEngine } from '../engine/useEngine.ts';
import { selectCompiled, selectSetup } from '../setup/selectors.ts';
import { useAppSelector } from '../store.ts';
import { untilRead } from './untilRead.ts';
import { WORDS } from './words.ts';

/** Read when it is first opened. */
const FrontMenu = lazy(async () => ({
  default: (await untilRead(() => import('./FrontMenu.tsx'))).FrontMenu,
}));

const Chip = styled('button')(({ theme: { vars } }) => ({
  display: 'flex',
  // What does not fit beside the name goes to a second line, which is not seen: words are whole or not there.
  flexWrap: 'wrap',
  alignContent: 'flex-start',
  overflow: 'hidden',
  alignItems: 'center',
  gap: 8,
  height: 34,
  padding: '0 12px',
  minWidth: 0,
  border: 0,
  borderRadius: 8,
  font: 'inherit',
  fontSize: 13,
  cursor: 'pointer',
  whiteSpace: 'nowrap',
  color: vars?.palette.text.primary,
  backgroundColor: vars?.palette.tokens.accentTint,
  '& .dot': {
    width: 8,
    height: 8,
    borderRadius: 4,
    flex: 'none',
    backgroundColor: vars?.palette.tokens.accent,
  },
  '& b': { fontWeight: 650 },
  '& > *': { lineHeight: '34px' },
  '@media (max-width: 1180px)': { '& .more': { display: 'none' } },
  '& svg': { color: vars?.palette.tokens.accent, flex: 'none' },
}));

/** Which program is in front; opens the choice of pinning a profile or going back to automatic, and of set-ups. */
export function FrontChip() {
  const setup = useAppSelector(selectSetup);
  const engine = useEngine();
  const frontDelay = useAppSelector((state) => state.engine.frontDelay);
  const frontSince = useAppSelector((state) => state.engine.frontSince);
  const rehearsing = useLocation().pathname === '/rehearse';
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const compiled = useAppSelector(selectCompiled);
  const name = engine.front ? frontName(setup, compiled, engine.front) : WORDS.nothing;
  // A pinned profile decides, whatever is in front: that is what is named then.
  const shown = engine.pinned ? profileName(setup, engine.pinned) : name;
  // How quick the change was is of interest where one tries it; elsewhere, who follows it.
  const changed = rehearsing && frontDelay !== null && !engine.pinned;
  const more = changed ? WORDS.changed(frontDelay) : followWords(setup);
  const since = frontSince === null ? WORDS.chip : WORDS.since(timeWords(frontSince));
  return (
    <>
      <Chip
        type="button"
        aria-haspopup="menu"
        title={since}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {engine.pinned ? <Pin size={14} aria-hidden /> : <span className="dot" />}
        <span>
          {engine.pinned ? WORDS.pinned : WORDS.inFront} <b>{shown}</b>
        </span>
        <span className="more">{more}</span>
      </Chip>
      {anchor && (
        <Suspense fallback={null}>
          <FrontMenu anchor={anchor} pinned={engine.pinned} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </>
  );
}

/** What the window in front is called: as its profile, or by its executable where no rule fits. */
function frontName(setup: Setup, { rules }: Compiled, window: FrontWindow): string {
  const { because, profile } = resolveProfile(rules, window, null);
  return because === 'rule' ? profileName(setup, profile) : window.executable;
}

/** `— dial, pad and mouse follow it`, from the kinds of device in the rig. */
function followWords(setup: Setup): string {
  const kinds = [...new Set(setup.devices.map(({ kind }) => WORDS.kinds[kind]))];
  if (kinds.length === 0) return '';
  const words = new Intl.ListFormat('en', { type: 'conjunction' }).format(kinds).replace(', and ', ' and ');
  return WORDS.follows(words, kinds.length);
}

/** A time of day as the person's system writes it. */
function timeWords(milliseconds: number): string {
  return new Date(milliseconds).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
}
