import type { Edit, Entry, Refusal } from '@nimble-lever/core/setup';

/** An entry that the server could not save, as it is kept, with why and since when. */
export interface AsideEntry {
  readonly entry: Entry;
  readonly edit: Edit;
  readonly detail: string;
  readonly at: string;
}

/** Something the person must know. */
export type Notice =
  /** An edit that could not be kept, and why: our own reason or what the server said. */
  | {
      readonly kind: 'refused';
      readonly id: string;
      readonly edit: Edit | null;
      readonly refusal: Refusal | null;
      readonly detail: string | null;
      /** It was shown as done before it was refused: then it was taken back, and must be read. */
      readonly takenBack: boolean;
    }
  /** Someone changed what was changed here, without having seen it; `back` puts one's own back. */
  | {
      readonly kind: 'overwritten';
      readonly id: string;
      readonly by: string;
      readonly at: string;
      readonly fields: readonly string[];
      readonly back: Edit;
    }
  /** An edit that the server could not save is kept aside. */
  | { readonly kind: 'aside'; readonly id: string; readonly edit: Edit; readonly detail: string }
  /** Something did not work that was asked for, in words. */
  | { readonly kind: 'said'; readonly id: string; readonly words: string };

/** Whether a notice only tells that what was just tried was not done: nothing is lost by it. */
export function isPassing(notice: Notice): boolean {
  return notice.kind === 'said' || (notice.kind === 'refused' && !notice.takenBack);
}

/** More than these hide the view; the oldest goes. */
const MOST_NOTICES = 5;

/** A state with one more notice; one about the same thing makes way, and of many the oldest. */
export function withNotice<State extends { readonly notices: readonly Notice[] }>(
  state: State,
  notice: Notice,
): State {
  const others = state.notices.filter(({ id }) => id !== notice.id);
  return { ...state, notices: [...others, notice].slice(-MOST_NOTICES) };
}
