import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import { BASE_LAYER, itemAt, LIMITS, type Setup } from '@nimble-lever/core/setup';
import { Ellipsis, Plus, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { newId } from '../../app/setup/newId.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { TabName } from '../../editors/TabName.tsx';
import { compareSet, layerShown, selectBoardState } from './boardSlice.ts';
import { LayerTab, moveLayer } from './LayerTab.tsx';
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
  '& [role=tab][data-over=true]': { outline: `2px solid ${vars?.palette.tokens.layer}` },
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
  // The base layer is always on; it can neither be renamed nor removed.
  const isBase = layer === BASE_LAYER;
  return (
    <>
      <Tabs role="tablist" aria-label={WORDS.layers}>
        {layers.map((own) =>
          renaming && own.id === layer && current ? (
            <TabName
              key={own.id}
              name={own.name}
              others={layers.filter(({ id }) => id !== own.id).map(({ name }) => name)}
              words={{ label: WORDS.layerName, taken: WORDS.layerTaken }}
              onName={(name) =>
                dispatch(makeEdit({ kind: 'set', at: itemAt.layer(own.id), fields: { name } }))
              }
              onDone={() => setRenaming(false)}
            />
          ) : (
            <LayerTab
              key={own.id}
              layer={own}
              layers={layers}
              shown={own.id === layer}
              onRename={() => setRenaming(true)}
            />
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
      {anchor && (
        <Menu anchorEl={anchor} open onClose={() => setAnchor(null)}>
          <MenuItem
            onClick={() => {
              setAnchor(null);
              // The menu goes first: it would take the keys from the name's field, which ends the renaming.
              setTimeout(() => setRenaming(true));
            }}
          >
            {WORDS.rename}
          </MenuItem>
          {([-1, 1] as const).map((by) => {
            const to = layers.findIndex(({ id }) => id === layer) + by;
            return (
              <MenuItem
                key={by}
                disabled={to < 1 || to >= layers.length}
                onClick={() => {
                  setAnchor(null);
                  dispatch(moveLayer(layers, layer, to));
                }}
              >
                {by < 0 ? WORDS.layerLeft : WORDS.layerRight}
              </MenuItem>
            );
          })}
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
      )}
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

/** Whether some control turns a layer on. */
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
        return action.kind === 'layer' && action.layer === layer;
      }),
    )
  );
}
