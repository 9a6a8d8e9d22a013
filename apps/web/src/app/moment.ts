const DAY = new Intl.DateTimeFormat('en', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
});
const TIME = new Intl.DateTimeFormat('en', { hour: '2-digit', minute: '2-digit' });

/** The day of a moment (ISO 8601) where the person is: `Friday, 27 November 2026`. */
export function dayWords(at: string): string {
  return DAY.format(new Date(at));
}

/** A moment's time of day. */
export function timeWords(at: string): string {
  return TIME.format(new Date(at));
}

/** A moment as it stands in a sentence. */
export function momentWords(at: string): string {
  return `${dayWords(at)}, ${timeWords(at)}`;
}
