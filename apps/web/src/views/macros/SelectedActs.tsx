import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { unwrapStep } from '@nimble-lever/core/macros';
import { isBlock, type Macro } from '@nimble-lever/core/setup';
import { makeEdits } from '../../app/setup/edits.ts';
import { useAppDispatch } from '../../app/store.ts';
import type { ScoreRow } from './rows.ts';
import { WORDS } from './words.ts';

const Line = styled('div')({
  display: 'flex',
  flexWrap: 'wrap',
  gap: 6,
  marginTop: 10,
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
});

interface Props {
  readonly macro: Macro;
  readonly rows: readonly ScoreRow[];
  readonly ids: ReadonlySet<string>;
  readonly onSkip: (skipped: boolean) => void;
  readonly onRemove: () => void;
  /** Records what comes behind them. */
  readonly onRecord: () => void;
}

/** What can be done with the steps that are selected. */
export function SelectedActs({ macro, rows, ids, onSkip, onRemove, onRecord }: Props) {
  const dispatch = useAppDispatch();
  const chosen = rows.filter(({ step }) => ids.has(step.id)).map(({ step }) => step);
  const [only] = chosen;
  const skips = chosen.some(({ skipped }) => !skipped);
  return (
    <Line>
      <Button title="#" onClick={() => onSkip(skips)}>
        {skips ? WORDS.skip : WORDS.takeIn}
      </Button>
      {chosen.length === 1 && only && isBlock(only) && (
        <Button onClick={() => dispatch(makeEdits(unwrapStep(macro, only.id)))}>{WORDS.unwrap}</Button>
      )}
      <Button onClick={onRemove}>{WORDS.removeStep}</Button>
      <Button onClick={onRecord}>{WORDS.recordHere}</Button>
    </Line>
  );
}
