import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { BASE_LAYER, itemAt, type Layer, LIMITS, type Setup } from '@nimble-lever/core/setup';
import { Ellipsis, Plus, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { newId } from '../../app/setup/newId.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { compareSet, layerShown, selectBoardState } from './boardSlice.ts';
import { selectBoard } from './useBoard.ts';
import { WORDS } from './words.ts';

const Tabs = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  alignItems: 'center',
  gap: 2,
  '& [role=tab]': {
    height: 28,
    padding: '0 12px',
    font: 'inherit',
    fontSize: 13,
    border: '1px solid transparent',
    borderRadius: 7,
    color: vars?.palette.text.secondary,
    background: 'none',
    cursor: 'pointer',
    whiteSpace: 'nowrap',
  },
  '& [role=tab]:hover': { color: vars?.palette.text.primary },
  '& [role=tab][aria-selected=true]': {
    fontWeight: 650,
    color: vars?.palette.tokens.layer,
    backgroundColor: vars?.palette.tokens.layerTint,
    borderColor: vars?.palette.tokens.layer,
  },
  '& .MuiIconButton-root': { width: 28, height: 28 },
  '& .never': { flex: 'none', marginLeft: 4, color: vars?.palette.tokens.brick, display: 'inline-flex' },
}));

/** The layers as tabs, one to be added, and comparing with the base layer. */
export function LayerTabs() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { layer } = useAppSelector(selectBoard);
  const compare = useAppSelector((state) => selectBoardState(state).compare);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [renaming, setRenaming] = useState(false);
  const { layers } = setup;
  const current = layers.find(({ id }) => id === layer);
  // A new layer comes with its name open for typing: nobody keeps "Layer 3".
  const add = () => {
    const name = WORDS.layerNumber(layers.length + 1);
    const id = newId(name, 'layer');
    const after = layers.at(-1)?.id ?? null;
    dispatch(makeEdit({ kind: 'add', at: itemAt.layer(id), item: { id, name }, after }));
    dispatch(layerShown(id));
    setRenaming(true);
  };
  const isBase = layer === BASE_LAYER;
  return (
    <>
      <Tabs role="tablist" aria-label={WORDS.layers}>
        {layers.map(({ id, name }) =>
          renaming && id === layer && current ? (
            <LayerName key={id} layer={current} onDone={() => setRenaming(false)} />
          ) : (
            <button
              key={id}
              type="button"
              role="tab"
              aria-selected={id === layer}
              tabIndex={id === layer ? 0 : -1}
              onClick={() => dispatch(layerShown(id))}
              onKeyDown={({ key, currentTarget }) => {
                // Arrows go from tab to tab, as the pattern for tabs has it (WAI-ARIA Authoring Practices, "Tabs").
                const by = { ArrowRight: 1, ArrowLeft: -1 }[key];
                const next =
                  by === undefined ? undefined : layers[layers.findIndex((own) => own.id === id) + by];
                if (!next || by === undefined) return;
                dispatch(layerShown(next.id));
                // The tab that is shown takes the keys, so that the next arrow goes on from there.
                const beside =
                  by > 0 ? currentTarget.nextElementSibling : currentTarget.previousElementSibling;
                if (beside instanceof HTMLElement) beside.focus();
              }}
            >
              {name}
            </button>
          ),
        )}
      </Tabs>
      {!isBase && current && (
        <IconButton
          aria-label={WORDS.layerMenu(current.name)}
          aria-haspopup="menu"
          sx={{ width: 28, height: 28 }}
          onClick={({ currentTarget }) => setAnchor(currentTarget)}
        >
          <Ellipsis size={16} aria-hidden />
        </IconButton>
      )}
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setRenaming(true);
          }}
        >
          {WORDS.rename}
        </MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            dispatch(makeEdit({ kind: 'remove', at: itemAt.layer(layer) }));
            dispatch(layerShown(BASE_LAYER));
          }}
        >
          {WORDS.remove}
        </MenuItem>
      </Menu>
      <IconButton
        aria-label={WORDS.newLayer}
        title={WORDS.newLayer}
        disabled={layers.length >= LIMITS.layers}
        sx={{ width: 28, height: 28 }}
        onClick={add}
      >
        <Plus size={16} aria-hidden />
      </IconButton>
      <Button
        variant={compare && !isBase ? 'contained' : 'outlined'}
        aria-pressed={compare && !isBase}
        disabled={isBase}
        title={isBase ? WORDS.baseCompares : WORDS.compareMeans}
        onClick={() => dispatch(compareSet(!compare))}
      >
        {WORDS.compare}
      </Button>
      {!isBase && !isTurnedOn(setup, layer) && (
        <span role="img" aria-label={WORDS.neverOn} title={WORDS.neverOn} style={{ display: 'inline-flex' }}>
          <TriangleAlert size={16} aria-hidden />
        </span>
      )}
    </>
  );
}

interface NameProps {
  readonly layer: Layer;
  readonly onDone: () => void;
}

function LayerName({ layer, onDone }: NameProps) {
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

/** Whether some control turns a layer on, or shows it as a page. */
function isTurnedOn({ profiles, macros }: Setup, layer: string): boolean {
  const inMacro = macros.some(({ steps }) =>
    steps.some((step) => step.kind === 'layer' && step.layer === layer),
  );
  return (
    inMacro ||
    Object.values(profiles).some(({ bindings }) =>
      Object.values(bindings).some(({ behaviour }) => {
        if (behaviour.kind !== 'action') return false;
        const { action } = behaviour;
        return (
          (action.kind === 'layer' && action.layer === layer) ||
          (action.kind === 'page' && action.page === layer)
        );
      }),
    )
  );
}
