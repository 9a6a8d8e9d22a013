import { styled } from '@mui/material/styles';
import { memo, type ReactNode, type Ref } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { AskOverlay } from './AskField.tsx';
import { DeskPointer } from './DeskPointer.tsx';
import { DESK_WINDOWS, selectDesk } from './deskSlice.ts';
import { raiseWindow } from './frontWindow.ts';
import { OtherDesk } from './OtherDesk.tsx';
import { Overview } from './Overview.tsx';
import { ProgramWindow } from './ProgramWindow.tsx';
import { isPracticeProgram } from './programs/standIns.ts';
import { PROGRAM_VIEWS } from './programViews.ts';
import { RadialOverlay } from './RadialOverlay.tsx';
import { ShowOverlay } from './ShowOverlay.tsx';
import { placeNow, visibleWindows } from './windows.ts';

const Screen = styled('div')({
  flex: 1,
  minHeight: 0,
  position: 'relative',
  overflow: 'hidden',
  isolation: 'isolate',
});

/** All of the screen. */
const WHOLE = { left: '0%', top: '0%', width: '100%', height: '100%' } as const;

interface Props {
  readonly surface: Ref<HTMLDivElement>;
  /** Where there is little room: programs fill the screen, and only what they ask stands before them. */
  readonly solo?: boolean;
  /** What lies over the windows. */
  readonly children?: ReactNode;
}

/** The screen of the practice desk: its windows, its pointer, and what shows over them. */
export const DeskWindows = memo(function DeskWindows({ surface, solo = false, children }: Props) {
  const dispatch = useAppDispatch();
  const desk = useAppSelector(selectDesk);
  const { order, active, shown } = desk;
  const seen = visibleWindows(desk);
  return (
    <Screen
      ref={surface}
      className="windows"
      data-desk-surface=""
      onPointerDown={(event) => event.target === event.currentTarget && dispatch(raiseWindow(null))}
    >
      {/* All windows are there, hidden or not: a program in the background goes on, and can be sent to. } */}
      {DESK_WINDOWS.map((window) => {
        const { id } = window;
        if (!isPracticeProgram(id)) return null;
        const { view: View, place } = PROGRAM_VIEWS[id];
        return (
          <ProgramWindow
            key={id}
            window={{ ...window, id }}
            place={solo && !window.isDialog && !desk.overview ? WHOLE : placeNow(desk, id, place)}
            depth={order.indexOf(id) + 1}
            active={active === id}
            hidden={!seen.includes(id)}
            covered={shown !== null}
          >
            <View />
          </ProgramWindow>
        );
      })}
      <OtherDesk />
      {shown === null && <Overview />}
      <DeskPointer />
      <RadialOverlay />
      <ShowOverlay />
      <AskOverlay />
      {children}
    </Screen>
  );
});
