import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import {
  BARE,
  formatShortcut,
  KEY_BY_CODE,
  KEY_TABLE,
  legendOf,
  type ModifierName,
  modifierCodes,
  modifierOf,
  type Shortcut,
  searchKeys,
} from '@nimble-lever/core/keys';
import { type KeysBy, meaningOf } from '@nimble-lever/core/keys/layouts';
import { useContext, useState } from 'react';
import { selectLayout } from '../app/keyboard/keyboardSlice.ts';
import { shortcutWarnings } from '../app/keyboard/typedShortcut.ts';
import { UseInstead } from '../app/keyboard/UseInstead.tsx';
import { useAppSelector } from '../app/store.ts';
import { DrawnKeyboard } from '../pieces/DrawnKeyboard.tsx';
import { Keycap } from '../pieces/Keycap.tsx';
import { KeyboardContext } from '../pieces/keyboard.ts';
import { WORDS } from './words.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 14,
  padding: 20,
  overflow: 'auto',
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
}));
const Line = styled('div')({ display: 'flex', gap: 10, alignItems: 'center', minHeight: 32 });
const Found = styled('div')({ flex: 1, maxWidth: 740, display: 'flex', flexWrap: 'wrap', gap: 6 });

/** A shortcut put together from keys on screen, for those that the browser or the system keeps to itself. */
interface Props {
  readonly open: boolean;
  /** What reads it goes by. */
  readonly keysBy: KeysBy;
  /** Takes a shortcut in our notation, steps parted by commas. */
  readonly onUse: (notation: string) => void;
  readonly onClose: () => void;
}

/** Keys beside those of the drawn keyboard, by kind. */
const FURTHER = KEY_TABLE.filter(
  ({ kind, code }) =>
    ['media', 'browser', 'launch', 'language'].includes(kind) || /^F(1[3-9]|2\d)$/.test(code),
);

/** A shortcut put together from keys on screen: for what the system or the browser keeps, and keys one lacks. */
export function Composer({ open, keysBy, onUse, onClose }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const layout = useAppSelector(selectLayout);
  const [held, setHeld] = useState<Readonly<Record<ModifierName, boolean>>>(BARE);
  const [key, setKey] = useState<string | null>(null);
  const [asPlace, setAsPlace] = useState(false);
  const [before, setBefore] = useState<readonly string[]>([]);
  const [typed, setTyped] = useState('');
  const clear = () => {
    setHeld(BARE);
    setKey(null);
  };
  const close = () => {
    clear();
    setAsPlace(false);
    setBefore([]);
    setTyped('');
    onClose();
  };
  const choose = (chosen: string) => {
    onUse(chosen);
    close();
  };
  // Modifiers add up, a further key takes the place of the one before: a shortcut has one.
  const toggle = (code: string) => {
    const modifier = modifierOf(code);
    if (modifier) setHeld({ ...held, [modifier]: !held[modifier] });
    else setKey(key === code ? null : code);
  };
  const writes = key !== null && KEY_BY_CODE.get(key)?.kind === 'writing';
  const shortcut: Shortcut =
    key === null
      ? { ...held, key: null }
      : asPlace && writes
        ? { ...held, key: { kind: 'place', code: key } }
        : meaningOf({ code: key, value: null, held }, layout, keysBy);
  const isSomething = formatShortcut(shortcut) !== '';
  const notation = [...before, ...(isSomething ? [formatShortcut(shortcut)] : [])].join(', ');
  const pressed = new Set([...modifierCodes(held), ...(key ? [key] : [])]);
  // Without a search, the keys one rarely has: those of the keyboard are drawn already.
  const keys = typed.trim() === '' ? FURTHER : searchKeys(typed);
  const warnings = shortcutWarnings(notation, platform, layout, keysBy);
  return (
    <Dialog open={open} onClose={close} maxWidth={false} aria-labelledby="composer">
      <Body>
        <h2 id="composer">{WORDS.composeTitle}</h2>
        <DrawnKeyboard pressed={pressed} onKey={toggle} whole />
        <Line>
          <OutlinedInput
            value={typed}
            placeholder={WORDS.searchKey}
            onChange={({ target }) => setTyped(target.value)}
            inputProps={{ 'aria-label': WORDS.searchKey }}
            sx={{ width: 220, flex: 'none', alignSelf: 'flex-start' }}
          />
          <Found aria-label={WORDS.keysFound} role="group">
            {keys.slice(0, 24).map(({ code }) => (
              <Button
                key={code}
                size="small"
                variant={pressed.has(code) ? 'contained' : 'outlined'}
                title={code}
                aria-pressed={pressed.has(code)}
                onClick={() => toggle(code)}
              >
                {legendOf(code, platform, legends)}
              </Button>
            ))}
            {keys.length === 0 && <p>{WORDS.noKeyFound}</p>}
          </Found>
        </Line>
        <Line role="status">
          {notation ? <Keycap shortcut={notation} /> : <p>{WORDS.composeHint}</p>}
          {warnings.length > 0 && <p>{warnings.join(' ')}</p>}
          <UseInstead notation={notation} keysBy={keysBy} onUse={choose} />
        </Line>
        <Line>
          <Button variant="contained" disabled={notation === ''} onClick={() => choose(notation)}>
            {WORDS.use}
          </Button>
          <Button
            // Three steps before the last: more nobody remembers, and the format takes four.
            disabled={!isSomething || before.length > 2}
            onClick={() => {
              setBefore([...before, formatShortcut(shortcut)]);
              clear();
            }}
          >
            {WORDS.further}
          </Button>
          <Button onClick={close}>{WORDS.cancel}</Button>
          <FormControlLabel
            sx={{ ml: 'auto' }}
            title={WORDS.asPlaceMeans}
            control={
              <Checkbox
                size="small"
                checked={asPlace}
                disabled={keysBy === 'place'}
                onChange={({ target }) => setAsPlace(target.checked)}
              />
            }
            label={WORDS.asPlace}
          />
        </Line>
      </Body>
    </Dialog>
  );
}
