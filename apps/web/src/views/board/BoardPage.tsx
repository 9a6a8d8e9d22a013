import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { lazy, Suspense, useCallback, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useFlash } from '../../app/useFlash.ts';
import { rowKey, slotAt } from './boardModel.ts';
import { cellSelected } from './boardSlice.ts';
import { DOCK_HEIGHT } from './dock/dockHeight.ts';
import { KeysHelp } from './KeysHelp.tsx';
import { Matrix } from './Matrix.tsx';
import { RigStrip } from './RigStrip.tsx';
import type { Use } from './use.ts';
import { selectBoard, selectCell } from './useBoard.ts';
import { useRealMouse } from './useRealMouse.ts';

/** Read at once, beside the matrix: nothing is edited before something is selected. */
const dock = import('./dock/Dock.tsx');
const Dock = lazy(async () => ({ default: (await dock).Dock }));

const Page = styled('div')({ height: '100%', display: 'flex', flexDirection: 'column', minHeight: 0 });

/** The Board: the rig, the matrix of controls × programs, and the dock. */
export function BoardPage() {
  const dispatch = useAppDispatch();
  const model = useAppSelector(selectBoard);
  const cell = useAppSelector(selectCell);
  const front = useAppSelector((state) => state.engine.engine.profile);
  const { lit: flashing, light, fade } = useFlash();
  const page = useRef<HTMLDivElement>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const [helping, setHelping] = useState(false);
  const choose = useCallback(() => chooser.current?.focus(), []);
  const openHelp = useCallback(() => setHelping(true), []);

  const use = useCallback(
    (device: Device, { control, trigger, down, select }: Use) => {
      const key = rowKey({ device, control, trigger });
      if (!down) return fade(key);
      light(key);
      if (!select) return;
      const row = model.rows.find((own) => own.control === control && own.trigger === trigger);
      const wanted = cell?.slot.profile ?? front;
      const column = model.columns.find(({ profile }) => profile.id === wanted) ?? model.columns[0];
      if (row && column) dispatch(cellSelected(slotAt(row, column)));
    },
    [dispatch, light, fade, model, cell, front],
  );
  const mouse = model.rows.find(({ device }) => device.kind === 'mouse')?.device;
  const heard = useCallback((heardUse: Use) => mouse && use(mouse, heardUse), [mouse, use]);
  useRealMouse(mouse, heard);

  const devices = [...new Set(model.rows.map(({ device }) => device))];
  const focusCell = () => {
    page.current?.querySelector<HTMLElement>('[role=gridcell][aria-selected=true]')?.focus();
  };
  return (
    <Page ref={page}>
      <RigStrip devices={devices} selected={cell?.slot ?? null} flashing={flashing} onUse={use} />
      <Matrix model={model} flashing={flashing} front={front} onChoose={choose} onHelp={openHelp} />
      <KeysHelp open={helping} onClose={() => setHelping(false)} />
      <Suspense fallback={<div style={{ flex: 'none', height: DOCK_HEIGHT }} />}>
        <Dock chooserRef={chooser} onDone={() => setTimeout(focusCell)} />
      </Suspense>
    </Page>
  );
}
