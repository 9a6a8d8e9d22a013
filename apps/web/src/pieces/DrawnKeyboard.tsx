import { styled } from '@mui/material/styles';
import {
  BARE,
  type DrawnKey,
  displayShortcut,
  FUNCTION_ROW,
  KEY_BY_CODE,
  legendOf,
  MAIN_ROWS,
  modifierOf,
  NUMBER_ROWS,
  type Platform,
  SIDE_ROWS,
} from '@nimble-lever/core/keys';
import { useContext } from 'react';
import { KeyboardContext } from './keyboard.ts';

/** The width of a plain key in the drawing's own units; other keys are multiples of it, as keyboards have them. */
const UNIT = 40;

const Board = styled('div')({ display: 'flex', flexWrap: 'wrap', gap: 14, alignItems: 'flex-end' });
const Block = styled('div')({ display: 'flex', flexDirection: 'column', gap: 4 });
const Row = styled('div')({ display: 'flex', gap: 4, '&.centred': { justifyContent: 'center' } });
const Key = styled('button')(({ theme: { vars } }) => ({
  height: 34,
  minWidth: 0,
  padding: '0 2px',
  border: `1px solid ${vars?.palette.divider}`,
  borderBottomWidth: 2,
  borderRadius: 5,
  font: 'inherit',
  fontSize: 12,
  overflow: 'hidden',
  whiteSpace: 'nowrap',
  cursor: 'pointer',
  color: vars?.palette.text.primary,
  backgroundColor: vars?.palette.tokens.sheet,
  '&.other': {
    fontSize: 11,
    color: vars?.palette.text.secondary,
    backgroundColor: vars?.palette.tokens.background,
  },
  '&:hover:not(:disabled)': { backgroundColor: vars?.palette.tokens.sunk },
  '&[aria-pressed=true]': {
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.accentTint,
    borderColor: vars?.palette.tokens.accent,
  },
  '&:disabled': { cursor: 'default' },
}));

/** What fits on a drawn key: its place tells the rest. The right Alt key is AltGr where it matters. */
function shortLegend({ code, width }: DrawnKey, platform: Platform, legend: string): string {
  const modifier = modifierOf(code);
  if (modifier) return displayShortcut({ ...BARE, [modifier]: true, key: null }, platform).join('');
  // "Num 7" on the number block is 7: it stands where it belongs.
  const bare = legend.replace(/^(Num|Right) /, '');
  return bare.length > 7 * width ? legendOf(code) : bare;
}

/** A keyboard as drawn: shown, or to be pressed. */
interface Props {
  /** Keys that are on. */
  readonly pressed: ReadonlySet<string>;
  /** Null for a keyboard that is only shown. */
  readonly onKey: ((code: string) => void) | null;
  /** Whether the keys beside the main block are drawn. */
  readonly whole: boolean;
}

/** A keyboard with the labels of the person's own. */
export function DrawnKeyboard({ pressed, onKey, whole }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const keyOf = (key: DrawnKey) => {
    const { code, width } = key;
    const legend = legendOf(code, platform, legends);
    // Keys that write are named with their code as well: on two keys of a layout the same letter may stand.
    const writing = KEY_BY_CODE.get(code)?.kind === 'writing';
    const label = shortLegend(key, platform, legend);
    // What is drawn is part of the name, so that it can be spoken (WCAG 2.5.3).
    const name = label === legend ? legend : `${label}, ${legend}`;
    return (
      <Key
        key={code}
        type="button"
        className={writing ? undefined : 'other'}
        style={{ width: width * UNIT + (width - 1) * 4 }}
        title={code}
        aria-label={writing ? `${legend} (${code})` : name}
        aria-pressed={pressed.has(code)}
        disabled={onKey === null}
        onClick={() => onKey?.(code)}
      >
        {label}
      </Key>
    );
  };
  const rows = (all: readonly (readonly DrawnKey[])[]) =>
    all.map((row) => (
      <Row key={row[0]?.code} className={row.length === 1 ? 'centred' : undefined}>
        {row.map(keyOf)}
      </Row>
    ));
  return (
    <Board>
      <Block>
        {whole && rows([FUNCTION_ROW])}
        {rows(MAIN_ROWS)}
      </Block>
      {whole && <Block>{rows(SIDE_ROWS)}</Block>}
      {whole && <Block>{rows(NUMBER_ROWS)}</Block>}
    </Board>
  );
}
