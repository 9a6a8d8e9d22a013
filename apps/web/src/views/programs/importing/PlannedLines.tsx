import { styled } from '@mui/material/styles';
import {
  COLUMN_ROLES,
  COMMAND_FIELD_WORDS,
  type Columns,
  type LineOutcome,
  lineProblemWords,
  type PlannedLine,
} from '@nimble-lever/core/programs';
import { FAMILY_NAMES, intentName } from '@nimble-lever/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { GridPart } from '../../../pieces/GridPart.tsx';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { FilterChips } from '../FilterChips.tsx';
import { WORDS } from '../words.ts';

/** The height of a line: pixels. */
const LINE = 30;

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  '& .lines': {
    flex: 1,
    minHeight: 0,
    overflow: 'auto',
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 8,
    fontSize: 12,
  },
  '& .line': { display: 'grid', height: LINE, borderBottom: `1px solid ${vars?.palette.divider}` },
  '& .line.head': {
    position: 'sticky',
    top: 0,
    zIndex: 1,
    height: 36,
    backgroundColor: vars?.palette.tokens.background,
  },
  '& .line.row': { position: 'absolute', top: 0, left: 0, width: '100%' },
  '& .line > *': {
    minWidth: 0,
    display: 'flex',
    alignItems: 'center',
    gap: 6,
    padding: '0 8px',
    overflow: 'hidden',
    whiteSpace: 'nowrap',
  },
  '& .text': { overflow: 'hidden', textOverflow: 'ellipsis' },
  '& .soft': { color: vars?.palette.text.secondary },
  '& .tag': { flex: 'none', padding: '0 6px', borderRadius: 4, fontSize: 11 },
  '& .tag.add': { color: vars?.palette.tokens.accent, backgroundColor: vars?.palette.tokens.accentTint },
  '& .tag.change': { color: vars?.palette.tokens.layer, backgroundColor: vars?.palette.tokens.layerTint },
  '& .tag.same': { color: vars?.palette.text.secondary, backgroundColor: vars?.palette.tokens.sunk },
  '& .tag.skip': { color: vars?.palette.tokens.brick, backgroundColor: vars?.palette.tokens.brickTint },
}));

/** Which lines are shown. */
const FILTERS = ['all', 'add', 'change', 'same', 'skip'] as const;

interface Props {
  readonly planned: readonly PlannedLine[];
  readonly columns: Columns;
  readonly onColumns: (columns: Columns) => void;
}

/** Every line of a list with what it becomes or why not; what a column holds is chosen at its head. */
export function PlannedLines({ planned, columns, onColumns }: Props) {
  const [filter, setFilter] = useState<(typeof FILTERS)[number]>('all');
  const scroller = useRef<HTMLDivElement>(null);
  const shown = useMemo(
    () => planned.filter(({ outcome }) => filter === 'all' || outcome.kind === filter),
    [planned, filter],
  );
  const lines = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => LINE,
    overscan: 10,
  });
  const { roles } = columns;
  const grid = {
    gridTemplateColumns: `48px repeat(${Math.max(1, roles.length)}, minmax(110px, 1fr)) minmax(260px, 1.8fr)`,
    minWidth: 48 + 110 * roles.length + 260,
  };
  const count = (each: (typeof FILTERS)[number]) =>
    each === 'all' ? planned.length : planned.filter(({ outcome }) => outcome.kind === each).length;
  return (
    <Box>
      <FilterChips
        label={WORDS.filter}
        chips={FILTERS.map((each) => ({
          filter: each,
          name: WORDS.outcomeFilter[each],
          count: count(each),
        }))}
        chosen={filter}
        onChoose={setFilter}
      />
      {/* It scrolls, so that keys must reach it (axe, scrollable-region-focusable). } */}
      <GridPart className="lines" ref={scroller} role="table" aria-rowcount={shown.length + 1} tabIndex={0}>
        <GridPart className="line head" role="row" style={grid}>
          <GridPart role="columnheader" className="soft">
            {WORDS.line}
          </GridPart>
          {roles.map((role, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: columns have no other name.
            <GridPart key={i} role="columnheader">
              <ChoiceField
                label={WORDS.column(i + 1)}
                value={role}
                options={COLUMN_ROLES.map((each) => [each, WORDS.roles[each]] as const)}
                onChange={(next) => onColumns({ ...columns, roles: withRole(roles, i, next) })}
              />
            </GridPart>
          ))}
          <GridPart role="columnheader" className="soft">
            {WORDS.becomes}
          </GridPart>
        </GridPart>
        <GridPart role="rowgroup" style={{ position: 'relative', height: lines.getTotalSize() }}>
          {lines.getVirtualItems().map(({ index, start }) => {
            const line = shown[index];
            if (!line) return null;
            return (
              <GridPart
                key={line.line}
                role="row"
                aria-rowindex={index + 2}
                className="line row"
                style={{ ...grid, transform: `translateY(${start}px)` }}
              >
                <GridPart role="cell" className="soft">
                  {line.line}
                </GridPart>
                {roles.map((_role, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: columns have no other name.
                  <GridPart key={i} role="cell" title={line.cells[i]}>
                    <span className="text">{line.cells[i]}</span>
                  </GridPart>
                ))}
                <GridPart role="cell">
                  <Outcome outcome={line.outcome} />
                </GridPart>
              </GridPart>
            );
          })}
        </GridPart>
      </GridPart>
    </Box>
  );
}

/** Each role is given once: where it was before is left out then. */
function withRole(roles: Columns['roles'], at: number, role: Columns['roles'][number]): Columns['roles'] {
  return roles.map((each, i) => (i === at ? role : each === role ? 'nothing' : each));
}

/** What a line becomes, or why it does not. */
function Outcome({ outcome }: { readonly outcome: LineOutcome }): ReactNode {
  const tag = (words: string) => <span className={`tag ${outcome.kind}`}>{words}</span>;
  switch (outcome.kind) {
    case 'add': {
      const { name, shortcut, family, intent } = outcome.command;
      const about = [
        FAMILY_NAMES[family].toLowerCase(),
        ...(intent ? [intentName(intent).toLowerCase()] : []),
      ];
      return (
        <>
          {tag(WORDS.outcomes.add)}
          <span className="text">{name}</span>
          <Keycap shortcut={shortcut} />
          <span className="text soft">{about.join(' · ')}</span>
        </>
      );
    }
    case 'change': {
      const fields = outcome.fields.map((field) => COMMAND_FIELD_WORDS[field]).join(', ');
      return (
        <>
          {tag(WORDS.outcomes.change(fields))}
          {outcome.fields.includes('shortcut') && (
            <>
              <Keycap shortcut={outcome.before.shortcut} /> → <Keycap shortcut={outcome.after.shortcut} />
            </>
          )}
        </>
      );
    }
    case 'same':
      return tag(WORDS.outcomes.same);
    case 'skip':
      return (
        <>
          {tag(WORDS.outcomes.skip)}
          <span className="text" title={lineProblemWords(outcome.why)}>
            {lineProblemWords(outcome.why)}
          </span>
        </>
      );
  }
}
