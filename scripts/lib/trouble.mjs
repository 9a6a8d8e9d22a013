/** The end of what was said, for who wants to know more. */
const tail = (said) => said.trim().split('\n').slice(-6).join('\n');

/** What PostgreSQL may say when it does not start, in words, and what to do. */
const TROUBLES = [
  {
    pattern: /No space left on device/,
    words: ({ home }) =>
      `The disk that the database is on is full (${home.folder}). Nothing was changed. Make room and start again.`,
  },
  {
    pattern: /incompatible with server|was initialized by PostgreSQL version/,
    words: ({ data }, said) =>
      `The database in ${data} was made by another version of PostgreSQL than is installed. Nothing was changed.\n${tail(said)}`,
  },
  {
    pattern: /Permission denied|wrong ownership|invalid permissions/,
    words: ({ data }, said) =>
      `PostgreSQL may not use the database's folder ${data}. Give it back to the account that made it, with no rights for others (chmod 700). Nothing was changed.\n${tail(said)}`,
  },
  {
    pattern:
      /could not (?:open|read|access) (?:file|directory) "?(?:global|pg_|base)|valid checkpoint record|PANIC|invalid page|checksum|is not a database cluster directory|control file appears to be corrupt|could not access status/,
    words: ({ data, log }, said) =>
      `The database's files are damaged (${data}). Nothing was changed. Put a copy of that folder back, or move it elsewhere and start again with a new, empty database. The log is ${log}:\n${tail(said)}`,
  },
];

const IN_USE =
  /Address already in use|could not bind|pre-existing shared memory|another server might be running|lock file .* already exists|is still in use/;

/** What is the trouble: `in-use` for what passes by itself, else with words for it. */
export function troubleIn(said) {
  const known = TROUBLES.find(({ pattern }) => pattern.test(said));
  if (known) return known;
  if (IN_USE.test(said)) return 'in-use';
  return {
    words: ({ log }, text) =>
      `PostgreSQL did not start. Nothing was changed. Its log is ${log}:\n${tail(text)}`,
  };
}
