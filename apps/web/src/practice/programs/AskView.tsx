import { styled } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { runCommand } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { WORDS } from '../words.ts';
import { PAINT_NAMES } from './brindle.ts';
import { type PracticeProgram, standInOf } from './standIns.ts';

const Body = styled('div')(({ theme: { vars, typography } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  padding: 14,
  fontSize: 13,
  '& .typed': {
    flex: 'none',
    minHeight: 30,
    padding: '5px 10px',
    borderRadius: 6,
    border: `1px solid ${vars?.palette.tokens.accent}`,
    fontFamily: typography.mono,
    whiteSpace: 'pre',
    overflow: 'hidden',
  },
  '& .typed::after': { content: '"▏"', color: vars?.palette.tokens.accent },
  '& ol': { margin: 0, padding: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 2 },
  '& li': { display: 'flex', alignItems: 'center', gap: 8, padding: '3px 8px', borderRadius: 6 },
  '& li[aria-current=true]': { outline: `2px solid ${vars?.palette.text.primary}` },
  '& i': { width: 14, height: 14, borderRadius: 4, flex: 'none' },
  '& .fine': {
    flex: 'none',
    height: 8,
    borderRadius: 4,
    backgroundColor: vars?.palette.tokens.sunk,
    overflow: 'hidden',
  },
  '& .fine i': {
    width: 'auto',
    height: '100%',
    display: 'block',
    borderRadius: 0,
    backgroundColor: vars?.palette.tokens.accent,
  },
  '& .buttons': { display: 'flex', flexWrap: 'wrap', gap: 6 },
  '& button': {
    height: 28,
    padding: '0 10px',
    font: 'inherit',
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.background,
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 6,
    cursor: 'pointer',
  },
}));

interface Props {
  readonly id: PracticeProgram;
  /** Whether every command has a button, and not only what answers. */
  readonly all?: boolean;
  readonly children: ReactNode;
}

/** A window in which a program asks something, with a button for each thing that can be answered. */
export function Asking({ id, all = false, children }: Props) {
  const dispatch = useAppDispatch();
  const buttons = standInOf(id).commands.filter(({ closes }) => all || closes);
  return (
    <Body>
      {children}
      <div className="buttons">
        {buttons.map(({ shortcut, name }) => (
          <button key={name} type="button" onClick={() => dispatch(runCommand(id, name, shortcut, false))}>
            {name}
          </button>
        ))}
      </div>
    </Body>
  );
}

/** Brindle asks what layers are called where they are graded. */
export function OutputView() {
  const { name } = usePrograms((all) => all['brindle-output']);
  const { asked, layers } = usePrograms(({ brindle }) => brindle);
  return (
    <Asking id="brindle-output">
      <span>{WORDS.outputOf(asked.map((at) => layers[at]?.name ?? ''))}</span>
      <span className="typed">{name}</span>
    </Asking>
  );
}

/** Larkframe asks what the film is to be called. */
export function ExportView() {
  const { name, written } = usePrograms((all) => all['larkframe-export']);
  return (
    <Asking id="larkframe-export">
      <span>{WORDS.filmName}</span>
      <span className="typed">{name}</span>
      <span>{WORDS.written(written.length)}</span>
    </Asking>
  );
}

/** Brindle's colours for the layers that are selected. */
export function ColoursView() {
  const { at } = usePrograms((all) => all['brindle-colours']);
  return (
    <Asking id="brindle-colours">
      <ol aria-label={WORDS.layerColours}>
        {PAINT_NAMES.map((paint, i) => (
          <li key={paint} aria-current={i === at}>
            <PaintDot at={i} /> {paint}
          </li>
        ))}
      </ol>
    </Asking>
  );
}

/** Tallow asks for the colour of the wheel in hand. */
export function WheelColourView() {
  const { hue } = usePrograms((all) => all['tallow-wheel']);
  return (
    <Asking id="tallow-wheel">
      <span>{WORDS.roundTheWheel(hue)}</span>
      <i style={{ width: '100%', height: 28, backgroundColor: `hsl(${hue} 55% 50%)` }} />
    </Asking>
  );
}

const Dot = styled('i')<{ readonly at: number }>(({ theme: { palette }, at }) => ({
  width: 12,
  height: 12,
  flex: 'none',
  borderRadius: 4,
  backgroundColor: palette.tokens.scene.paints[at],
}));

/** One of Brindle's paints. */
export function PaintDot({ at }: { readonly at: number }) {
  return <Dot at={at} aria-hidden />;
}
