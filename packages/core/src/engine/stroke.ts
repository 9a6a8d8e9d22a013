/** One thing sent out to the program in front. `cause` is the number of the event behind it. */
export type Stroke = { readonly t: number; readonly cause: number } & (
  | { readonly kind: 'key-down' | 'key-up' /** W3C `KeyboardEvent.code`. */; readonly code: string }
  | {
      readonly kind: 'button-down' | 'button-up';
      /** W3C `MouseEvent.button`. */ readonly button: number;
    }
  | { readonly kind: 'wheel' /** Positive away from the person. */; readonly ticks: number }
);

/** What the engine itself changed. */
export type StateChange = { readonly kind: 'profile'; readonly from: string; readonly to: string };
