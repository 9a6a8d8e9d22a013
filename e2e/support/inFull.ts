/** All that the tests have, not the share of it that every change waits for: `npm run check -- --all`. */
export const IN_FULL = process.env.IN_FULL === '1';
