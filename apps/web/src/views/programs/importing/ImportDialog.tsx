import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import { styled } from '@mui/material/styles';
import {
  type Columns,
  FORM_WORDS,
  importEdit,
  listProblemWords,
  type PlannedLine,
} from '@nimble-lever/core/programs';
import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { PlannedLines } from './PlannedLines.tsx';
import { TextFile } from './TextFile.tsx';
import { type Reading, useImportPlan } from './useImportPlan.ts';

const Body = styled('div')(({ theme: { vars, typography } }) => ({
  width: 1040,
  maxWidth: '100%',
  height: 660,
  maxHeight: '88vh',
  padding: 20,
  display: 'flex',
  flexDirection: 'column',
  gap: 10,
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& .wrong': { color: vars?.palette.tokens.brick },
  '& textarea': {
    flex: 'none',
    width: '100%',
    padding: 10,
    boxSizing: 'border-box',
    resize: 'none',
    font: 'inherit',
    fontFamily: typography.mono,
    fontSize: 12,
    lineHeight: 1.45,
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.background,
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 8,
  },
  '& .bar': { flex: 'none', display: 'flex', alignItems: 'center', gap: 12, flexWrap: 'wrap' },
  '& .fill': { flex: 1 },
  '& .MuiFormControlLabel-label': { fontSize: 12 },
}));

interface Props {
  /** Null for the commands that mean the same in most programs. */
  readonly program: string | null;
  /** The text it opens with. */
  readonly begun: string;
  readonly onClose: () => void;
}

/** A list of commands, pasted or from a file: what each line becomes is seen before anything is written. */
export function ImportDialog({ program, begun, onClose }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say } = useSay();
  const title = useId();
  const picker = useRef<HTMLInputElement>(null);
  const [text, setText] = useState(begun);
  const [columns, setColumns] = useState<Columns | null>(null);
  const [proposes, setProposes] = useState(true);
  const { reading, stop } = useImportPlan(text, program, columns, proposes);
  const name = setup.programs.find(({ id }) => id === program)?.name ?? WORDS.everywhere;
  const planned = reading.kind === 'planned' ? reading : null;
  const add = countOf(planned?.planned, 'add');
  const change = countOf(planned?.planned, 'change');
  const take = (next: string) => {
    setText(next);
    // Another list has other columns.
    setColumns(null);
  };
  const write = () => {
    const edit = planned && importEdit(setup, program, planned.planned);
    if (!edit) return;
    dispatch(makeEdit(edit));
    say(WORDS.imported(add, change));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby={title}>
      <Body>
        <h2 id={title}>{WORDS.importTitle(name)}</h2>
        <textarea
          autoFocus
          aria-label={WORDS.pasteHere}
          placeholder={WORDS.pasteHint}
          rows={4}
          // What becomes of it takes the room once it is known.
          style={{ flex: planned ? 'none' : 1 }}
          value={text}
          spellCheck={false}
          onChange={({ target }) => take(target.value)}
        />
        <div className="bar">
          <Button onClick={() => picker.current?.click()}>{WORDS.chooseFile}</Button>
          {planned && planned.planned.length > 0 && (
            <>
              <FormControlLabel
                control={
                  <Checkbox
                    size="small"
                    checked={planned.columns.headed}
                    onChange={(_event, headed) => setColumns({ ...planned.columns, headed })}
                  />
                }
                label={WORDS.headed}
              />
              <FormControlLabel
                control={
                  <Checkbox
                    size="small"
                    checked={proposes}
                    onChange={(_event, checked) => setProposes(checked)}
                  />
                }
                label={WORDS.proposes}
              />
            </>
          )}
          <span className="fill" />
          <ReadWords reading={reading} onStop={stop} />
        </div>
        {planned?.problems.slice(0, 5).map((problem) => (
          <p key={`${problem.code} ${problem.line}`} className="wrong" role="alert">
            {listProblemWords(problem)}
          </p>
        ))}
        {planned && planned.planned.length > 0 && (
          <PlannedLines planned={planned.planned} columns={planned.columns} onColumns={setColumns} />
        )}
        <div className="bar">
          <span className="fill" />
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button variant="contained" disabled={add + change === 0} onClick={write}>
            {WORDS.importIt(add, change)}
          </Button>
        </div>
        <TextFile inputRef={picker} onText={take} />
      </Body>
    </Dialog>
  );
}

function countOf(planned: readonly PlannedLine[] | undefined, kind: PlannedLine['outcome']['kind']): number {
  return planned?.filter(({ outcome }) => outcome.kind === kind).length ?? 0;
}

/** Reading is told once it takes a while. */
const TOLD_AFTER_MS = 500;

/** How far reading is, with a stop; what was read; why it was not. */
function ReadWords({
  reading,
  onStop,
}: {
  readonly reading: Reading;
  readonly onStop: () => void;
}): ReactNode {
  const isReading = reading.kind === 'reading';
  const [slow, setSlow] = useState(false);
  useEffect(() => {
    setSlow(false);
    if (!isReading) return;
    const timeout = setTimeout(() => setSlow(true), TOLD_AFTER_MS);
    return () => clearTimeout(timeout);
  }, [isReading]);
  switch (reading.kind) {
    case 'nothing':
      return null;
    case 'stopped':
      return <p role="status">{WORDS.stopped}</p>;
    case 'failed':
      return (
        <p role="alert" className="wrong">
          {WORDS.listBroken}
        </p>
      );
    case 'reading':
      return slow ? (
        <>
          <p role="status">{WORDS.reading(reading.done, reading.all)}</p>
          <LinearProgress
            variant={reading.all > 0 ? 'determinate' : 'indeterminate'}
            value={reading.all > 0 ? (100 * reading.done) / reading.all : 0}
            aria-label={WORDS.reading(reading.done, reading.all)}
            sx={{ width: 120 }}
          />
          <Button onClick={onStop}>{WORDS.stop}</Button>
        </>
      ) : null;
    case 'planned':
      return <p role="status">{WORDS.readAs(FORM_WORDS[reading.form], reading.planned.length)}</p>;
  }
}
