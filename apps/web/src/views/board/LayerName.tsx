import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { foldName } from '@nimble-lever/core/devices';
import { itemAt, type Layer } from '@nimble-lever/core/setup';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly layer: Layer;
  readonly onDone: () => void;
}

/**
 * A layer's name while it is being changed; an empty one goes back to what it was, and so does one that another layer
 * has: two tabs of one name could not be told apart.
 */
export function LayerName({ layer, onDone }: Props) {
  const dispatch = useAppDispatch();
  const { layers } = useAppSelector(selectSetup);
  const isTaken = (text: string) =>
    layers.some(({ id, name }) => id !== layer.id && foldName(name) === foldName(text));
  const draft = useDraft(layer.name, (text) => {
    const name = text.trim();
    if (name && !isTaken(name))
      dispatch(makeEdit({ kind: 'set', at: itemAt.layer(layer.id), fields: { name } }));
  });
  const taken = isTaken(draft.value);
  return (
    <div style={{ display: 'flex', alignItems: 'center', gap: 8 }}>
      <OutlinedInput
        {...draft}
        autoFocus
        error={taken}
        onFocus={({ target }) => target.select()}
        onBlur={() => {
          draft.onBlur();
          onDone();
        }}
        onKeyDown={(event) => {
          // Enter on a name that cannot be stays where it can be mended.
          if (event.key === 'Enter' && taken) return;
          draft.onKeyDown(event);
          if (event.key === 'Enter' || event.key === 'Escape') onDone();
        }}
        inputProps={{ 'aria-label': WORDS.layerName, 'aria-describedby': 'layer-name-taken', maxLength: 60 }}
        sx={{ width: 130 }}
      />
      {taken && (
        <FormHelperText error id="layer-name-taken" role="alert" sx={{ m: 0, whiteSpace: 'nowrap' }}>
          {WORDS.layerTaken}
        </FormHelperText>
      )}
    </div>
  );
}
