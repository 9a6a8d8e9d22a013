import IconButton from '@mui/material/IconButton';
import { editWords } from '@nimble-lever/core/words';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { letterOf } from '../letterOf.ts';
import { redo, undo } from '../setup/edits.ts';
import { selectHistory, selectSetup } from '../setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { WORDS } from './words.ts';

/** Undo and redo, by button and by Ctrl+Z and Ctrl+Shift+Z anywhere but in a text. */
export function UndoButtons() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const history = useAppSelector(selectHistory);
  const hasOlder = useAppSelector((state) => state.setup.hasOlder);
  const lastUndo = history.undo.at(-1)?.edit;
  const lastRedo = history.redo.at(-1)?.edit;

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      // Strokes that the engine sends to a practice program are events too; they are not the person's.
      if (!event.isTrusted || event.defaultPrevented || isText(event.target)) return;
      if (!(event.ctrlKey || event.metaKey) || event.altKey || letterOf(event) !== 'z') return;
      event.preventDefault();
      void dispatch(event.shiftKey ? redo() : undo());
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [dispatch]);

  const undoWords = lastUndo
    ? WORDS.undo(editWords(setup, lastUndo))
    : hasOlder
      ? WORDS.undo(WORDS.earlierEdit)
      : WORDS.nothingToUndo;
  const canRedo = lastRedo !== undefined || (history.needsOlder && hasOlder);
  const redoWords = lastRedo
    ? WORDS.redo(editWords(setup, lastRedo))
    : canRedo
      ? WORDS.redo(WORDS.earlierEdit)
      : WORDS.nothingToRedo;
  const turn = (which: typeof undo) => () => void dispatch(which());
  return (
    <>
      {/* On the span: a disabled button tells nothing of itself. } */}
      <span title={undoWords}>
        <IconButton aria-label={undoWords} disabled={!lastUndo && !hasOlder} onClick={turn(undo)}>
          <Undo2 size={18} aria-hidden />
        </IconButton>
      </span>
      <span title={redoWords}>
        <IconButton aria-label={redoWords} disabled={!canRedo} onClick={turn(redo)}>
          <Redo2 size={18} aria-hidden />
        </IconButton>
      </span>
    </>
  );
}

/** Whether Ctrl+Z belongs to a text that is being typed; the browser's own undo works there. */
function isText(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('input, textarea, [contenteditable=true]') !== null;
}
