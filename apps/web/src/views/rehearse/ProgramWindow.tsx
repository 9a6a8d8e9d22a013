import { styled } from '@mui/material/styles';
import type { KeyboardEvent, ReactNode } from 'react';
import { raiseWindow } from '../../app/desk/desk.ts';
import type { DeskWindow } from '../../app/desk/deskSlice.ts';
import { useAppDispatch } from '../../app/store.ts';
import { keyArrived } from './programKeys.ts';
import type { PracticeProgram } from './rehearseSlice.ts';

const Frame = styled('section')(({ theme: { vars } }) => ({
  position: 'absolute',
  display: 'flex',
  flexDirection: 'column',
  overflow: 'hidden',
  borderRadius: 10,
  border: `1px solid ${vars?.palette.divider}`,
  boxShadow: '0 2px 6px rgb(0 0 0 / 0.14)',
  backgroundColor: vars?.palette.tokens.sheet,
  '& > header': {
    flex: 'none',
    height: 30,
    display: 'flex',
    alignItems: 'center',
    padding: '0 12px',
    fontSize: 12,
    fontWeight: 650,
    color: vars?.palette.text.secondary,
    backgroundColor: vars?.palette.tokens.background,
    borderBottom: `1px solid ${vars?.palette.divider}`,
  },
  '&[data-active=true]': {
    border: `2px solid ${vars?.palette.tokens.accent}`,
    boxShadow: '0 6px 22px rgb(0 0 0 / 0.22)',
  },
  '&[data-active=true] > header': {
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
}));

const Body = styled('div')({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  '&:focus-visible': { outlineOffset: -3 },
});

interface Props {
  readonly window: DeskWindow & { readonly id: PracticeProgram };
  readonly place: Readonly<Record<'left' | 'top' | 'width' | 'height', string>>;
  readonly depth: number;
  readonly active: boolean;
  readonly onWheel?: (ticks: number) => void;
  readonly children: ReactNode;
}

/** A window of a practice program. Touching it brings it to the front; keys that reach it run its commands. */
export function ProgramWindow({ window, place, depth, active, onWheel, children }: Props) {
  const dispatch = useAppDispatch();
  const raise = () => dispatch(raiseWindow(window.id));
  const onKeyDown = (event: KeyboardEvent) => dispatch(keyArrived(window.id, window.name, event));
  return (
    <Frame
      aria-label={window.title}
      data-program={window.id}
      data-active={active}
      style={{ ...place, zIndex: depth }}
      onPointerDownCapture={raise}
    >
      <header>{window.title}</header>
      <Body
        data-keys=""
        role="application"
        aria-label={window.name}
        tabIndex={0}
        onFocus={raise}
        onKeyDown={onKeyDown}
        onWheel={(event) => onWheel?.(-Math.sign(event.deltaY))}
      >
        {children}
      </Body>
    </Frame>
  );
}
