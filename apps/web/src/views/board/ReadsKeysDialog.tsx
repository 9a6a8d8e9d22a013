import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { styled } from '@mui/material/styles';
import { formatShortcut, parseShortcut } from '@nimble-lever/core/keys';
import { type Layout, resolveShortcut } from '@nimble-lever/core/keys/layouts';
import { type Command, itemAt, type Program } from '@nimble-lever/core/setup';
import { selectLayout } from '../../app/keyboard/keyboardSlice.ts';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Keycap } from '../../pieces/Keycap.tsx';
import { WORDS } from './words.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  width: 520,
  maxWidth: '100%',
  padding: 20,
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& h3': { margin: 0, fontSize: 12, fontWeight: 650, color: vars?.palette.text.secondary },
  '& p': { margin: 0 },
  '& .buttons': { display: 'flex', gap: 8 },
  '& .end': { display: 'flex', justifyContent: 'flex-end' },
}));

/** A program by its id; it may be gone when another page removes it. */
interface Props {
  readonly program: string;
  readonly onClose: () => void;
}

/** What a program goes by when it reads keys, and how to find out by one press. */
export function ReadsKeysDialog({ program: id, onClose }: Props) {
  const dispatch = useAppDispatch();
  const layout = useAppSelector(selectLayout);
  const program = useAppSelector(selectSetup).programs.find((own) => own.id === id);
  if (!program) return null;
  const { name, keysBy } = program;
  const set = (next: Program['keysBy']) => {
    if (next !== keysBy)
      dispatch(makeEdit({ kind: 'set', at: itemAt.program(id), fields: { keysBy: next } }));
  };
  const test = tellingCommand(program, layout);
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby="reads-keys">
      <Body>
        <h2 id="reads-keys">{WORDS.readsKeysOf(name)}</h2>
        <p>{WORDS.readsKeysMeans}</p>
        <RadioGroup
          aria-label={WORDS.readsKeysOf(name)}
          value={keysBy}
          onChange={(_event, value) => set(value === 'place' ? 'place' : 'character')}
        >
          <FormControlLabel value="character" control={<Radio size="small" />} label={WORDS.byCharacter} />
          <FormControlLabel value="place" control={<Radio size="small" />} label={WORDS.byPlace} />
        </RadioGroup>
        <h3>{WORDS.findOut}</h3>
        {test ? (
          <>
            <p>
              {WORDS.pressIn(name)} <Keycap shortcut={test.place} />. {WORDS.ifItDoes(test.command.name)}
            </p>
            <div className="buttons">
              <Button onClick={() => set('place')}>{WORDS.itDid(test.command.name)}</Button>
              <Button onClick={() => set('character')}>{WORDS.itDidNot}</Button>
            </div>
          </>
        ) : (
          <p>{WORDS.bothTheSame(layout.name)}</p>
        )}
        <div className="end">
          <Button variant="contained" onClick={onClose}>
            {WORDS.done}
          </Button>
        </div>
      </Body>
    </Dialog>
  );
}

/** A command whose key is elsewhere than on a United States keyboard, with that place: undo, where there is one. */
function tellingCommand(
  { commands }: Program,
  layout: Layout,
): { readonly command: Command; readonly place: string } | null {
  const found = commands.flatMap((command) => {
    const parsed = parseShortcut(command.shortcut);
    if (!parsed.ok || parsed.value.key?.kind !== 'character') return [];
    const [here, there] = (['character', 'place'] as const).map((by) =>
      resolveShortcut(parsed.value, layout, by),
    );
    if (!here?.ok || !there?.ok || here.value.codes.join() === there.value.codes.join()) return [];
    const code = there.value.codes.at(-1) ?? '';
    const shift = there.value.codes.includes('ShiftLeft');
    return [{ command, place: formatShortcut({ ...parsed.value, shift, key: { kind: 'place', code } }) }];
  });
  return found.find(({ command }) => command.intent === 'undo') ?? found[0] ?? null;
}
