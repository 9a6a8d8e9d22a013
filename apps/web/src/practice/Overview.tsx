import { styled } from '@mui/material/styles';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { DESK_WINDOWS, selectDesk } from './deskSlice.ts';
import { commandWindows, raiseWindow } from './frontWindow.ts';
import { tileOf, visibleWindows } from './windows.ts';
import { WORDS } from './words.ts';

const Tiles = styled('div')(({ theme: { vars } }) => ({
  position: 'absolute',
  inset: 0,
  zIndex: 60,
  '& button': {
    position: 'absolute',
    padding: 0,
    border: `2px solid transparent`,
    borderRadius: 12,
    backgroundColor: 'transparent',
    cursor: 'pointer',
  },
  '& button:hover, & button:focus-visible': { borderColor: vars?.palette.tokens.accent, outline: 'none' },
}));

/** While all windows are shown side by side: one is chosen by pointer or keys; Escape leaves them as they were. */
export function Overview() {
  const dispatch = useAppDispatch();
  const desk = useAppSelector(selectDesk);
  const tiles = useRef<HTMLDivElement>(null);
  const seen = desk.overview ? visibleWindows(desk) : [];
  const isOpen = seen.length > 0;
  useEffect(() => {
    // The window in front comes last; whoever has the keys chooses from there.
    if (isOpen) tiles.current?.querySelector<HTMLElement>('button:last-of-type')?.focus();
  }, [isOpen]);
  if (!isOpen) return null;
  const onKeyDown = (event: KeyboardEvent) => {
    const buttons = [...(tiles.current?.querySelectorAll('button') ?? [])];
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (by !== undefined) buttons[(at + by + buttons.length) % buttons.length]?.focus();
    else if (event.key === 'Escape') dispatch(commandWindows('all-windows'));
    else return;
    event.preventDefault();
  };
  return (
    <Tiles ref={tiles} role="group" aria-label={WORDS.chooseWindow} onKeyDown={onKeyDown}>
      {seen.map((id, i) => (
        <button
          key={id}
          type="button"
          aria-label={WORDS.bring(DESK_WINDOWS.find((window) => window.id === id)?.name ?? id)}
          style={tileOf(i, seen.length)}
          onClick={() => dispatch(raiseWindow(id))}
        />
      ))}
    </Tiles>
  );
}
