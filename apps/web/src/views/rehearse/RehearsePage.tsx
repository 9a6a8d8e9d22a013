import { styled } from '@mui/material/styles';
import { type ComponentType, useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { useLocation } from 'react-router';
import { feed } from '../../app/engine/feed.ts';
import { keepThumbButtons } from '../../app/sources/pointerSources.ts';
import { type RootState, useAppDispatch, useAppSelector } from '../../app/store.ts';
import { readAsked } from '../../practice/asked.ts';
import { DeskPointer } from '../../practice/DeskPointer.tsx';
import { DeskStrip } from '../../practice/DeskStrip.tsx';
import { hostDesk } from '../../practice/deskHost.ts';
import { DESK_WINDOWS, selectDesk } from '../../practice/deskSlice.ts';
import { commandWindows, raiseWindow } from '../../practice/frontWindow.ts';
import { OtherDesk } from '../../practice/OtherDesk.tsx';
import { Overview } from '../../practice/Overview.tsx';
import { ProgramWindow } from '../../practice/ProgramWindow.tsx';
import { enterPracticeDesk } from '../../practice/practiceDesk.ts';
import { BakeView } from '../../practice/programs/BakeView.tsx';
import { BrindleView } from '../../practice/programs/BrindleView.tsx';
import { FernwayView } from '../../practice/programs/FernwayView.tsx';
import { HushboxView } from '../../practice/programs/HushboxView.tsx';
import { KettlebyView } from '../../practice/programs/KettlebyView.tsx';
import { LarkframeView } from '../../practice/programs/LarkframeView.tsx';
import { QuillboardView } from '../../practice/programs/QuillboardView.tsx';
import { isPracticeProgram, type PracticeProgram } from '../../practice/programs/standIns.ts';
import { TallowView } from '../../practice/programs/TallowView.tsx';
import { TinCanView } from '../../practice/programs/TinCanView.tsx';
import { RadialOverlay } from '../../practice/RadialOverlay.tsx';
import { ShowOverlay } from '../../practice/ShowOverlay.tsx';
import { Taskbar } from '../../practice/Taskbar.tsx';
import { type Placed, placeNow, visibleWindows } from '../../practice/windows.ts';
import { Account } from './Account.tsx';
import { OwnDevices } from './OwnDevices.tsx';
import { Tray } from './Tray.tsx';
import { usePedalKeys } from './usePedalKeys.ts';
import { WORDS } from './words.ts';

const Page = styled('div')({ height: '100%', display: 'flex', minHeight: 0 });
const Left = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' });
const Surface = styled('section')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  backgroundColor: vars?.palette.tokens.desk,
  '& .windows': { flex: 1, minHeight: 0, position: 'relative', overflow: 'hidden', isolation: 'isolate' },
}));

/** Where a window stands on the desk, in parts of it, so that every size of page shows the same desk. */
const place = (left: string, top: string, width: string, height: string): Placed => ({
  left,
  top,
  width,
  height,
});

/**
 * Each practice program with its place. Windows overlap, so that bringing one to the front is something to be seen.
 */
const PROGRAMS: Readonly<Record<PracticeProgram, { readonly view: ComponentType; readonly place: Placed }>> =
  {
    larkframe: { view: LarkframeView, place: place('2.5%', '3%', '58%', '76%') },
    brindle: { view: BrindleView, place: place('31%', '20%', '66.5%', '77%') },
    hushbox: { view: HushboxView, place: place('8%', '10%', '74%', '70%') },
    tallow: { view: TallowView, place: place('18%', '5%', '64%', '88%') },
    quillboard: { view: QuillboardView, place: place('5%', '9%', '60%', '78%') },
    fernway: { view: FernwayView, place: place('24%', '6%', '68%', '80%') },
    'tin-can': { view: TinCanView, place: place('63%', '4%', '34%', '66%') },
    kettleby: { view: KettlebyView, place: place('14%', '8%', '68%', '78%') },
    'kettleby-bake': { view: BakeView, place: place('34%', '24%', '40%', '52%') },
  };

/** Rehearse: working programs, the rig to press and turn, and the account of what happened and why. */
export function RehearsePage() {
  const dispatch = useAppDispatch();
  const desk = useAppSelector(selectDesk);
  const { order, active, shown } = desk;
  const seen = visibleWindows(desk);
  const surface = useRef<HTMLDivElement>(null);
  const [ownDevices, setOwnDevices] = useState(false);

  const { state: led } = useLocation();
  const asked = useMemo(() => readAsked(led), [led]);
  const store = useStore<RootState>();
  useEffect(() => {
    const leave = dispatch(enterPracticeDesk());
    const away = dispatch(hostDesk(store));
    return () => {
      away();
      leave();
    };
  }, [dispatch, store]);
  useEffect(() => {
    if (asked?.program) dispatch(raiseWindow(asked.program));
  }, [dispatch, asked]);
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      // F6 goes from window to window, as in many programs (common practice, no source); a real Alt+Tab would leave
      // the browser.
      if (event.key !== 'F6' || !event.isTrusted) return;
      event.preventDefault();
      dispatch(commandWindows('next-window'));
    };
    // The browser lost the keyboard: what was held would stay held, as its release is never heard.
    const letGo = () => dispatch(feed({ kind: 'reset' }));
    window.addEventListener('keydown', onKeyDown);
    window.addEventListener('blur', letGo);
    return () => {
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('blur', letGo);
    };
  }, [dispatch]);
  useEffect(() => {
    // A program on the desk may have a back of its own; the view itself stays.
    const ended = new AbortController();
    if (surface.current) keepThumbButtons(surface.current, ended.signal);
    return () => ended.abort();
  }, []);
  usePedalKeys();

  return (
    <Page>
      <Left>
        <Surface aria-label={WORDS.practiceDesk}>
          <DeskStrip ownDevices={ownDevices} onOwnDevices={setOwnDevices} />
          <div
            ref={surface}
            className="windows"
            data-desk-surface=""
            onPointerDown={(event) => event.target === event.currentTarget && dispatch(raiseWindow(null))}
          >
            {/* All windows are there, hidden or not: a program in the background goes on, and can be sent to. } */}
            {DESK_WINDOWS.map((window) => {
              const { id } = window;
              if (!isPracticeProgram(id)) return null;
              const { view: View, place: where } = PROGRAMS[id];
              return (
                <ProgramWindow
                  key={id}
                  window={{ ...window, id }}
                  place={placeNow(desk, id, where)}
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
            {ownDevices && <OwnDevices surface={surface} onClose={() => setOwnDevices(false)} />}
          </div>
          <Taskbar />
        </Surface>
        <Tray first={asked?.device ?? null} />
      </Left>
      <Account />
    </Page>
  );
}
