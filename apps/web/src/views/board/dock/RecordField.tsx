import Button from '@mui/material/Button';
import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { EMPTY_RECORDING, formatShortcut, type Recording, recordKey } from '@nimble-lever/core/keys';
import { describeAction, shortcutProblemWords } from '@nimble-lever/core/words';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { recordingEnded, recordingStarted } from '../boardSlice.ts';
import { WORDS } from '../words.ts';
import type { CellEdits } from './useCellEdits.ts';

const Row = styled('div')({ display: 'flex', gap: 8, alignItems: 'center' });

const Recorder = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minWidth: 0,
  height: 32,
  display: 'flex',
  alignItems: 'center',
  gap: 8,
  padding: '0 10px',
  borderRadius: 8,
  fontSize: 12,
  color: vars?.palette.text.secondary,
  border: `2px solid ${vars?.palette.tokens.accent}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '&:focus-visible': { outline: 'none' },
  '& kbd': { color: vars?.palette.text.primary },
}));

interface Props {
  readonly edits: CellEdits;
  readonly onDone: () => void;
}

/** The shortcut of a cell: typed, or recorded by pressing it. */
export function RecordField({ edits, onDone }: Props) {
  const dispatch = useAppDispatch();
  const recording = useAppSelector((state) => state.board.recording);
  if (recording) {
    const leave = () => {
      dispatch(recordingEnded());
      onDone();
    };
    return <LiveRecorder edits={edits} onLeave={leave} />;
  }
  return <TypedShortcut edits={edits} />;
}

function TypedShortcut({ edits }: { readonly edits: CellEdits }) {
  const dispatch = useAppDispatch();
  const { cell, setup, binding, setShortcut } = edits;
  const { behaviour } = binding ?? {};
  const info =
    behaviour?.kind === 'action' ? describeAction(setup, cell.column.profile, behaviour.action) : null;
  const shown = info?.shortcut ?? '';
  const place = `${cell.at.row}/${cell.at.column}/${shown}`;
  const [draft, setDraft] = useState({ place, text: shown });
  const [problem, setProblem] = useState<string | null>(null);
  const text = draft.place === place ? draft.text : shown;
  const wrong = draft.place === place ? problem : null;

  const take = () => {
    if (text.trim() === shown) return setProblem(null);
    const refused = setShortcut(text);
    setProblem(refused ? `${shortcutProblemWords(refused)} ${shown ? `${shown} is kept.` : ''}` : null);
  };
  return (
    <div>
      <Row>
        <OutlinedInput
          fullWidth
          value={text}
          placeholder={WORDS.typeShortcut}
          error={wrong !== null}
          onChange={(event) => setDraft({ place, text: event.target.value })}
          onKeyDown={(event) => {
            if (event.key === 'Enter') take();
            if (event.key === 'Escape') setDraft({ place, text: shown });
          }}
          inputProps={{
            'aria-label': WORDS.shortcut,
            'aria-describedby': wrong ? 'shortcut-problem' : undefined,
            spellCheck: false,
            autoComplete: 'off',
            maxLength: 80,
          }}
          sx={{ '& input': { fontFamily: (theme) => theme.typography.mono } }}
        />
        <Button onClick={() => dispatch(recordingStarted())} title={`${WORDS.record} (R)`}>
          {WORDS.record}
        </Button>
      </Row>
      {wrong && (
        <FormHelperText error id="shortcut-problem" role="alert">
          {wrong}
        </FormHelperText>
      )}
    </div>
  );
}

/** Hears keys until a shortcut's keys have all come up. Escape and the button leave; Tab moves on. */
function LiveRecorder({ edits, onLeave }: { readonly edits: CellEdits; readonly onLeave: () => void }) {
  const [recording, setRecording] = useState<Recording>(EMPTY_RECORDING);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => box.current?.focus(), []);

  const hear = (event: KeyboardEvent, down: boolean) => {
    if (event.key === 'Tab') return;
    event.preventDefault();
    event.stopPropagation();
    if (event.key === 'Escape') {
      if (down) onLeave();
      return;
    }
    if (event.repeat) return;
    const next = recordKey(recording, { down, code: event.code });
    setRecording(next);
    if (next.taken) {
      edits.setShortcut(formatShortcut(next.taken));
      onLeave();
    }
  };
  const { seen, unknown } = recording;
  return (
    <Row
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) onLeave();
      }}
    >
      <Recorder
        ref={box}
        role="textbox"
        aria-readonly
        aria-label={`${WORDS.pressKeys} ${WORDS.escLeaves}.`}
        tabIndex={0}
        onKeyDown={(event) => hear(event, true)}
        onKeyUp={(event) => hear(event, false)}
      >
        <span aria-live="polite">{seen ? <Keycap shortcut={formatShortcut(seen)} /> : null}</span>
        {unknown ? WORDS.unknownKey(unknown) : seen ? '' : WORDS.pressKeys}
      </Recorder>
      <Button onClick={onLeave} title={WORDS.escLeaves}>
        {WORDS.stop}
      </Button>
    </Row>
  );
}
