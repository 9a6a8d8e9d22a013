import { NotThere, Refused } from './files.ts';
import { runAny } from './runAny.ts';

// Whoever reads what is printed may stop reading, as `| head -1` does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit(0);
});

try {
  const { text, code } = await runAny(process.argv.slice(2));
  process.stdout.write(text);
  process.exitCode = code;
} catch (error) {
  if (!(error instanceof Refused || error instanceof NotThere)) throw error;
  process.stderr.write(`${error.message.trimEnd()}\n`);
  process.exitCode = error instanceof NotThere ? 3 : 2;
}
