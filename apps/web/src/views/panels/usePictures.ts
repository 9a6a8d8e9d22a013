import { type Device, usesOfCell } from '@nimble-lever/core/devices';
import { type Face, itemAt, layerOfCell, type Slot } from '@nimble-lever/core/setup';
import type { DragEvent } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { useAppDispatch } from '../../app/store.ts';
import { faceEdit } from '../../editors/faceEdit.ts';
import { hasFiles, usePictureTaking } from '../../editors/usePictureTaking.ts';
import { cellFace } from '../../pieces/controlFace.ts';
import { controlAt } from './useContentDrag.ts';

/**
 * Pictures that are let go on a control of the drawing, or pasted while one is selected, become its face.
 *
 * @param device with the controls that are on the page
 * @param place the page, without its controls
 * @param only the one control that is selected, if it is one
 */
export function usePictures(
  device: Device,
  place: Omit<Slot, 'control' | 'trigger'>,
  only: string | undefined,
  onSelect: (control: string) => void,
) {
  const dispatch = useAppDispatch();
  const faceAt = (id: string) => (parts: Partial<Face>) => {
    const control = device.controls.find((each) => each.id === id);
    if (control && cellFace(control)) {
      // What is only looked at has no face: a picture is its own.
      const { picture } = parts;
      const at = itemAt.control(device.id, id);
      if (picture)
        dispatch(
          makeEdit({ kind: 'set', at, fields: { ...usesOfCell('picture'), 'cell.picture': picture } }),
        );
      return;
    }
    const layer = control?.cell ? layerOfCell(control) : place.layer;
    dispatch(makeEdit(faceEdit(itemAt.binding({ ...place, layer, control: id, trigger: 'press' }), parts)));
  };
  const taking = usePictureTaking(() => faceAt(only ?? ''), only === undefined);
  const under = (event: DragEvent) => (hasFiles(event) ? controlAt(event.target) : null);
  return {
    /** Why the last one was not taken. */
    wrong: taking.wrong,
    handlers: {
      onPaste: taking.handlers.onPaste,
      onDragOver: (event: DragEvent) => {
        if (under(event) !== null) event.preventDefault();
      },
      onDrop: (event: DragEvent) => {
        const control = under(event);
        if (control === null) return;
        event.preventDefault();
        onSelect(control);
        taking.give(event.dataTransfer.files, faceAt(control));
      },
    },
  };
}
