import { styled } from '@mui/material/styles';
import type { Control, Device, Trigger } from '@nimble-lever/core/devices';
import { useCallback, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useFlash } from '../../app/useFlash.ts';
import { rowKey, slotAt } from './boardModel.ts';
import { cellSelected } from './boardSlice.ts';
import { Dock } from './dock/Dock.tsx';
import { Matrix } from './Matrix.tsx';
import { RigStrip } from './RigStrip.tsx';
import { selectBoard, selectCell } from './useBoard.ts';
import { useRealMouse } from './useRealMouse.ts';

const Page = styled('div')({ height: '100%', display: 'flex', flexDirection: 'column', minHeight: 0 });

/** The Board: the rig, the matrix of controls × programs, and the dock. */
export function BoardPage() {
  const dispatch = useAppDispatch();
  const model = useAppSelector(selectBoard);
  const cell = useAppSelector(selectCell);
  const front = useAppSelector((state) => state.engine.engine.profile);
  const { lit: flashing, flash } = useFlash();
  const page = useRef<HTMLDivElement>(null);
  const chooser = useRef<HTMLInputElement>(null);

  const use = useCallback(
    (device: Device, control: Control, trigger: Trigger, select = true) => {
      flash(rowKey({ device, control, trigger }));
      if (!select) return;
      const row = model.rows.find((own) => own.control === control && own.trigger === trigger);
      const wanted = cell?.slot.profile ?? front;
      const column = model.columns.find(({ profile }) => profile.id === wanted) ?? model.columns[0];
      if (row && column) dispatch(cellSelected(slotAt(row, column)));
    },
    [dispatch, flash, model, cell, front],
  );
  const mouse = model.rows.find(({ device }) => device.kind === 'mouse')?.device;
  const heard = useCallback(
    (control: Control, trigger: Trigger, select: boolean) => {
      if (mouse) use(mouse, control, trigger, select);
    },
    [mouse, use],
  );
  useRealMouse(mouse, heard);

  const devices = [...new Set(model.rows.map(({ device }) => device))];
  const focusCell = () => {
    page.current?.querySelector<HTMLElement>('[role=gridcell][aria-selected=true]')?.focus();
  };
  return (
    <Page ref={page}>
      <RigStrip devices={devices} selected={cell?.slot ?? null} flashing={flashing} onUse={use} />
      <Matrix model={model} flashing={flashing} front={front} onChoose={() => chooser.current?.focus()} />
      <Dock chooserRef={chooser} onDone={() => setTimeout(focusCell)} />
    </Page>
  );
}
