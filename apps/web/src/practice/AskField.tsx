import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { asksNow, MOST_ANSWER } from '@nimble-lever/core/engine';
import { macroName } from '@nimble-lever/core/words';
import { type SyntheticEvent, useEffect, useId, useRef } from 'react';
import { feed } from '../app/engine/feed.ts';
import { selectSetup } from '../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { WORDS } from './words.ts';

const Box = styled('form')(({ theme: { vars } }) => ({
  position: 'absolute',
  // Over all windows, and what shows over them.
  zIndex: 80,
  top: 24,
  left: '50%',
  transform: 'translateX(-50%)',
  width: 'min(340px, calc(100% - 24px))',
  display: 'flex',
  flexDirection: 'column',
  gap: 10,
  padding: 16,
  borderRadius: 12,
  border: `1px solid ${vars?.palette.divider}`,
  boxShadow: '0 12px 34px rgb(0 0 0 / 0.3)',
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& .asked': { display: 'flex', flexDirection: 'column', gap: 4, fontSize: 12 },
  '& .acts': { display: 'flex', gap: 8, justifyContent: 'flex-end' },
}));

interface Props {
  /** Of the macro that asks. */
  readonly name: string;
  readonly questions: readonly string[];
  /** A text for each question; null where nobody wants to answer. */
  readonly onAnswer: (texts: readonly string[] | null) => void;
}

/** A macro asks before it types: a small field at the desk. It has the keys while it asks, and gives them back. */
export function AskField({ name, questions, onAnswer }: Props) {
  const id = useId();
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    let before: Element | null = null;
    // A press that asks gives the keys to what was pressed, right after.
    const soon = setTimeout(() => {
      before = document.activeElement;
      form.current?.querySelector('input')?.focus();
    });
    return () => {
      clearTimeout(soon);
      if (before instanceof HTMLElement || before instanceof SVGElement)
        before.focus({ preventScroll: true });
    };
  }, []);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    const inputs = form.current?.querySelectorAll('input') ?? [];
    onAnswer([...inputs].map(({ value }) => value));
  };
  return (
    <Box
      ref={form}
      role="dialog"
      aria-labelledby={id}
      onSubmit={submit}
      // What is typed and pressed here is not meant for a program.
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') onAnswer(null);
      }}
      onPointerDown={(event) => event.stopPropagation()}
    >
      <h2 id={id}>{WORDS.asks(name)}</h2>
      {questions.map((question, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the text.
        <div key={i} className="asked">
          <label htmlFor={`${id} ${i}`}>{question || WORDS.askedFor}</label>
          <OutlinedInput
            id={`${id} ${i}`}
            size="small"
            inputProps={{ maxLength: MOST_ANSWER, spellCheck: false }}
          />
        </div>
      ))}
      <div className="acts">
        <Button onClick={() => onAnswer(null)}>{WORDS.stopMacro}</Button>
        <Button type="submit" variant="contained">
          {WORDS.answer}
        </Button>
      </div>
    </Box>
  );
}

/** What a macro of the page's own engine asks. */
export function AskOverlay() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const asks = useAppSelector(
    (state) => asksNow(state.engine.engine),
    (a, b) => a?.macro === b?.macro && a?.run === b?.run && a?.questions === b?.questions,
  );
  if (!asks) return null;
  const { macro, run, questions } = asks;
  return (
    <AskField
      key={`${run} ${questions.join()}`}
      name={macroName(setup, macro)}
      questions={questions}
      onAnswer={(texts) => dispatch(feed({ kind: 'answer', macro, texts: texts && [...texts] }))}
    />
  );
}
