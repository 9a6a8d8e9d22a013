import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { isBeginning } from '@nimble-lever/core/setup';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { useLocation, useNavigate } from 'react-router';
import { readAskedUse } from '../../app/askedUse.ts';
import { holdKeys, pressAgain, typeInto } from '../../app/holdKeys.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useFlash } from '../../app/useFlash.ts';
import { once, whenIdle } from '../../app/whenIdle.ts';
import { BoardBar } from './BoardBar.tsx';
import { layerOf, rowKey } from './boardModel.ts';
import { cellSelected, searched, selectBoardState, viewChanged } from './boardSlice.ts';
import { keepView } from './boardView.ts';
import type { CopyFrom } from './copyFrom.ts';
import { goToSlot } from './goToSlot.ts';
import { Matrix } from './Matrix.tsx';
import { RigStrip } from './RigStrip.tsx';
import { STRIP } from './stripHeight.ts';
import type { Use } from './use.ts';
import { selectBoard, selectCell } from './useBoard.ts';
import { useHeardControls } from './useHeardControls.ts';

/**
 * Read as soon as the matrix is drawn: nothing is edited before something is selected. Kept for the next visit, so that
 * what is typed right after Enter is not lost. Not by `lazy`: drawn as another component once it is here, it would forget
 * what is open in it.
 */
const readDock = once(() => import('./dock/Dock.tsx'));
let loaded: Awaited<ReturnType<typeof readDock>>['Dock'] | null = null;

const CopyDialog = lazy(async () => ({ default: (await import('./CopyDialog.tsx')).CopyDialog }));
const ReadsKeysDialog = lazy(async () => ({
  default: (await import('./ReadsKeysDialog.tsx')).ReadsKeysDialog,
}));
const FirstSteps = lazy(async () => ({ default: (await import('./first/FirstSteps.tsx')).FirstSteps }));
const KeysHelp = lazy(async () => ({ default: (await import('./KeysHelp.tsx')).KeysHelp }));

const Page = styled('div')({ height: '100%', display: 'flex', flexDirection: 'column', minHeight: 0 });

/** The Board: the rig, the matrix of controls × programs, and the dock. */
export function BoardPage() {
  const beginning = useAppSelector((state) => isBeginning(selectSetup(state)));
  const isEmpty = useAppSelector((state) => {
    const { devices, programs } = selectSetup(state);
    return devices.length === 0 || programs.length === 0;
  });
  // Once begun, the steps stay until one leaves them: the last must not take away what one reads.
  const [guided, setGuided] = useState(beginning);
  // A person may leave out the last step; an empty matrix nobody is left with.
  const [left, setLeft] = useState(false);
  if (isEmpty || (!left && (beginning || guided))) {
    const toBoard = () => {
      setGuided(false);
      setLeft(true);
    };
    return (
      <Suspense fallback={null}>
        <FirstSteps onBoard={toBoard} />
      </Suspense>
    );
  }
  return <Board />;
}

