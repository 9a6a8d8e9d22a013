import type { KeysBy } from '../keys/layouts/index.ts';
import type { Action, Guard, Message, Place, PressStyle, Repeat } from '../setup/index.ts';

/** Actions that need no preparing and change something of the engine's own; the others become keys, buttons and ticks. */
export type OwnChange = Extract<
  Action,
  {
    kind:
      | 'layer'
      | 'page'
      | 'profile'
      | 'speed'
      | 'wheel-mode'
      | 'computer'
      | 'program'
      | 'radial'
      | 'show'
      | 'macro';
  }
>;

/** What an action sends or changes, ready to go. */
export type Effect =
  | { readonly kind: 'keys'; readonly typed: Typed }
  | { readonly kind: 'intent'; readonly intent: string }
  | { readonly kind: 'sequence'; readonly typed: readonly Typed[] }
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'button'; readonly button: number }
  | {
      readonly kind: 'click';
      readonly button: number;
      readonly count: number;
      readonly at: Place | null;
      /** Held meanwhile; in our notation. */
      readonly keys?: string | undefined;
    }
  | { readonly kind: 'drag'; readonly keys: string | null; readonly button: number }
  | {
      readonly kind: 'wheel';
      readonly ticks: number;
      readonly axis: 'vertical' | 'horizontal';
      readonly keys?: string | undefined;
    }
  | { readonly kind: 'message'; readonly message: Message }
  | Readonly<OwnChange>;

/** A shortcut that is to be read; which keys that takes is found when it is sent, by who receives it. */
export interface Typed {
  /** In our notation; steps are parted by commas. */
  readonly shortcut: string;
  /** What the command goes by, where that is not what its program goes by. */
  readonly keysBy: KeysBy | null;
  /** The command's shortcuts on some layouts, by their ids. */
  readonly onLayout: Readonly<Record<string, string>>;
}

/** An effect with how it is sent and where to. */
export interface Sending {
  /** What is sent or changed. */
  readonly effect: Effect;
  readonly style: PressStyle;
  readonly repeat: Repeat;
  /** What a press asks for first. */
  readonly guard: Guard | null;
  /** Who gets it; null is the program in front. */
  readonly programs: readonly (string | null)[];
  /** Whether that program is brought to the front first. */
  readonly focus: boolean;
}
