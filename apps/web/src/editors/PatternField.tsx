import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { compilePattern, type Pattern } from '@nimble-lever/core/setup';
import { regexProblemWords } from '@nimble-lever/core/words';
import { useId, useState } from 'react';
import { ChoiceField } from '../pieces/ChoiceField.tsx';
import { WORDS } from './words.ts';

/** How a field of a window is compared; `any`: it is not asked for. */
type Match = Pattern['match'] | 'any';

interface Props {
  /** What is compared. */
  readonly name: string;
  readonly pattern: Pattern | null;
  /** What stands there first where nothing was asked before. */
  readonly suggested: string;
  readonly onChange: (pattern: Pattern | null) => void;
}

/** What a rule asks of one field of a window. An expression that cannot be is told, and what was typed is kept. */
export function PatternField({ name, pattern, suggested, onChange }: Props) {
  const [match, setMatch] = useState<Match>(pattern?.match ?? 'any');
  const [text, setText] = useState(pattern?.text ?? '');
  const [wrong, setWrong] = useState<string | null>(null);
  const problem = useId();
  const take = (how: Match, typed: string) => {
    setWrong(null);
    if (how === 'any') return pattern !== null && onChange(null);
    const next = { match: how, text: typed.trim() };
    // Nothing to compare with yet: it is asked for once something is typed.
    if (next.text === '') return;
    const compiled = compilePattern(next);
    if (!compiled.ok) return setWrong(regexProblemWords(compiled.problem));
    if (next.match !== pattern?.match || next.text !== pattern.text) onChange(next);
  };
  const choose = (how: Match) => {
    const begun = text === '' ? suggested : text;
    setMatch(how);
    if (how !== 'any') setText(begun);
    take(how, begun);
  };
  return (
    <>
      <span aria-hidden>{name}</span>
      <ChoiceField<Match>
        label={WORDS.matchOf(name)}
        value={match}
        options={(['any', 'exact', 'glob', 'regex'] as const).map((each) => [each, WORDS.matches[each]])}
        onChange={choose}
      />
      <OutlinedInput
        value={match === 'any' ? '' : text}
        disabled={match === 'any'}
        error={wrong !== null}
        onChange={({ target }) => setText(target.value)}
        onBlur={() => take(match, text)}
        onKeyDown={({ key }) => {
          if (key === 'Enter') take(match, text);
          if (key === 'Escape') setText(pattern?.text ?? '');
        }}
        inputProps={{
          'aria-label': WORDS.textOf(name),
          'aria-describedby': wrong ? problem : undefined,
          maxLength: 200,
          spellCheck: false,
        }}
        sx={{
          height: 28,
          visibility: match === 'any' ? 'hidden' : 'visible',
          '& input': { fontSize: 12, fontFamily: (theme) => theme.typography.mono },
        }}
      />
      {wrong && (
        <FormHelperText error role="alert" id={problem} sx={{ gridColumn: '2 / -1', mt: -0.5 }}>
          {wrong}
        </FormHelperText>
      )}
    </>
  );
}
