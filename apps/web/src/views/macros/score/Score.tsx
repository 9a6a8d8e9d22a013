import { styled } from '@mui/material/styles';
import {
  addSteps,
  chosenSteps,
  type MacroEstimate,
  moveSteps,
  type StepSpot,
} from '@nimble-lever/core/macros';
import { type BareStep, isBlock, type Macro } from '@nimble-lever/core/setup';
import { STEP_KINDS, stepWords } from '@nimble-lever/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import {
  type ClipboardEvent,
  type DragEvent,
  type KeyboardEvent,
  useEffect,
  useId,
  useRef,
  useState,
} from 'react';
import { makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import type { TrialState } from '../../../practice/startTrial.ts';
import { newStepId, removeMacroSteps, toggleSkipped } from '../macroEdits.ts';
import type { ScoreRow } from '../rows.ts';
import { timeBetween, timeShown } from '../times.ts';
import { WORDS } from '../words.ts';
import { INDENT, ROW, ScoreList } from './ScoreList.tsx';
import { StepLine } from './StepLine.tsx';
import { copiedSteps, pastedSteps } from './stepClipboard.ts';
import type { Selection } from './useSelection.ts';

/** What a step that is dragged is called while it is on its way. */
export const DRAGGED_STEPS = 'application/x-nimble-lever-steps';
export const DRAGGED_KIND = 'application/x-nimble-lever-step-kind';

/** A step's place in the list; the list has the keys for all of them. */
const Row = styled('div')({});

interface Props {
  readonly macro: Macro;
  readonly rows: readonly ScoreRow[];
  readonly times: MacroEstimate;
  readonly selection: Selection;
  readonly trial: TrialState | null;
  /** Steps with something worth a look. */
  readonly flagged: ReadonlySet<string>;
  /** Puts the keys where the selected step is changed. */
  readonly onEdit: () => void;
  /** A new step of a kind was let go at a spot. */
  readonly onDropKind: (kind: string, spot: StepSpot) => void;
}

/** The steps of a macro as a score, read downwards: times at the left, waits as gaps, blocks around their steps. */
export function Score({ macro, rows, times, selection, trial, flagged, onEdit, onDropKind }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const list = useRef<HTMLDivElement>(null);
  const base = useId();
  const [focused, setFocused] = useState(false);
  const [over, setOver] = useState<{ readonly id: string; readonly where: 'below' | 'inside' } | null>(null);
  const { ids, at } = selection;
  const place = rows.findIndex(({ step }) => step.id === at);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  useEffect(() => {
    if (place >= 0) virtual.scrollToIndex(place, { align: 'auto' });
  }, [place, virtual]);
  const now = trial?.next ?? null;
  const nowPlace = rows.findIndex(({ step }) => step.id === now);
  useEffect(() => {
    if (nowPlace >= 0) virtual.scrollToIndex(nowPlace, { align: 'auto' });
  }, [nowPlace, virtual]);

  const moveBy = (by: 1 | -1) => {
    const chosen = rows.filter(({ step }) => ids.has(step.id));
    const [first] = chosen;
    const last = chosen.at(-1);
    if (!first || !last) return;
    // Past the one beside it, in its own list.
    const beside = rows.filter(({ block, step }) => block === first.block && !ids.has(step.id));
    const before = beside.filter((row) => rows.indexOf(row) < rows.indexOf(first));
    const after = beside.find((row) => rows.indexOf(row) > rows.indexOf(last));
    const target = by > 0 ? after : before.at(-2);
    if (by > 0 && !after) return;
    if (by < 0 && before.length === 0) return;
    const spot: StepSpot = target ? { beside: target.step.id } : { inside: first.block };
    dispatch(makeEdits(moveSteps(macro, ids, spot)));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const { key, shiftKey, altKey, ctrlKey, metaKey } = event;
    const to = { ArrowDown: place + 1, ArrowUp: place - 1, Home: 0, End: rows.length - 1 }[key];
    if (to !== undefined) {
      event.preventDefault();
      if (altKey && (key === 'ArrowDown' || key === 'ArrowUp')) return moveBy(key === 'ArrowDown' ? 1 : -1);
      const row = rows[Math.max(0, Math.min(rows.length - 1, to))];
      if (row) selection.choose(row.step.id, shiftKey ? 'range' : 'one');
    } else if (key === 'Delete' || key === 'Backspace') {
      event.preventDefault();
      removeChosen();
    } else if ((ctrlKey || metaKey) && key.toLowerCase() === 'a') {
      event.preventDefault();
      selection.chooseAll(rows.map(({ step }) => step.id));
    } else if (key === '#' && ids.size > 0) {
      event.preventDefault();
      const chosen = rows.filter(({ step }) => ids.has(step.id));
      dispatch(
        toggleSkipped(
          macro,
          ids,
          chosen.some(({ step }) => !step.skipped),
        ),
      );
    } else if ((key === 'Enter' || key === 'F2') && at !== null) {
      event.preventDefault();
      onEdit();
    }
  };
  const removeChosen = () => {
    if (ids.size === 0) return;
    const after =
      rows.find((row, i) => i > place && !ids.has(row.step.id)) ??
      rows.findLast(({ step }) => !ids.has(step.id));
    dispatch(removeMacroSteps(macro, ids));
    if (after) selection.choose(after.step.id, 'one');
  };
  const copy = (event: ClipboardEvent, cuts: boolean) => {
    if (ids.size === 0) return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', copiedSteps(chosenSteps(macro, ids)));
    if (cuts) removeChosen();
  };
  const paste = (event: ClipboardEvent) => {
    const steps = pastedSteps(event.clipboardData.getData('text/plain'));
    if (!steps) return;
    event.preventDefault();
    put(steps, at === null ? { inside: null } : { beside: at });
  };
  const put = (steps: readonly BareStep[], spot: StepSpot) => {
    const edits = addSteps(macro, spot, steps, newStepId);
    dispatch(makeEdits(edits));
    const added = edits.flatMap((edit) => (edit.kind === 'add' ? [(edit.item as { id: string }).id] : []));
    if (added.length > 0) selection.chooseAll(added);
  };
  const spotOf = (event: DragEvent, row: ScoreRow): 'below' | 'inside' => {
    const box = event.currentTarget.getBoundingClientRect();
    return isBlock(row.step) && event.clientX - box.left > 110 + INDENT * (row.depth + 1)
      ? 'inside'
      : 'below';
  };
  const drop = (event: DragEvent, spot: StepSpot) => {
    event.preventDefault();
    event.stopPropagation();
    setOver(null);
    const kind = event.dataTransfer.getData(DRAGGED_KIND);
    if (kind) onDropKind(kind, spot);
    else if (event.dataTransfer.types.includes(DRAGGED_STEPS)) {
      if (event.ctrlKey) put(chosenSteps(macro, ids), spot);
      else dispatch(makeEdits(moveSteps(macro, ids, spot)));
    }
  };
  const last = rows.findLast(({ depth }) => depth === 0);
  return (
    <ScoreList
      ref={list}
      role={rows.length === 0 ? 'group' : 'listbox'}
      aria-label={WORDS.score}
      aria-description={WORDS.scoreKeys}
      aria-multiselectable={rows.length === 0 ? undefined : true}
      aria-activedescendant={at === null ? undefined : `${base}${at}`}
      tabIndex={0}
      data-focused={focused}
      onFocus={() => {
        setFocused(true);
        const [first] = rows;
        if (at === null && first) selection.choose(first.step.id, 'one');
      }}
      onBlur={() => setFocused(false)}
      onKeyDown={onKeyDown}
      onCopy={(event) => copy(event, false)}
      onCut={(event) => copy(event, true)}
      onPaste={paste}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => drop(event, last ? { beside: last.step.id } : { inside: null })}
    >
      {rows.length === 0 && <p className="empty">{WORDS.emptyScore}</p>}
      <div className="all" role="presentation" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          const { step, depth, number } = row;
          const span = times.steps.get(step.id);
          const isGap = step.kind === 'wait' || step.kind === 'until';
          return (
            <Row
              key={step.id}
              id={`${base}${step.id}`}
              className="row"
              role="option"
              aria-selected={ids.has(step.id)}
              aria-label={WORDS.step(number, STEP_KINDS[step.kind], stepWords(setup, step))}
              data-step={step.id}
              data-at={step.id === at}
              data-gap={isGap}
              data-now={step.id === now}
              data-done={step.id === trial?.last}
              data-over={over?.id === step.id ? over.where : undefined}
              style={{ transform: `translateY(${start}px)` }}
              draggable
              onPointerDown={(event) => {
                const how = event.shiftKey ? 'range' : event.ctrlKey || event.metaKey ? 'more' : 'one';
                // One of several stays among them, so that all can be dragged; a click alone picks it out below.
                if (how !== 'one' || !ids.has(step.id)) selection.choose(step.id, how);
              }}
              onClick={(event) => {
                if (!event.shiftKey && !event.ctrlKey && !event.metaKey) selection.choose(step.id, 'one');
              }}
              onDoubleClick={onEdit}
              onDragStart={(event) => {
                event.dataTransfer.setData(DRAGGED_STEPS, step.id);
                event.dataTransfer.effectAllowed = 'copyMove';
              }}
              onDragOver={(event) => {
                event.preventDefault();
                event.stopPropagation();
                const where = spotOf(event, row);
                if (over?.id !== step.id || over.where !== where) setOver({ id: step.id, where });
              }}
              onDragLeave={() => setOver(null)}
              onDragEnd={() => setOver(null)}
              onDrop={(event) =>
                drop(event, spotOf(event, row) === 'inside' ? { inside: step.id } : { beside: step.id })
              }
            >
              <time title={timeBetween(span)}>{row.skipped ? '' : timeShown(span)}</time>
              <span className="line">{!isGap && <span className="dot" />}</span>
              <div
                style={{ flex: 1, minWidth: 0, display: 'flex', marginLeft: depth * INDENT, borderRadius: 8 }}
              >
                <StepLine
                  setup={setup}
                  row={row}
                  program={macro.program}
                  selected={ids.has(step.id)}
                  now={step.id === now}
                  flagged={flagged.has(step.id)}
                  waited={trial?.waits.get(step.id)}
                />
              </div>
            </Row>
          );
        })}
      </div>
    </ScoreList>
  );
}
