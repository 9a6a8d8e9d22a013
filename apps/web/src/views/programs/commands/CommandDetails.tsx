import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { columnOf, proposeFor, reachOf } from '@nimble-lever/core/programs';
import { type Command, keyOf, type Setup } from '@nimble-lever/core/setup';
import { intentName, profileName } from '@nimble-lever/core/words';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { raiseWindow } from '../../../practice/frontWindow.ts';
import { windowOfProgram } from '../../../practice/windowOfProgram.ts';
import { WORDS } from '../words.ts';
import { CommandKeys } from './CommandKeys.tsx';
import { type Row, whereWords } from './useRows.ts';
import type { SheetModel } from './useSheet.ts';
import type { SheetEdits } from './useSheetEdits.ts';
import { useToBoard } from './useToBoard.ts';

const Box = styled('aside')(({ theme: { vars } }) => ({
  flex: 'none',
  height: 168,
  display: 'grid',
  gridTemplateColumns: 'minmax(190px, 1.25fr) minmax(160px, 1fr) minmax(170px, 1fr) minmax(190px, 1fr)',
  overflow: 'auto hidden',
  borderTop: `1px solid ${vars?.palette.divider}`,
  '& > section': {
    minWidth: 0,
    overflow: 'auto',
    padding: '10px 16px',
    display: 'flex',
    flexDirection: 'column',
    gap: 6,
  },
  '& > section + section': { borderLeft: `1px solid ${vars?.palette.divider}` },
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& h3': { margin: 0, fontSize: 12, fontWeight: 400, color: vars?.palette.text.secondary },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& .buttons': { display: 'flex', flexWrap: 'wrap', gap: 6 },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
  '& .same': { display: 'flex', flexWrap: 'wrap', gap: '0 12px' },
  '& .at': {
    padding: '2px 6px',
    margin: '0 -6px',
    border: 0,
    borderRadius: 6,
    font: 'inherit',
    fontSize: 12,
    textAlign: 'left',
    color: vars?.palette.text.primary,
    background: 'none',
    cursor: 'pointer',
    minHeight: 24,
  },
  '& .at:hover': { backgroundColor: vars?.palette.tokens.sunk },
  '& .at small': { color: vars?.palette.text.secondary, fontSize: 12 },
}));

interface Props {
  readonly program: string | null;
  readonly rows: readonly Row[];
  readonly sheet: SheetModel;
  readonly edits: SheetEdits;
  readonly onPlace: (row: Row, anchor: HTMLElement) => void;
}

/** What is known of the command that is chosen, and what can be done with it; with several, with all of them. */
export function CommandDetails({ program, rows, sheet, edits, onPlace }: Props) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const toBoard = useToBoard();
  const setup = useAppSelector(selectSetup);
  const { chosen } = sheet;
  const row = rows.find(({ id }) => id === chosen[0]);
  const owner = setup.programs.find(({ id }) => id === program);
  const window = owner ? windowOfProgram(owner) : null;
  const others = useMemo(() => (row ? sameIntent(setup, row.command, program) : []), [setup, row, program]);
  if (!row) return null;
  const { command, reach } = row;
  const proposed = command.intent === null ? proposeFor(command.name).intent : null;
  const [first] = reach;
  if (chosen.length > 1) {
    return (
      <Box aria-label={WORDS.details}>
        <section>
          <h2>{WORDS.several(chosen.length)}</h2>
          <div className="buttons">
            <Button onClick={sheet.fillChosen}>{WORDS.fillDown}</Button>
            <Button onClick={sheet.removeChosen}>{WORDS.remove}</Button>
          </div>
        </section>
      </Box>
    );
  }
  return (
    <Box aria-label={WORDS.details}>
      <section>
        <h2>{command.name}</h2>
        {command.risky && <p>{WORDS.riskyMeans}</p>}
        {command.note !== null && <p>{command.note}</p>}
        <div className="buttons">
          <Button onClick={({ currentTarget }) => onPlace(row, currentTarget)}>{WORDS.place}</Button>
          {first && <Button onClick={() => toBoard(first.slot)}>{WORDS.showOnBoard}</Button>}
          {window && (
            <Button
              onClick={() => {
                dispatch(raiseWindow(window));
                void navigate('/rehearse');
              }}
            >
              {WORDS.rehearse}
            </Button>
          )}
          <Button onClick={sheet.removeChosen}>{WORDS.remove}</Button>
        </div>
      </section>
      <section>
        <h3>{WORDS.columns.where}</h3>
        {reach.length === 0 && <p>{WORDS.noControl}</p>}
        {reach.map((at) => (
          <button
            key={`${at.slot.profile} ${keyOf(at.slot)}`}
            type="button"
            className="at"
            onClick={() => toBoard(at.slot)}
          >
            {whereWords(setup, at)}{' '}
            {at.decidedBy !== at.slot.profile && (
              <small>{WORDS.fromProfile(profileName(setup, at.decidedBy))}</small>
            )}
          </button>
        ))}
      </section>
      <section>
        <h3>{WORDS.sameIntent}</h3>
        {first && others.length > 0 && (
          <p>
            {WORDS.sameControl(others.filter(({ at }) => at.has(keyOf(first.slot))).length, others.length)}
          </p>
        )}
        {command.intent === null ? (
          <>
            <p>{WORDS.noIntentMeans}</p>
            {proposed !== null && (
              <div className="buttons">
                <Button onClick={() => edits.change(command, { intent: proposed })}>
                  {WORDS.takeIntent(intentName(proposed).toLowerCase())}
                </Button>
              </div>
            )}
          </>
        ) : others.length === 0 ? (
          <p>{WORDS.nobodyElse}</p>
        ) : (
          <div className="same">
            {others.map(({ id, name, shortcut }) => (
              <button
                key={id}
                type="button"
                className="at"
                title={WORDS.showProgram(name)}
                onClick={() => void navigate(`/programs?of=${encodeURIComponent(id)}`)}
              >
                {name} <Keycap shortcut={shortcut} />
              </button>
            ))}
          </div>
        )}
      </section>
      <section>
        <h3>{WORDS.typing}</h3>
        <CommandKeys command={command} programBy={owner?.keysBy ?? 'character'} edits={edits} />
      </section>
    </Box>
  );
}

/** Commands of other programs with the same intent, and the controls that reach them. */
function sameIntent(setup: Setup, { intent }: Command, program: string | null) {
  if (intent === null) return [];
  return setup.programs.flatMap(({ id, name, commands }) => {
    const same = id === program ? undefined : commands.find((each) => each.intent === intent);
    if (!same) return [];
    const reach = reachOf(setup, columnOf(setup, id)).get(same.id) ?? [];
    return [{ id, name, shortcut: same.shortcut, at: new Set(reach.map(({ slot }) => keyOf(slot))) }];
  });
}
