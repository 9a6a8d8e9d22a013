import { styled } from '@mui/material/styles';
import type { KeysBy } from '@nimble-lever/core/keys/layouts';
import { useEffect, useRef } from 'react';
import { useRecorder } from '../../../editors/useRecorder.ts';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { WORDS } from '../words.ts';

const Box = styled('div')(({ theme: { vars } }) => ({
  width: '100%',
  height: '100%',
  display: 'flex',
  alignItems: 'center',
  padding: '0 8px',
  fontSize: 12,
  color: vars?.palette.text.secondary,
  border: `2px solid ${vars?.palette.tokens.accent}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '&:focus-visible': { outline: 'none' },
}));

interface Props {
  readonly label: string;
  readonly keysBy: KeysBy;
  readonly onTaken: (shortcut: string) => void;
  /** `back`: the keys go back to the cell. */
  readonly onLeave: (back: boolean) => void;
}

/** A cell that hears keys, and takes them when they have come up. */
export function CellRecorder({ label, keysBy, onTaken, onLeave }: Props) {
  const { seen, unknown, onKeyDown, onKeyUp } = useRecorder({
    keysBy,
    onTaken,
    onLeave: () => onLeave(true),
  });
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => box.current?.focus(), []);
  return (
    <Box
      ref={box}
      role="textbox"
      aria-readonly
      aria-label={`${label}. ${WORDS.pressKeys}`}
      tabIndex={0}
      onKeyDown={onKeyDown}
      onKeyUp={onKeyUp}
      onBlur={() => onLeave(false)}
    >
      <span aria-live="polite">{seen !== null && <Keycap shortcut={seen} />}</span>
      {seen === null && (unknown ?? WORDS.pressKeys)}
    </Box>
  );
}
