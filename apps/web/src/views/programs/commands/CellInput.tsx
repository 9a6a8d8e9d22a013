import { type KeyboardEvent, useRef, useState } from 'react';

/** Which way one goes on after a cell: down with Enter, on with Tab; nowhere where it is only left. */
export type Onward = 'down' | 'on' | 'back' | 'stay';

interface Props {
  readonly label: string;
  readonly begins: string;
  /** Whether what stands there is selected; else the caret is behind it. */
  readonly selected: boolean;
  readonly isKeys: boolean;
  /** The id of a list of what others have. */
  readonly list?: string | undefined;
  readonly most: number;
  /** Takes what was typed; false where it does not fit, and then it stays to be mended. */
  readonly onTake: (text: string, onward: Onward) => boolean;
  /** Leaves it as it was; `back`: the keys go back to the cell. */
  readonly onLeave: (back: boolean) => void;
}

/** A cell being typed into. Enter, Tab and leaving it take what was typed; Escape leaves it as it was. */
export function CellInput({ label, begins, selected, isKeys, list, most, onTake, onLeave }: Props) {
  const [text, setText] = useState(begins);
  const [wrong, setWrong] = useState(false);
  const ended = useRef(false);
  const take = (onward: Onward) => {
    if (ended.current) return;
    ended.current = true;
    if (onTake(text, onward)) return;
    ended.current = false;
    setWrong(true);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    // Keys in a field are the field's: the sheet's own would go on to other cells.
    event.stopPropagation();
    // Enter that ends a composition belongs to that.
    if (event.nativeEvent.isComposing) return;
    if (event.key === 'Escape') {
      ended.current = true;
      event.preventDefault();
      onLeave(true);
    } else if (event.key === 'Enter' || event.key === 'Tab') {
      event.preventDefault();
      take(event.key === 'Enter' ? 'down' : event.shiftKey ? 'back' : 'on');
    }
  };
  return (
    <input
      // biome-ignore lint/a11y/noAutofocus: the cell that was asked to be edited takes the keys.
      autoFocus
      className={isKeys ? 'text keys' : 'text'}
      aria-label={label}
      aria-invalid={wrong}
      value={text}
      list={list}
      maxLength={most}
      spellCheck={false}
      autoComplete="off"
      onFocus={({ target }) => selected && target.select()}
      onChange={({ target }) => {
        setText(target.value);
        setWrong(false);
      }}
      onKeyDown={onKeyDown}
      onBlur={() => {
        if (ended.current) return;
        if (text === begins) onLeave(false);
        else take('stay');
      }}
      onCopy={(event) => event.stopPropagation()}
      onCut={(event) => event.stopPropagation()}
      onPaste={(event) => event.stopPropagation()}
    />
  );
}
