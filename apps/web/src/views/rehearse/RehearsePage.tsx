import { styled } from '@mui/material/styles';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { raiseWindow } from '../../app/desk/desk.ts';
import { DESK_WINDOWS } from '../../app/desk/deskSlice.ts';
import { installDesk } from '../../app/engine/desk.ts';
import { feed } from '../../app/engine/feed.ts';
import { type AppStore, useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Account } from './Account.tsx';
import { ProgramWindow } from './ProgramWindow.tsx';
import { practiceDesk } from './practiceDesk.ts';
import { BrindleView } from './programs/BrindleView.tsx';
import { LarkframeView } from './programs/LarkframeView.tsx';
import { canvasScrolled, type PracticeProgram } from './rehearseSlice.ts';
import { Taskbar } from './Taskbar.tsx';
import { Tray } from './Tray.tsx';
import { WORDS } from './words.ts';

const Page = styled('div')({ height: '100%', display: 'flex', minHeight: 0 });
const Left = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' });
const Surface = styled('section')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  backgroundColor: vars?.palette.tokens.desk,
  '& .windows': { flex: 1, minHeight: 0, position: 'relative' },
}));

const PLACES: Readonly<
  Record<PracticeProgram, Readonly<Record<'left' | 'top' | 'width' | 'height', string>>>
> = {
  larkframe: { left: '2.5%', top: '4%', width: '58%', height: '74%' },
  brindle: { left: '31%', top: '22%', width: '66.5%', height: '74%' },
};

/** Rehearse: working programs, the rig to press and turn, and the account of what happened and why. */
export function RehearsePage() {
  const dispatch = useAppDispatch();
  const store = useStore() as AppStore;
  const { order, active } = useAppSelector((state) => state.desk);

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

  return (
    <Page>
      <Left>
        <Surface aria-label={WORDS.practiceDesk}>
          <div
            className="windows"
            onPointerDown={(event) => event.target === event.currentTarget && dispatch(raiseWindow(null))}
          >
            {DESK_WINDOWS.map((window) => {
              const id = window.id as PracticeProgram;
              const View = id === 'larkframe' ? LarkframeView : BrindleView;
              return (
                <ProgramWindow
                  key={id}
                  window={{ ...window, id }}
                  place={PLACES[id]}
                  depth={order.indexOf(id) + 1}
                  active={active === id}
                  onWheel={(ticks) => id === 'brindle' && dispatch(canvasScrolled(ticks))}
                >
                  <View />
                </ProgramWindow>
              );
            })}
          </div>
          <Taskbar />
        </Surface>
        <Tray />
      </Left>
      <Account />
    </Page>
  );
}
