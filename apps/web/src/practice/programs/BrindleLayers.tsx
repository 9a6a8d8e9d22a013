import { styled } from '@mui/material/styles';
import type { MouseEvent } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram, openWindow } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { WORDS } from '../words.ts';
import { PaintDot } from './AskView.tsx';
import { layerSelected, outputAsked } from './brindle.ts';

const List = styled('ul')(({ theme: { vars } }) => ({
  flex: 'none',
  width: 168,
  margin: 0,
  padding: 6,
  listStyle: 'none',
  overflow: 'auto',
  fontSize: 12,
  borderLeft: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.background,
  '& li': { display: 'flex', alignItems: 'center', gap: 4, marginBottom: 3 },
  '& button': {
    height: 26,
    border: 0,
    borderRadius: 6,
    padding: '0 6px',
    font: 'inherit',
    color: vars?.palette.text.primary,
    backgroundColor: 'transparent',
    cursor: 'pointer',
  },
  '& .layer': {
    flex: 1,
    minWidth: 0,
    display: 'flex',
    alignItems: 'center',
    gap: 5,
    textAlign: 'left',
    '& span': { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  },
  '& .layer[aria-pressed=true]': { backgroundColor: vars?.palette.tokens.accentTint, fontWeight: 650 },
  '& .goes': { color: vars?.palette.tokens.accent },
}));

/** The layers of what is painted: which are selected, where each goes. With Alt held an output is that of all selected. */
export function BrindleLayers() {
  const dispatch = useAppDispatch();
  const layers = usePrograms(({ brindle }) => brindle.layers);
  const select = (at: number, { ctrlKey, metaKey, shiftKey }: MouseEvent) =>
    dispatch(changeProgram('brindle', (state) => layerSelected(state, at, ctrlKey || metaKey || shiftKey)));
  const ask = (at: number, { altKey }: MouseEvent) => {
    dispatch(changeProgram('brindle', (state) => outputAsked(state, at, altKey)));
    dispatch(openWindow('brindle', 'brindle-output'));
  };
  return (
    <List aria-label={WORDS.layers}>
      {layers.map(({ name, selected, output, colour }, at) => (
        <li key={name}>
          <button
            type="button"
            className="layer"
            aria-pressed={selected}
            title={output === null ? name : `${name}: ${output}`}
            onClick={(event) => select(at, event)}
          >
            {colour !== null && <PaintDot at={colour} />}
            <span>{name}</span>
          </button>
          <button
            type="button"
            className={output === null ? '' : 'goes'}
            aria-label={WORDS.outputOfLayer(name)}
            title={output ?? WORDS.outputOfLayer(name)}
            onClick={(event) => ask(at, event)}
          >
            {output ?? WORDS.output}
          </button>
        </li>
      ))}
    </List>
  );
}
