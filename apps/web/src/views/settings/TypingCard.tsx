import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { readLayout, US_LAYOUT } from '@nimble-lever/core/keys/layouts';
import { LAYOUTS, LAYOUTS_BY_NAME, type LayoutEntry } from '@nimble-lever/core/keys/layouts/list';
import { freeShortcut, readAsMadeOn, type Untypeable } from '@nimble-lever/core/setup/shortcuts';
import { shortcutProblemWords } from '@nimble-lever/core/words';
import { Check } from 'lucide-react';
import { useContext, useState } from 'react';
import { selectLayout } from '../../app/keyboard/keyboardSlice.ts';
import { layoutFile } from '../../app/keyboard/layoutFiles.ts';
import { readTyped } from '../../app/keyboard/typedShortcut.ts';
import { selectTypingReport } from '../../app/keyboard/typingReport.ts';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Card } from '../../pieces/Card.tsx';
import { Keycap } from '../../pieces/Keycap.tsx';
import { KeyboardContext } from '../../pieces/keyboard.ts';
import { WORDS } from './words.ts';

const List = styled('ul')(({ theme: { vars } }) => ({
  margin: 0,
  padding: 0,
  listStyle: 'none',
  '& li': {
    display: 'grid',
    gap: 8,
    padding: '8px 0',
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
  '& small': { marginLeft: 6, fontSize: 12, color: vars?.palette.text.secondary },
  '& .answers': { display: 'flex', gap: 6, alignItems: 'center', flexWrap: 'wrap' },
  '& [role=alert]': { color: vars?.palette.tokens.brick },
}));
const Line = styled('p')({ display: 'flex', alignItems: 'center', gap: 8 });
const Fields = styled('div')({
  display: 'grid',
  gridTemplateColumns: '320px auto',
  gap: 12,
  justifyContent: 'start',
});

/** What this computer's keyboard cannot type of the set-up, each with answers; and on which one an older one was made. */
export function TypingCard() {
  const layout = useAppSelector(selectLayout);
  const { madeOn } = useAppSelector(selectSetup);
  const { all, untypeable } = useAppSelector(selectTypingReport);
  return (
    <Card aria-labelledby="typing-settings">
      <h2 id="typing-settings">{WORDS.typing}</h2>
      {madeOn === null && <MadeOn />}
      {untypeable.length === 0 ? (
        <Line>
          <Check size={16} aria-hidden />
          {WORDS.allTyped(all, layout.name)}
        </Line>
      ) : (
        <>
          <p>{WORDS.untypeable(untypeable.length, all, layout.name)}</p>
          <List>
            {untypeable.map((each, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the same shortcut may stand at several places.
              <Answers key={`${i} ${each.place.shortcut}`} untypeable={each} />
            ))}
          </List>
        </>
      )}
    </Card>
  );
}

/** One that cannot be typed, with what may be taken for it: the same place, a free one, or what is typed in. */
function Answers({ untypeable }: { readonly untypeable: Untypeable }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { platform, legends } = useContext(KeyboardContext);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { place, why, samePlace, use } = untypeable;
  const { command } = place;
  const free = command && freeShortcut(setup, command.program, []);
  const owner = command ? `${command.program?.name ?? WORDS.common}, ${command.command.name}` : WORDS.own;
  const take = (shortcut: string) => dispatch(makeEdit(use(shortcut)));
  const takeTyped = () => {
    const typed = readTyped(text, platform, legends);
    if (typed.ok) take(typed.value);
    else setProblem(shortcutProblemWords(typed.problem));
  };
  return (
    <li>
      <span>
        {owner} <Keycap shortcut={place.shortcut} />
        <small>{WORDS.why[why]}</small>
      </span>
      <span className="answers">
        {samePlace && (
          <Button size="small" onClick={() => take(samePlace)}>
            {WORDS.samePlace}&nbsp;
            <Keycap shortcut={samePlace} />
          </Button>
        )}
        {free && (
          <Button size="small" onClick={() => take(free)}>
            {WORDS.free}&nbsp;
            <Keycap shortcut={free} />
          </Button>
        )}
        <OutlinedInput
          value={text}
          placeholder={WORDS.menuShows}
          onChange={({ target }) => {
            setText(target.value);
            setProblem(null);
          }}
          onKeyDown={({ key }) => {
            if (key === 'Enter') takeTyped();
          }}
          inputProps={{ 'aria-label': `${WORDS.menuShows}: ${owner}`, maxLength: 130 }}
          sx={{ width: 170 }}
        />
      </span>
      {problem && <span role="alert">{problem}</span>}
    </li>
  );
}

/** Asked once of a set-up whose shortcuts an older version stored as places. */
function MadeOn() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const [choice, setChoice] = useState<LayoutEntry>(LAYOUTS[0] as LayoutEntry);
  const read = async () => {
    const data = await layoutFile(choice.id)?.();
    dispatch(makeEdits(readAsMadeOn(setup, data && choice.id !== 'us' ? readLayout(data) : US_LAYOUT)));
  };
  return (
    <div>
      <h3>{WORDS.madeOn}</h3>
      <p>{WORDS.madeOnMeans}</p>
      <Fields>
        <Autocomplete
          options={LAYOUTS_BY_NAME}
          value={choice}
          getOptionLabel={({ name }) => name}
          getOptionKey={({ id }) => id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          disableClearable
          size="small"
          onChange={(_event, next) => setChoice(next)}
          renderInput={(params) => <TextField {...params} label={WORDS.layout} />}
        />
        <Button variant="contained" onClick={() => void read()}>
          {WORDS.readAnew}
        </Button>
      </Fields>
    </div>
  );
}
