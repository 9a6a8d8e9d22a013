import {
  type CommandRow,
  commandsFrom,
  type Running,
  remember,
  type StandIn,
  type Undoable,
  undoRows,
  within,
} from './standIn.ts';

/** A card of the story. */
interface Card {
  readonly text: string;
  /** To be looked at again. */
  readonly marked: boolean;
}
/** What undo brings back, the caret with it, as writers expect. */
interface Kept {
  readonly cards: readonly Card[];
  readonly at: number;
  /** Where typing goes, and where the selection began: characters from the start of the card. */
  readonly caret: number;
  readonly anchor: number;
}

/** Quillboard’s cards and the place of the text cursor. */
export interface QuillboardState extends Kept, Undoable<Kept>, Running {
  /** The program's own clipboard: the system's is not asked for. */
  readonly copied: string;
}

/** The story of the demo. */
const INITIAL: QuillboardState = {
  cards: [
    { text: 'The heron waits in the rain. Her umbrella is still closed.', marked: false },
    { text: 'A gust. The umbrella opens by itself and lifts her off the water.', marked: true },
    { text: 'High above the marsh she learns to steer.', marked: false },
  ],
  at: 0,
  caret: 0,
  anchor: 0,
  copied: '',
  lastCommand: null,
  past: [],
  future: [],
};

/** The card that is written on. */
export function cardOf({ cards, at }: Kept): Card {
  return cards[at] ?? { text: '', marked: false };
}

/** What is selected, from its first character to after its last. */
export function selectionOf({ caret, anchor }: Kept): readonly [from: number, to: number] {
  return [Math.min(caret, anchor), Math.max(caret, anchor)];
}

/** The end of the word that begins at or after a place. */
export function wordEnd(text: string, from: number): number {
  const rest = /^[^\p{L}\p{N}]*[\p{L}\p{N}]+/u.exec(text.slice(from));
  return rest ? from + rest[0].length : text.length;
}

/** The start of the word that ends at or before a place. */
export function wordStart(text: string, from: number): number {
  const rest = /[\p{L}\p{N}]+[^\p{L}\p{N}]*$/u.exec(text.slice(0, from));
  return rest ? rest.index : 0;
}

/** The part of the state that undo brings back. */
const kept = ({ cards, at, caret, anchor }: QuillboardState): Kept => ({ cards, at, caret, anchor });
/** The caret moved; nothing is selected then. */
const moved = (state: QuillboardState, caret: number): QuillboardState => ({
  ...state,
  caret,
  anchor: caret,
});
/** The caret moved with Shift: what was selected grows or shrinks. */
const selectedTo = (state: QuillboardState, caret: number): QuillboardState => ({ ...state, caret });
/** A card written anew, with what was before kept for undo. */
const rewritten = (state: QuillboardState, card: Card, caret: number, anchor = caret): QuillboardState => ({
  ...state,
  ...remember(state, kept(state)),
  cards: state.cards.with(state.at, card),
  caret,
  anchor,
});

/** Puts text in place of what is selected. */
function typed(state: QuillboardState, text: string): QuillboardState {
  const card = cardOf(state);
  const [from, to] = selectionOf(state);
  return rewritten(
    state,
    { ...card, text: card.text.slice(0, from) + text + card.text.slice(to) },
    from + text.length,
  );
}
/** Changes what is selected, or else the word at the caret, and selects it. */
function changedWords(state: QuillboardState, change: (text: string) => string): QuillboardState {
  const card = cardOf(state);
  const [from, to] = selectionOf(state);
  const [start, end] =
    from === to ? [wordStart(card.text, wordEnd(card.text, from)), wordEnd(card.text, from)] : [from, to];
  const changed = change(card.text.slice(start, end));
  const text = card.text.slice(0, start) + changed + card.text.slice(end);
  return rewritten(state, { ...card, text }, start + changed.length, start);
}
/** To a card, the caret at its start. */
const toCard = (state: QuillboardState, at: number): QuillboardState =>
  moved({ ...state, at: within(at, 0, state.cards.length - 1) }, 0);
