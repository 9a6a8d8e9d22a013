/** How long a press is held to be a hold, and how soon a second one makes a double press: milliseconds. */
export const HOLD_MS = 250;
export const DOUBLE_MS = 300;
