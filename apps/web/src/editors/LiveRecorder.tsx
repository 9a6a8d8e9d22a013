import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { KeysBy } from '@nimble-lever/core/keys/layouts';
import { useEffect, useRef, useState } from 'react';
import { Keycap } from '../pieces/Keycap.tsx';
import { useRecorder } from './useRecorder.ts';
import { WORDS } from './words.ts';

const Row = styled('div')({
  display: 'flex',
  gap: 8,
  alignItems: 'center',
  gridColumn: '1 / -1',
  // On a narrow page the shortcut has a line of its own.
  '@media (max-width: 1120px)': { flexWrap: 'wrap' },
  '& button': { minWidth: 0, padding: '0 10px' },
});
const Recorder = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minWidth: 0,
  '@media (max-width: 1120px)': { flexBasis: '100%' },
  height: 32,
  display: 'flex',
  alignItems: 'center',
  gap: 8,
  padding: '0 10px',
  borderRadius: 8,
  fontSize: 12,
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  color: vars?.palette.text.secondary,
  border: `2px solid ${vars?.palette.tokens.accent}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '&:focus-visible': { outline: 'none' },
  '& kbd': { color: vars?.palette.text.primary },
}));

/** What becomes of keys that are pressed while the recorder listens. */
interface Props {
  /** Takes a shortcut in our notation, steps parted by commas; gives the name of the command that has it. */
  readonly onTaken: (notation: string) => string | null;
  /** What reads it goes by. */
  readonly keysBy: KeysBy;
  readonly onCompose: () => void;
  readonly onLeave: () => void;
}

/**
 * Hears keys until a shortcut's keys have all come up, and takes it; the next one replaces it at once, or becomes a
 * further step where that was asked for. Escape and the button leave; Tab moves on.
 */
export function LiveRecorder({ onTaken, keysBy, onCompose, onLeave }: Props) {
  const [taken, setTaken] = useState<readonly string[]>([]);
  const [further, setFurther] = useState(false);
  const [command, setCommand] = useState<string | null>(null);
  const box = useRef<HTMLDivElement>(null);
  // Keys are heard only where the focus is, so that nothing is recorded that the person did not mean.
  useEffect(() => box.current?.focus(), []);

  const { seen, unknown, isBusy, onKeyDown, onKeyUp } = useRecorder({
    keysBy,
    onLeave,
    onTaken: (shortcut) => {
      const steps = [...(further ? taken : []), shortcut];
      setTaken(steps);
      setFurther(false);
      setCommand(onTaken(steps.join(', ')));
    },
  });
  const words = unknown
    ? WORDS.unknownKey(unknown)
    : isBusy
      ? ''
      : further
        ? WORDS.pressNext
        : taken.length > 0
          ? WORDS.taken(command)
          : WORDS.pressKeys;
  const shown = seen === null ? taken : [...(further ? taken : []), seen];
  return (
    <Row
      onBlur={(event) => {
        // Left by a click elsewhere: it would go on swallowing keys unseen.
        if (!event.currentTarget.contains(event.relatedTarget)) onLeave();
      }}
    >
      <Recorder
        ref={box}
        role="textbox"
        aria-readonly
        aria-label={`${WORDS.pressKeys} ${WORDS.escLeaves}.`}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onKeyUp={onKeyUp}
      >
        <span aria-live="polite">{shown.length > 0 && <Keycap shortcut={shown.join(', ')} />}</span>
        {words}
      </Recorder>
      <Button
        disabled={taken.length === 0 || taken.length > 3}
        title={WORDS.furtherMeans}
        onClick={() => {
          setFurther(true);
          box.current?.focus();
        }}
      >
        {WORDS.further}
      </Button>
      <Button onClick={onCompose} title={WORDS.composeMeans}>
        {WORDS.otherKeys}
      </Button>
      <Button onClick={onLeave} title={WORDS.escLeaves}>
        {WORDS.stop}
      </Button>
    </Row>
  );
}
