import Button from '@mui/material/Button';
import FormHelperText from '@mui/material/FormHelperText';
import IconButton from '@mui/material/IconButton';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { displaySteps } from '@nimble-lever/core/keys';
import { keysByOf } from '@nimble-lever/core/setup';
import { describeAction, shortcutProblemWords } from '@nimble-lever/core/words';
import { Keyboard, TriangleAlert } from 'lucide-react';
import { useContext, useState } from 'react';
import { selectLayout } from '../app/keyboard/keyboardSlice.ts';
import { pressedAs, readPointer, readTyped, shortcutWarnings } from '../app/keyboard/typedShortcut.ts';
import { UseInstead } from '../app/keyboard/UseInstead.tsx';
import { useAppSelector } from '../app/store.ts';
import { Cap } from '../pieces/Keycap.tsx';
import { KeyboardContext } from '../pieces/keyboard.ts';
import { type ActionTarget, pointerAction, takeSteps } from './actionTarget.ts';
import { WORDS } from './words.ts';

const Row = styled('div')({ display: 'flex', gap: 6, alignItems: 'center' });
const Warning = styled('p')(({ theme: { vars } }) => ({
  // Below both fields, which keeps the words whole.
  gridColumn: '1 / -1',
  margin: '-4px 0 -2px',
  display: 'flex',
  gap: 5,
  alignItems: 'center',
  fontSize: 11,
  color: vars?.palette.text.secondary,
  '& svg': { flex: 'none', color: vars?.palette.tokens.brick },
  '& span': { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
}));

/**
 * The field in which a shortcut can be typed by its name, for those who know it and those who cannot press
 * it.
 */
interface Props {
  readonly target: ActionTarget;
  /** What stands in the empty field. */
  readonly placeholder?: string;
  readonly onRecord: () => void;
  readonly onCompose: () => void;
}

/** The shortcut of an action as the person's keyboard shows it; typed, or the way to recording and composing. */
export function TypedShortcut({ target, placeholder = WORDS.typeShortcut, onRecord, onCompose }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const layout = useAppSelector(selectLayout);
  const { setup, profile, action, programName } = target;
  const keysBy = keysByOf(setup, profile);
  const info = action && describeAction(setup, profile, action);
  const commands = setup.programs.find(({ id }) => id === profile.program)?.commands ?? [];
  const notation = info?.shortcut ?? '';
  const shown = notation && displaySteps(notation, platform, legends);
  // A draft belongs to one place and what was shown there: after an edit from elsewhere it is forgotten.
  const place = `${target.place}/${shown}`;
  const [draft, setDraft] = useState({ place, text: shown, told: [] as readonly string[] });
  const [problem, setProblem] = useState<string | null>(null);
  const same = draft.place === place;
  const text = same ? draft.text : shown;
  const wrong = same ? problem : null;
  const warnings = [
    ...new Set([...shortcutWarnings(notation, platform, layout, keysBy), ...(same ? draft.told : [])]),
  ];

  const pressed = pressedAs(notation, platform, layout, keysBy);

  const use = (chosen: string) => {
    const next = displaySteps(chosen, platform, legends);
    const command = takeSteps(target, chosen);
    // A shortcut that a command of the program has becomes that command; that is worth telling.
    const isOwn = commands.some(({ name }) => name === command);
    const words = command && (isOwn ? WORDS.usedFor(programName, command) : WORDS.usedCommonly(command));
    const used = words && command !== info?.name ? [words] : [];
    setDraft({ place: `${target.place}/${next}`, text: next, told: used });
    setProblem(null);
  };
  const take = () => {
    // Left as it was: leaving a field is no edit.
    if (text.trim() === shown) {
      setProblem(null);
      return;
    }
    const pointer = readPointer(text, platform, legends);
    if (pointer) {
      target.setAction(pointerAction(pointer));
      setDraft({ place, text: '', told: [] });
      setProblem(null);
      return;
    }
    const typed = readTyped(text, platform, legends);
    if (!typed.ok) {
      setProblem(`${shortcutProblemWords(typed.problem)} ${shown ? `${shown} is kept.` : ''}`);
      return;
    }
    use(typed.value);
  };
  return (
    <>
      <Row>
        <OutlinedInput
          fullWidth
          value={text}
          placeholder={placeholder}
          error={wrong !== null}
          onChange={(event) => setDraft({ place, text: event.target.value, told: [] })}
          onKeyDown={(event) => {
            if (event.key === 'Enter') take();
            if (event.key === 'Escape') setDraft({ place, text: shown, told: [] });
          }}
          inputProps={{
            'aria-label': WORDS.shortcut,
            'aria-describedby': wrong ? 'shortcut-problem' : undefined,
            spellCheck: false,
            autoComplete: 'off',
            maxLength: 130,
          }}
          sx={{ '& input': { fontFamily: (theme) => theme.typography.mono } }}
        />
        <Button onClick={onRecord} title={`${WORDS.record} (R)`}>
          {WORDS.record}
        </Button>
        <IconButton aria-label={WORDS.compose} title={WORDS.compose} onClick={onCompose}>
          <Keyboard size={18} aria-hidden />
        </IconButton>
      </Row>
      {wrong && (
        <FormHelperText error id="shortcut-problem" role="alert" sx={{ gridColumn: '1 / -1', mt: -0.5 }}>
          {wrong}
        </FormHelperText>
      )}
      {!wrong && !warnings[0] && pressed !== null && (
        <Warning>
          <span>
            {WORDS.pressedAs} <Cap>{pressed}</Cap>
          </span>
        </Warning>
      )}
      {!wrong && warnings[0] && (
        <Warning role="status" title={warnings.join(' ')}>
          <TriangleAlert size={13} aria-hidden />
          <span>{warnings.join(' ')}</span>
          <UseInstead notation={notation} keysBy={keysBy} onUse={use} />
        </Warning>
      )}
    </>
  );
}