/** The matrix of controls and programs, the rig above it and the dock below. */
function Board() {
  const dispatch = useAppDispatch();
  const model = useAppSelector(selectBoard);
  const cell = useAppSelector(selectCell);
  const view = useAppSelector((state) => selectBoardState(state).view);
  const recording = useAppSelector((state) => selectBoardState(state).recording);
  const front = useAppSelector((state) => state.engine.engine.profile);
  const { lit: flashing, light, fade } = useFlash();
  const page = useRef<HTMLDivElement>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const [helping, setHelping] = useState(false);
  const [reading, setReading] = useState<string | null>(null);
  const [copying, setCopying] = useState<CopyFrom | null>(null);
  const docked = cell !== null && view.docked;
  const [Dock, setDock] = useState(() => loaded);
  const takeDock = useCallback(async () => {
    loaded = (await readDock()).Dock;
    flushSync(() => setDock(() => loaded));
  }, []);
  useEffect(() => {
    if (!docked || Dock) return;
    // What records takes the focus when it comes, and what was pressed before.
    const heldKeys = recording ? holdKeys(true) : null;
    void takeDock()
      .then(() => {
        const held = heldKeys?.() ?? [];
        if (document.activeElement?.matches('[role=textbox]')) pressAgain(document.activeElement, held);
      })
      .catch((error: unknown) => {
        heldKeys?.();
        // A file that does not come is told by the view's own words for it.
        setDock(() => {
          throw error;
        });
      });
  }, [docked, Dock, takeDock, recording]);
  const [scrolled, setScrolled] = useState(false);
  const choose = useCallback(() => {
    // The dock may have to come first; drawn at once, it has the keys before the next one is pressed.
    flushSync(() => dispatch(viewChanged({ docked: true })));
    const enter = () => {
      chooser.current?.focus();
      // What is typed takes the place of what is there.
      chooser.current?.select();
    };
    enter();
    if (chooser.current) return;
    // Its file is still on the way: what is typed meanwhile waits for it.
    const heldKeys = holdKeys();
    void takeDock()
      .then(enter)
      .finally(() => {
        const held = heldKeys();
        if (chooser.current) typeInto(chooser.current, held);
      });
  }, [dispatch, takeDock]);
  const openHelp = useCallback(() => setHelping(true), []);

  // A control of the rig was used: its row is lit, and found where the person did not do it on the page itself.
  const use = useCallback(
    (device: Device, { control, trigger, down, select }: Use) => {
      const key = rowKey({ device, control, trigger });
      if (!down) return fade(key);
      light(key);
      if (!select) return;
      // The column stays the one that is worked in; without one it is that of the program in front.
      const wanted = cell?.slot.profile ?? front;
      const column = model.columns.find(({ profile }) => profile.id === wanted) ?? model.columns[0];
      if (!column) return;
      if (!model.rows.some((own) => own.control === control && own.trigger === trigger)) {
        // What the person uses is never kept from them by a search.
        dispatch(searched(''));
        dispatch(viewChanged({ onlySet: false }));
      }
      const at = { device: device.id, control: control.id, trigger };
      dispatch(cellSelected({ profile: column.profile.id, layer: layerOf(model, device.id), ...at }));
    },
    [dispatch, light, fade, model, cell, front],
  );
  // Drawings and listeners are made once; what a use means changes with every selected cell.
  const latest = useRef(use);
  latest.current = use;
  const onUse = useCallback((device: Device, what: Use) => latest.current(device, what), []);
  useHeardControls(onUse);

  const { devices } = useAppSelector(selectSetup);
  // Kept at every change: there is no moment at which a page is told that it closes.
  useEffect(() => keepView(view), [view]);
  useEffect(() => whenIdle(takeDock), [takeDock]);
  const focusCell = useCallback(() => {
    // After the next drawing: the cell that is selected may not be drawn yet.
    const focus = () => {
      const cell = page.current?.querySelector<HTMLElement>('[role=gridcell][data-current=true]');
      cell?.focus();
      return cell ? document.activeElement === cell : false;
    };
    // At once, so that the next key is the cell's; after the next drawing where it is not drawn yet.
    if (!focus()) setTimeout(focus);
  }, []);
  const { state: led } = useLocation();
  const navigate = useNavigate();
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each time it is asked.
  useEffect(() => {
    const asked = readAskedUse(led);
    if (!asked) return;
    const { assigning, profile, layer = layerOf(model, asked.device), ...at } = asked;
    const columns = model.columns.map((column) => column.profile.id);
    const column = profile ?? (columns.includes(front) ? front : columns[0]);
    if (column === undefined) return;
    dispatch(searched(''));
    // What is asked for is shown, also where its column was put away.
    dispatch(viewChanged({ onlySet: false, hidden: view.hidden.filter((id) => id !== column) }));
    dispatch(goToSlot({ profile: column, layer, ...at }));
    // Done: loaded anew, the page does not go there again.
    void navigate('.', { replace: true, state: null });
    if (assigning) setTimeout(choose);
    else focusCell();
  }, [led]);
  const setHeight = useCallback((dockHeight: number) => dispatch(viewChanged({ dockHeight })), [dispatch]);
  const putAway = useCallback(() => {
    dispatch(viewChanged({ docked: false }));
    focusCell();
  }, [dispatch, focusCell]);
  const small = view.smallRig || scrolled;
  return (
    <Page ref={page}>
      <RigStrip
        devices={devices}
        selected={cell?.slot ?? null}
        flashing={flashing}
        small={small}
        onUse={onUse}
      />
      <BoardBar />
      <Matrix
        model={model}
        flashing={flashing}
        front={front}
        onChoose={choose}
        onHelp={openHelp}
        onCopy={setCopying}
        onReadsKeys={setReading}
        above={small ? STRIP.small : STRIP.large}
        onScrolled={setScrolled}
      />
      <Suspense fallback={null}>
        {copying && <CopyDialog from={copying} onClose={() => setCopying(null)} />}
        {reading && <ReadsKeysDialog program={reading} onClose={() => setReading(null)} />}
        {helping && <KeysHelp open onClose={() => setHelping(false)} />}
      </Suspense>
      {docked && !Dock && <div style={{ flex: 'none', height: view.dockHeight }} />}
      {docked && Dock && (
        <Dock
          height={view.dockHeight}
          onHeight={setHeight}
          chooserRef={chooser}
          onDone={focusCell}
          onClose={putAway}
        />
      )}
    </Page>
  );
}
