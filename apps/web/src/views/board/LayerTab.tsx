import { BASE_LAYER, itemAt, type Layer, moveTo } from '@nimble-lever/core/setup';
import { type KeyboardEvent, useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { type AppThunk, useAppDispatch } from '../../app/store.ts';
import { layerShown } from './boardSlice.ts';
import { WORDS } from './words.ts';

/** What a dragged layer is carried as. */
const CARRIED = 'application/x-nimble-lever-layer';

/** Puts a layer at another place in the order, which decides who wins; the base layer stays below all others. */
export const moveLayer =
  (layers: readonly Layer[], id: string, to: number): AppThunk =>
  (dispatch) => {
    if (id === BASE_LAYER || to < 1 || to >= layers.length) return;
    dispatch(makeEdit(moveTo(itemAt.layer(id), layers, id, to)));
  };

interface Props {
  readonly layer: Layer;
  /** All of them, from the lowest to the one that wins. */
  readonly layers: readonly Layer[];
  /** Its bindings are what the matrix shows. */
  readonly shown: boolean;
  readonly onRename: () => void;
}

/** A layer as a tab: arrows go from one to the next, with Alt the layer itself goes; dragging does the same. */
export function LayerTab({ layer: { id, name }, layers, shown, onRename }: Props) {
  const dispatch = useAppDispatch();
  const [over, setOver] = useState(false);
  const at = layers.findIndex((own) => own.id === id);
  const isBase = id === BASE_LAYER;
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (event.key === 'F2' && !isBase) return onRename();
    const next = by === undefined ? undefined : layers[at + by];
    if (!next || by === undefined) return;
    event.preventDefault();
    if (event.altKey) {
      dispatch(moveLayer(layers, id, at + by));
      // Drawn in its new place it is the same tab, and has the keys still.
      return;
    }
    dispatch(layerShown(next.id));
    // The tab that is shown takes the keys, so that the next arrow goes on from there.
    const { nextElementSibling, previousElementSibling } = event.currentTarget;
    const beside = by > 0 ? nextElementSibling : previousElementSibling;
    if (beside instanceof HTMLElement) beside.focus();
  };
  return (
    <button
      type="button"
      role="tab"
      aria-selected={shown}
      data-over={over}
      title={isBase ? WORDS.baseMeans : WORDS.layerOrder}
      tabIndex={shown ? 0 : -1}
      onClick={() => dispatch(layerShown(id))}
      onDoubleClick={() => !isBase && onRename()}
      onKeyDown={onKeyDown}
      draggable={!isBase}
      onDragStart={({ dataTransfer }) => dataTransfer.setData(CARRIED, id)}
      onDragOver={(event) => {
        if (isBase || !event.dataTransfer.types.includes(CARRIED)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        dispatch(moveLayer(layers, event.dataTransfer.getData(CARRIED), at));
      }}
    >
      {name}
    </button>
  );
}
