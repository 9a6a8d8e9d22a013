import { styled } from '@mui/material/styles';
import { itemAt, moveTo, type Program } from '@nimble-lever/core/setup';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { ProgramMenu } from './ProgramMenu.tsx';
import { ProgramSign } from './ProgramSign.tsx';
import type { Entry } from './useEntries.ts';
import { WORDS } from './words.ts';

const Line = styled('li')(({ theme: { vars } }) => ({
  position: 'relative',
  marginBottom: 3,
  '& .program': {
    width: '100%',
    display: 'grid',
    gridTemplateColumns: 'auto minmax(0, 1fr)',
    alignItems: 'center',
    gap: '3px 8px',
    padding: '7px 10px 8px',
    textAlign: 'left',
    font: 'inherit',
    color: vars?.palette.text.primary,
    backgroundColor: 'transparent',
    border: '1px solid transparent',
    borderRadius: 10,
    cursor: 'pointer',
  },
  '& .program:hover': { backgroundColor: vars?.palette.tokens.sheet },
  '& .program[aria-current=true]': {
    paddingRight: 62,
    backgroundColor: vars?.palette.tokens.sheet,
    borderColor: vars?.palette.text.primary,
    boxShadow: `inset 0 0 0 1px ${vars?.palette.text.primary}`,
  },
  '& b': { display: 'flex', gap: 6, alignItems: 'center', fontWeight: 650, fontSize: 13, minWidth: 0 },
  '& b span': { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& b em': {
    flex: 'none',
    padding: '0 6px',
    borderRadius: 4,
    fontStyle: 'normal',
    fontWeight: 400,
    fontSize: 11,
    color: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
  '& small': { fontSize: 11, color: vars?.palette.text.secondary, whiteSpace: 'nowrap', overflow: 'hidden' },
  '& .reach': {
    gridColumn: '1 / -1',
    height: 4,
    borderRadius: 2,
    backgroundColor: vars?.palette.tokens.sunk,
    overflow: 'hidden',
  },
  '& .reach i': { display: 'block', height: '100%', backgroundColor: vars?.palette.tokens.accent },
  '& .tools': { position: 'absolute', right: 6, top: 6, display: 'flex' },
  '& .tools button': {
    width: 26,
    height: 24,
    padding: 0,
    border: 0,
    borderRadius: 6,
    color: vars?.palette.text.secondary,
    background: 'none',
    cursor: 'pointer',
  },
  '& .tools .moves': { display: 'flex', flexDirection: 'column' },
  '& .tools button:hover:not(:disabled)': { backgroundColor: vars?.palette.tokens.sunk },
  '& .tools button:disabled': { opacity: 0.35, cursor: 'default' },
}));

interface Props {
  readonly entry: Entry;
  readonly shown: boolean;
  readonly onShow: (program: string | null) => void;
}

/** One program of the list; what can be done with it stands at the one that is shown. */
export function ProgramEntry({ entry, shown, onShow }: Props) {
  const { program, name, commands, reached, open, inFront } = entry;
  const states = [
    WORDS.commands(commands),
    ...(program ? [] : [WORDS.underAll]),
    ...(open && !inFront ? [WORDS.open] : []),
  ];
  return (
    <Line>
      <button
        type="button"
        className="program"
        aria-current={shown}
        title={WORDS.inReach(reached, commands)}
        onClick={() => onShow(program?.id ?? null)}
      >
        <ProgramSign colour={program?.colour ?? null} icon={program ? program.icon : 'layers'} />
        <span>
          <b>
            <span>{name}</span>
            {inFront && <em>{WORDS.inFront}</em>}
          </b>
          <small>{states.join(' · ')}</small>
        </span>
        <span className="reach">
          <i style={{ width: `${commands === 0 ? 0 : (100 * reached) / commands}%` }} />
        </span>
      </button>
      {shown && program && (
        <span className="tools">
          <Moves program={program} />
          <ProgramMenu key={program.id} program={program} onShow={onShow} />
        </span>
      )}
    </Line>
  );
}

/** Its place in the list is that of its column on the Board, and decides between rules that fit as well. */
function Moves({ program: { id, name } }: { readonly program: Program }) {
  const dispatch = useAppDispatch();
  const { programs } = useAppSelector(selectSetup);
  const at = programs.findIndex((program) => program.id === id);
  const move = (to: number) => dispatch(makeEdit(moveTo(itemAt.program(id), programs, id, to)));
  return (
    <span className="moves">
      <button type="button" aria-label={WORDS.up(name)} disabled={at <= 0} onClick={() => move(at - 1)}>
        <ChevronUp size={15} aria-hidden />
      </button>
      <button
        type="button"
        aria-label={WORDS.down(name)}
        disabled={at === programs.length - 1}
        onClick={() => move(at + 1)}
      >
        <ChevronDown size={15} aria-hidden />
      </button>
    </span>
  );
}