/** The text of the card that is shown. */
const textOf = (state: QuillboardState) => cardOf(state).text;
/** What is selected of it. */
const selectedText = (state: QuillboardState) => textOf(state).slice(...selectionOf(state));
/** What is selected goes, or else the word before the caret. */
const deletedBack = (state: QuillboardState): QuillboardState => {
  const [from, to] = selectionOf(state);
  return from === to ? typed({ ...state, anchor: wordStart(textOf(state), from) }, '') : typed(state, '');
};

// What each command says in the status line.
const caretWords = (state: QuillboardState) => {
  const text = selectedText(state);
  return text ? `“${text.trim()}” is selected.` : `At character ${state.caret} of ${textOf(state).length}.`;
};
const cardWords = ({ at, cards }: QuillboardState) => `Card ${at + 1} of ${cards.length}.`;

/** Its commands: shortcut, name, what it does to the state, what is said then. */
const ROWS: readonly CommandRow<QuillboardState>[] = [
  ['Ctrl+ArrowRight', 'Next word', (state) => moved(state, wordEnd(textOf(state), state.caret))],
  ['Ctrl+ArrowLeft', 'Previous word', (state) => moved(state, wordStart(textOf(state), state.caret))],
  [
    'Ctrl+Shift+ArrowRight',
    'Select a word on',
    (state) => selectedTo(state, wordEnd(textOf(state), state.caret)),
  ],
  [
    'Ctrl+Shift+ArrowLeft',
    'Select a word back',
    (state) => selectedTo(state, wordStart(textOf(state), state.caret)),
  ],
  ['Ctrl+Home', 'Start of the card', (state) => moved(state, 0)],
  ['Ctrl+End', 'End of the card', (state) => moved(state, textOf(state).length)],
  ['PageDown', 'Next card', (state) => toCard(state, state.at + 1), cardWords],
  ['PageUp', 'Previous card', (state) => toCard(state, state.at - 1), cardWords],
  [
    'Ctrl+Enter',
    'New card',
    (state) => {
      const cards = state.cards.toSpliced(state.at + 1, 0, { text: '', marked: false });
      return toCard({ ...state, ...remember(state, kept(state)), cards }, state.at + 1);
    },
    cardWords,
  ],
  ['Ctrl+Backspace', 'Delete the word before', deletedBack],
  ['Ctrl+B', 'Stress the words', (state) => changedWords(state, (text) => `*${text.trim()}*`)],
  ['Ctrl+Shift+K', 'Capitals', (state) => changedWords(state, (text) => text.toUpperCase())],
  [
    'Ctrl+M',
    'Mark for later',
    (state) =>
      rewritten(state, { ...cardOf(state), marked: !cardOf(state).marked }, state.caret, state.anchor),
    (state) => (cardOf(state).marked ? 'The card is marked.' : 'The mark is gone.'),
  ],
  ['Ctrl+C', 'Copy', (state) => ({ ...state, copied: selectedText(state) })],
  ['Ctrl+X', 'Cut', (state) => typed({ ...state, copied: selectedText(state) }, '')],
  ['Ctrl+V', 'Paste', (state) => typed(state, state.copied)],
];

/** Undo and redo as this program has them. */
const UNDO = undoRows<QuillboardState, Kept>('Ctrl+Y', kept, (state, before) => ({ ...state, ...before }));

/** Script and storyboard: cards of text with word-wise selection. */
export const QUILLBOARD_PROGRAM: StandIn<QuillboardState> = {
  initial: INITIAL,
  keysBy: 'character',
  commands: commandsFrom([...ROWS, ...UNDO], caretWords),
  wheel: { by: 'ticks', turn: (state, ticks) => toCard(state, state.at - ticks) },
  text: typed,
};
