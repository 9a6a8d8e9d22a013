import { answerPicture } from './pictureTask.ts';

// A process of its own, so that a picture which takes for ever, or all the memory, is ended for real: a thread that the
// library draws in cannot be.
process.on('message', (asked) => void answerPicture(asked).then((answer) => process.send?.(answer)));
// Whoever asked is gone. Ending in order would wait for what is being drawn.
process.on('disconnect', () => process.kill(process.pid, 'SIGKILL'));
process.send?.('ready');
