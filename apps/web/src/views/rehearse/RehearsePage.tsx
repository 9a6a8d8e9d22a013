import { styled } from '@mui/material/styles';
import { type ComponentType, useEffect, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { raiseWindow } from '../../app/desk/desk.ts';
import { DESK_WINDOWS } from '../../app/desk/deskSlice.ts';
import { installDesk } from '../../app/engine/desk.ts';
import { feed } from '../../app/engine/feed.ts';
import { type AppStore, useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Account } from './Account.tsx';
import { DeskPointer } from './DeskPointer.tsx';
import { DeskStrip } from './DeskStrip.tsx';
import { OtherDesk } from './OtherDesk.tsx';
import { OwnDevices } from './OwnDevices.tsx';
import { ProgramWindow } from './ProgramWindow.tsx';
import { practiceDesk } from './practiceDesk.ts';
import { BrindleView } from './programs/BrindleView.tsx';
import { FernwayView } from './programs/FernwayView.tsx';
import { HushboxView } from './programs/HushboxView.tsx';
import { LarkframeView } from './programs/LarkframeView.tsx';
import { QuillboardView } from './programs/QuillboardView.tsx';
import { isPracticeProgram, type PracticeProgram } from './programs/standIns.ts';
import { TallowView } from './programs/TallowView.tsx';
import { TinCanView } from './programs/TinCanView.tsx';
import { RadialOverlay } from './RadialOverlay.tsx';
import { Taskbar } from './Taskbar.tsx';
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

type Place = Readonly<Record<'left' | 'top' | 'width' | 'height', string>>;
const place = (left: string, top: string, width: string, height: string): Place => ({
  left,
  top,
  width,
  height,
});

const PROGRAMS: Readonly<Record<PracticeProgram, { readonly view: ComponentType; readonly place: Place }>> = {
  larkframe: { view: LarkframeView, place: place('2.5%', '3%', '58%', '76%') },
  brindle: { view: BrindleView, place: place('31%', '20%', '66.5%', '77%') },
  hushbox: { view: HushboxView, place: place('8%', '10%', '74%', '70%') },
  tallow: { view: TallowView, place: place('18%', '5%', '64%', '88%') },
  quillboard: { view: QuillboardView, place: place('5%', '9%', '60%', '78%') },
  fernway: { view: FernwayView, place: place('24%', '6%', '68%', '80%') },
  'tin-can': { view: TinCanView, place: place('63%', '4%', '34%', '66%') },
};

/** Rehearse: working programs, the rig to press and turn, and the account of what happened and why. */
export function RehearsePage() {
  const dispatch = useAppDispatch();
  const store = useStore() as AppStore;
  const { order, active, shown } = useAppSelector((state) => state.desk);
  const surface = useRef<HTMLDivElement>(null);
  const [ownDevices, setOwnDevices] = useState(false);

  useEffect(() => {
    const leave = installDesk(practiceDesk(store.dispatch, store.getState));
    return () => {
      store.dispatch(feed({ kind: 'reset' }));
      leave();
    };
  }, [store]);
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== 'F6' || !event.isTrusted) return;
      event.preventDefault();
      const [back] = store.getState().desk.order;
      if (back) dispatch(raiseWindow(back));
    };
    const letGo = () => dispatch(feed({ kind: 'reset' }));
    window.addEventListener('keydown', onKeyDown);
    window.addEventListener('blur', letGo);
    return () => {
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('blur', letGo);
    };
  }, [dispatch, store]);
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
            {DESK_WINDOWS.map((window) => {
              const { id } = window;
              if (!isPracticeProgram(id)) return null;
              const { view: View, place: where } = PROGRAMS[id];
              return (
                <ProgramWindow
                  key={id}
                  window={{ ...window, id }}
                  place={where}
                  depth={order.indexOf(id) + 1}
                  active={active === id}
                  hidden={!order.includes(id)}
                  covered={shown !== null}
                >
                  <View />
                </ProgramWindow>
              );
            })}
            <OtherDesk />
            <DeskPointer />
            <RadialOverlay />
            {ownDevices && <OwnDevices surface={surface} onClose={() => setOwnDevices(false)} />}
          </div>
          <Taskbar />
        </Surface>
        <Tray />
      </Left>
      <Account />
    </Page>
  );
}
