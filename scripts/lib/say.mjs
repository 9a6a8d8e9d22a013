/** What set-up prints: one line a step, so that one sees what is going on. */
export const say = (text) => console.log(`· ${text}`);

/** A refusal that is told without a stack trace. */
export class Stop extends Error {}

/** Runs a command's main function; a `Stop` ends it with its words, anything else with the error. */
export async function main(run) {
  try {
    await run();
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    console.error(`\n${error.message}`);
    process.exit(1);
  }
}
