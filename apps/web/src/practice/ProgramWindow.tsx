import { styled } from '@mui/material/styles';
import type { Message } from '@nimble-lever/core/setup';
import { type KeyboardEvent, type ReactNode, useEffect, useRef } from 'react';
import { useAppDispatch } from '../app/store.ts';
import type { DeskWindow } from './deskSlice.ts';
import { commandWindows, raiseWindow } from './frontWindow.ts';
import { ProgramMenus } from './ProgramMenu.tsx';
import { keyArrived, keyLeft, messageArrived, textArrived, wheelArrived } from './programKeys.ts';
import { type PracticeProgram, standInOf } from './programs/standIns.ts';
import { WindowMenu } from './WindowMenu.tsx';
import { WHEEL_PX } from './wheelPx.ts';

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
    justifyContent: 'space-between',
    padding: '0 6px 0 12px',
    fontSize: 12,
    fontWeight: 650,
    color: vars?.palette.text.secondary,
    backgroundColor: vars?.palette.tokens.background,
    borderBottom: `1px solid ${vars?.palette.divider}`,
  },
  '& .title': { minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .menus': { flex: 'none' },
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

/** Whether what is typed goes to a window of the desk; one that is closed is not left, and tells nothing. */
let hasKeys = false;

/** A window of the practice desk: where it is, and whether it is seen and has the keys. */
interface Props {
  readonly window: DeskWindow & { readonly id: PracticeProgram };
  readonly place: Readonly<Record<'left' | 'top' | 'width' | 'height', string>>;
  readonly depth: number;
  readonly active: boolean;
  /** It runs, but its window is not shown. */
  readonly hidden: boolean;
  /** Another desk is shown before it; it keeps its place, so that the pointer still points into it. */
  readonly covered: boolean;
  readonly children: ReactNode;
}

/** A window of a practice program. Touching it brings it to the front; keys that reach it run its commands. */
export function ProgramWindow({ window, place, depth, active, hidden, covered, children }: Props) {
  const dispatch = useAppDispatch();
  const raise = () => dispatch(raiseWindow(window.id));
  const body = useRef<HTMLDivElement>(null);
  const { id, name } = window;
  useEffect(() => {
    const element = body.current;
    if (!element) return;
    // Text comes as `beforeinput`, as an editing host gets it (Input Events, level 2), whether it was typed or sent.
    const onText = (event: InputEvent) => {
      if (event.data) dispatch(textArrived(id, name, event.data, !event.isTrusted));
    };
    // A browser has no event for control messages; the practice desk has one of its own.
    const onMessage = (event: Event) => {
      const { message, value } = (event as CustomEvent<{ message: Message; value: number }>).detail;
      dispatch(messageArrived(id, name, message, value));
    };
    element.addEventListener('beforeinput', onText);
    element.addEventListener('controlmessage', onMessage);
    return () => {
      element.removeEventListener('beforeinput', onText);
      element.removeEventListener('controlmessage', onMessage);
    };
  }, [dispatch, id, name]);
  useEffect(() => {
    if (!active || hidden) return;
    const focused = document.activeElement;
    const elsewhere = focused?.closest('[data-program]');
    // One was typing in another window, or in one that is closed now: the keys go with the front.
    const isOther = elsewhere && elsewhere !== body.current?.parentElement;
    if (isOther || (hasKeys && focused === document.body)) body.current?.focus({ preventScroll: true });
  }, [active, hidden]);
  // Parts of a tick add up for a program that counts whole ones.
  const rest = useRef(0);
  const scroll = (ticks: number) => {
    const { wheel } = standInOf(id);
    if (!wheel) return;
    const total = rest.current + ticks;
    const taken = wheel.by === 'ticks' ? Math.trunc(total) : total;
    rest.current = total - taken;
    dispatch(wheelArrived(id, taken));
  };
  const onKeyDown = (event: KeyboardEvent) => dispatch(keyArrived(id, name, event));
  return (
    <Frame
      aria-label={window.title}
      data-program={window.id}
      data-active={active}
      hidden={hidden}
      style={{
        ...place,
        zIndex: depth,
        ...(hidden ? { display: 'none' } : {}),
        ...(covered ? { visibility: 'hidden' } : {}),
      }}
      // Before anything inside hears of it: what is touched is in front first, as on every desk.
      onPointerDownCapture={raise}
    >
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the window's menu has it for the keyboard. */}
      <header onDoubleClick={() => dispatch(commandWindows('maximise'))}>
        <span className="title">{window.title}</span>
        <span className="menus">
          <ProgramMenus program={id} name={name} />
          <WindowMenu id={id} name={name} />
        </span>
      </header>
      <Body
        ref={body}
        data-keys=""
        role="application"
        aria-label={window.name}
        tabIndex={0}
        onFocus={() => {
          hasKeys = true;
          raise();
        }}
        onBlur={() => {
          hasKeys = false;
        }}
        onKeyDown={onKeyDown}
        onKeyUp={(event) => dispatch(keyLeft(id, event))}
        onWheel={(event) => scroll(ticksOf(event))}
      >
        {children}
      </Body>
    </Frame>
  );
}

/** Wheel ticks, positive away from the person; a stroke of several ticks, or a part of one, comes as one event. */
function ticksOf({ deltaY, nativeEvent }: { readonly deltaY: number; readonly nativeEvent: Event }): number {
  return nativeEvent.isTrusted ? -Math.sign(deltaY) : -deltaY / WHEEL_PX;
}
