/** A newer version of Nimble Lever has changed the database's tables; this one must not touch them. */
export class NewerDatabase extends Error {
  constructor(readonly migrations: readonly string[]) {
    super(
      `This database was brought up to date by a newer Nimble Lever (${migrations.join(', ')}). Nothing was changed. Start the newer version, or use another database.`,
    );
  }
}
