import { executableRule } from './rule.ts';
import type { Command, Family, Program } from './setup.ts';

type Row = readonly [id: string, name: string, shortcut: string, family: Family, intent?: string];

const commands = (rows: readonly Row[], prefix = ''): Command[] =>
  rows.map(([id, name, shortcut, family, intent]) => ({
    id: prefix + id,
    name,
    shortcut,
    family,
    intent: intent ?? null,
  }));

const program = (id: string, name: string, rows: readonly Row[]): Program => ({
  id,
  name,
  rules: [executableRule(id)],
  commands: commands(rows, `${id}-`),
});

/** Commands that mean the same in most programs. */
export const demoCommonCommands = (): Command[] =>
  commands([
    ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
    ['redo', 'Redo', 'Ctrl+Shift+Z', 'edit', 'redo'],
    ['copy', 'Copy', 'Ctrl+C', 'edit', 'copy'],
    ['paste', 'Paste', 'Ctrl+V', 'edit', 'paste'],
    ['save', 'Save', 'Ctrl+S', 'system', 'save'],
    ['next-item', 'Next item', 'PageDown', 'move', 'next-item'],
    ['previous-item', 'Previous item', 'PageUp', 'move', 'previous-item'],
    ['mute', 'Mute', 'AudioVolumeMute', 'system', 'mute'],
    ['volume-up', 'Volume up', 'AudioVolumeUp', 'system', 'volume-up'],
    ['volume-down', 'Volume down', 'AudioVolumeDown', 'system', 'volume-down'],
  ]);

/** Frame-by-frame capture. */
export const larkframe = (): Program =>
  program('larkframe', 'Larkframe', [
    ['step-on', 'Step one frame on', 'ArrowRight', 'time', 'next-moment'],
    ['step-back', 'Step one frame back', 'ArrowLeft', 'time', 'previous-moment'],
    ['first', 'First frame', 'Home', 'time', 'first-moment'],
    ['last', 'Last frame', 'End', 'time', 'last-moment'],
    ['take', 'Take the frame', 'Enter', 'tool', 'capture'],
    ['play', 'Play or stop', 'Space', 'time', 'play'],
    ['onion', 'Onion skin', 'O', 'view', 'onion-skin'],
    ['magnify', 'Magnify here', 'M', 'view', 'zoom-in'],
    ['fit', 'Fit in window', 'Ctrl+0', 'view', 'fit'],
    ['delete', 'Delete the frame', 'Delete', 'edit', 'delete'],
    ['double', 'Double the frame', 'D', 'edit', 'duplicate'],
    ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
    ['redo', 'Redo', 'Ctrl+Shift+Z', 'edit', 'redo'],
  ]);

/** Painting puppets. */
export const brindle = (): Program =>
  program('brindle', 'Brindle', [
    ['larger', 'Brush larger', ']', 'tool', 'bigger-tool'],
    ['smaller', 'Brush smaller', '[', 'tool', 'smaller-tool'],
    ['brush', 'Brush', 'B', 'tool', 'brush'],
    ['eraser', 'Eraser', 'E', 'tool', 'eraser'],
    ['next-colour', 'Next colour', 'C', 'tool', 'next-colour'],
    ['zoom-in', 'Zoom in', 'Ctrl+=', 'view', 'zoom-in'],
    ['zoom-out', 'Zoom out', 'Ctrl+-', 'view', 'zoom-out'],
    ['fit', 'Fit in window', 'Ctrl+0', 'view', 'fit'],
    ['upright', 'Canvas upright', 'Ctrl+U', 'view', 'upright'],
    ['turn', 'Turn the canvas', 'Shift+R', 'view', 'rotate'],
    ['clear', 'Clear the canvas', 'Ctrl+Delete', 'edit', 'delete'],
    ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
    ['redo', 'Redo', 'Ctrl+Y', 'edit', 'redo'],
  ]);

/** Sound. */
export const hushbox = (): Program =>
  program('hushbox', 'Hushbox', [
    ['scrub-on', 'Scrub on', 'L', 'time', 'next-moment'],
    ['scrub-back', 'Scrub back', 'J', 'time', 'previous-moment'],
    ['play', 'Play or stop', 'Space', 'time', 'play'],
    ['start', 'Go to the start', 'Home', 'time', 'first-moment'],
    ['end', 'Go to the end', 'End', 'time', 'last-moment'],
    ['split', 'Split here', 'Ctrl+E', 'edit', 'split'],
    ['marker', 'Set a marker', 'M', 'edit', 'marker'],
    ['zoom-selection', 'Zoom to selection', 'Z', 'view', 'zoom-in'],
    ['fit', 'Fit in window', 'F', 'view', 'fit'],
    ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
    ['redo', 'Redo', 'Ctrl+Shift+Z', 'edit', 'redo'],
  ]);
