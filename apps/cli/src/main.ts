import { Refused } from './files.ts';
import { run } from './run.ts';

// Whoever reads what is printed may stop reading, as `| head -1` does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit(0);
});

try {
  process.stdout.write(run(process.argv.slice(2)));
} catch (error) {
  if (!(error instanceof Refused)) throw error;
  process.stderr.write(`${error.message.trimEnd()}\n`);
  process.exitCode = 2;
}
