import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { foldName } from '@nimble-lever/core/devices';
import { type IntentUse, intentFrom, intentUses, renameIntent } from '@nimble-lever/core/programs';
import { intentName, programName } from '@nimble-lever/core/words';
import { useMemo, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { useDraft } from '../../../app/useDraft.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  padding: '10px 16px',
  '& > p': { margin: '0 0 10px', fontSize: 12, color: vars?.palette.text.secondary },
  '& ul': { margin: '10px 0 0', padding: 0, listStyle: 'none' },
  '& li': {
    display: 'grid',
    gridTemplateColumns: '220px minmax(0, 1fr) auto',
    alignItems: 'center',
    gap: 12,
    padding: '5px 0',
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
  '& .who': { display: 'flex', flexWrap: 'wrap', gap: 5, fontSize: 12 },
  '& .who button, & .who span': {
    padding: '1px 8px',
    borderRadius: 6,
    border: 0,
    font: 'inherit',
    fontSize: 12,
    minHeight: 24,
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.background,
  },
  '& .who button': { cursor: 'pointer' },
  '& .who span': { color: vars?.palette.text.secondary, backgroundColor: 'transparent' },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
}));

interface Props {
  readonly onShow: (program: string | null) => void;
}

/** Every idea that commands of several programs can share: what it is called, and which programs have it. */
export function IntentsTab({ onShow }: Props) {
  const setup = useAppSelector(selectSetup);
  const uses = useMemo(() => intentUses(setup), [setup]);
  const [search, setSearch] = useState('');
  const wanted = foldName(search.trim());
  const shown = uses.filter(({ intent }) => foldName(intent.replaceAll('-', ' ')).includes(wanted));
  return (
    <Box>
      <p>{WORDS.intentsMean}</p>
      <OutlinedInput
        value={search}
        placeholder={WORDS.searchIntents}
        onChange={({ target }) => setSearch(target.value)}
        onKeyDown={({ key }) => key === 'Escape' && setSearch('')}
        inputProps={{ 'aria-label': WORDS.searchIntents, type: 'search', spellCheck: false }}
        sx={{ width: 220 }}
      />
      <ul>
        {shown.map((use) => (
          <IntentLine key={use.intent} use={use} all={uses} onShow={onShow} />
        ))}
        {shown.length === 0 && <li>{WORDS.noIntentCalled}</li>}
      </ul>
    </Box>
  );
}

interface LineProps extends Props {
  readonly use: IntentUse;
  readonly all: readonly IntentUse[];
}

function IntentLine({ use: { intent, programs, asked }, all, onShow }: LineProps) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say } = useSay();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const name = intentName(intent);
  const rename = (to: string, words: string) => {
    const edit = renameIntent(setup, intent, to);
    if (!edit) return;
    dispatch(makeEdit(edit));
    say(words);
  };
  const draft = useDraft(name, (text) => {
    const to = text.trim() === '' ? intent : intentFrom(text);
    const isOther = all.some((other) => other.intent === to) && to !== intent;
    rename(to, isOther ? WORDS.merged(name, intentName(to)) : WORDS.renamed(name, intentName(to)));
  });
  return (
    <li>
      <OutlinedInput {...draft} inputProps={{ 'aria-label': WORDS.intentName(name), maxLength: 60 }} />
      <span className="who">
        {programs.map((program) => (
          <button key={program ?? ''} type="button" onClick={() => onShow(program)}>
            {program === null ? WORDS.everywhere : programName(setup, program)}
          </button>
        ))}
        {asked > 0 && <span>{WORDS.askedBy(asked)}</span>}
      </span>
      <Button
        aria-label={WORDS.mergeOf(name)}
        aria-haspopup="menu"
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {WORDS.merge}
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        slotProps={{ paper: { sx: { maxHeight: 420 } } }}
      >
        {all
          .filter((other) => other.intent !== intent)
          .map((other) => (
            <MenuItem
              key={other.intent}
              onClick={() => {
                setAnchor(null);
                rename(other.intent, WORDS.merged(name, intentName(other.intent)));
              }}
            >
              {intentName(other.intent)}
            </MenuItem>
          ))}
      </Menu>
    </li>
  );
}
