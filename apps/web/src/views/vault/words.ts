/** The words of the Vault. */
export const WORDS = {
  history: 'History',
  search: 'Search history',
  about: 'About',
  anything: 'anything',
  by: 'By',
  anyone: 'anyone',
  unreadable: 'an edit that cannot be read any more',
  undid: (what: string) => `took back: ${what}`,
  again: (what: string) => `did again: ${what}`,
  reading: 'Reading…',
  older: 'Read older edits',
  first: 'The first edit. Before it the set-up was as it began.',
  none: 'Nothing was changed yet. Every edit will stand here, with who made it and when.',
  noneFound: 'No edit fits.',
  searchedAll: 'All edits were looked through.',
  notRead: (why: string) => `The history could not be read. ${why}`,
  tryAgain: 'Try again',
  count: (edits: number) => (edits === 1 ? '1 edit' : `${edits} edits`),
  keys: 'Up and Down go through the edits, Home to the newest, End to the oldest that was read',
  chosen: 'This edit',
  noneChosen: 'Choose an edit to see what it was, and to go back to the time before or after it.',
  afterIt: 'Go back to right after it',
  beforeIt: 'Go back to before it',
  goes: (edits: number) =>
    edits === 0
      ? 'Nothing was changed after it.'
      : `${edits === 1 ? 'The 1 edit' : `All ${edits} edits`} after it, whoever made them, would be taken back: as one edit, which can itself be undone.`,
  parts: 'What it changed',
  moreParts: (count: number) => `and ${count} more`,
  went: (to: 'after' | 'before', what: string, when: string) =>
    `The set-up is as it was right ${to} “${what}” of ${when}. Undo brings the rest back.`,
  same: 'It is like this now.',
  unknown:
    'An edit in between cannot be read any more, so that the way back is not known. Nothing was changed.',
  tooMany:
    'These are more edits than can be taken back at once. Nothing was changed; go back in several steps.',
  revision: (number: number) => `No. ${number}`,
} as const;
