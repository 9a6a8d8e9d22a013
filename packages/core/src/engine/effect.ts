/** What a binding's action sends, ready to go. */
export type Effect =
  | { readonly kind: 'keys'; readonly codes: readonly string[] }
  | { readonly kind: 'wheel'; readonly ticks: number };

/** What can be sent: a binding's effect, or a pointer button of the control itself. */
export type Sendable = Effect | { readonly kind: 'button'; readonly button: number };
