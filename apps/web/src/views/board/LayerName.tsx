import OutlinedInput from '@mui/material/OutlinedInput';
import { itemAt, type Layer } from '@nimble-lever/core/setup';
import { makeEdit } from '../../app/setup/edits.ts';
import { useAppDispatch } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly layer: Layer;
  readonly onDone: () => void;
}

/** A layer's name while it is being changed; an empty one goes back to what it was. */
export function LayerName({ layer, onDone }: Props) {
  const dispatch = useAppDispatch();
  const draft = useDraft(layer.name, (text) => {
    const name = text.trim();
    if (name) dispatch(makeEdit({ kind: 'set', at: itemAt.layer(layer.id), fields: { name } }));
  });
  return (
    <OutlinedInput
      {...draft}
      autoFocus
      onFocus={({ target }) => target.select()}
      onBlur={() => {
        draft.onBlur();
        onDone();
      }}
      onKeyDown={(event) => {
        draft.onKeyDown(event);
        if (event.key === 'Enter' || event.key === 'Escape') onDone();
      }}
      inputProps={{ 'aria-label': WORDS.layerName, maxLength: 60 }}
      sx={{ width: 130 }}
    />
  );
}
