import { newCommand, newProgram } from '../newParts.ts';
import { executableRule } from '../rule.ts';
import type { Command, Family, Program } from '../setup.ts';

/** A command as the tables below write it. */
type Row = readonly [id: string, name: string, shortcut: string, family: Family, intent?: string];

/** A program's table as commands, each with an id of its own. */
const commands = (rows: readonly Row[], prefix = ''): Command[] =>
  rows.map(([id, name, shortcut, family, intent = null]) =>
    newCommand({ id: prefix + id, name, shortcut, family, intent, risky: intent === 'delete' }),
  );

/** A program that is recognised by its executable. */
const program = (
  id: string,
  name: string,
  rows: readonly Row[],
  keysBy: Program['keysBy'] = 'character',
): Program =>
  newProgram({ id, name, keysBy, rules: [executableRule(id)], commands: commands(rows, `${id}-`) });

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
    ['talk', 'Talk', 'F13', 'system', 'talk'],
    ['maximise', 'Maximise the window', 'Meta+ArrowUp', 'system', 'maximise-window'],
    ['minimise', 'Minimise the window', 'Meta+ArrowDown', 'system', 'minimise-window'],
    ['left-half', 'Window to the left half', 'Meta+ArrowLeft', 'system', 'left-half'],
    ['right-half', 'Window to the right half', 'Meta+ArrowRight', 'system', 'right-half'],
    ['next-window', 'Next window', 'Alt+Tab', 'system', 'next-window'],
    ['all-windows', 'All windows', 'Meta+Tab', 'system', 'all-windows'],
    ['show-desk', 'Show the desk', 'Meta+D', 'system', 'show-desk'],
    ['close-window', 'Close the window', 'Alt+F4', 'system', 'close-window'],
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
    ['reverse', 'Turn the film round', 'Shift+F', 'edit'],
    ['light', 'Stage light', 'K', 'view'],
    ['guides', 'Picture guides', 'G', 'view', 'guides'],
    ['export', 'Export the film…', 'Ctrl+Shift+E', 'system', 'export'],
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
    ['previous-colour', 'Previous colour', 'Shift+C', 'tool', 'previous-colour'],
    ['hand', 'Hand', 'H', 'tool', 'hand'],
    ['mirror', 'Mirror the canvas', 'Shift+F', 'view', 'mirror'],
    ['zoom-in', 'Zoom in', 'Ctrl+=', 'view', 'zoom-in'],
    ['zoom-out', 'Zoom out', 'Ctrl+-', 'view', 'zoom-out'],
    ['fit', 'Fit in window', 'Ctrl+0', 'view', 'fit'],
    ['upright', 'Canvas upright', 'Ctrl+U', 'view', 'upright'],
    ['turn', 'Turn the canvas', 'Shift+R', 'view', 'rotate'],
    ['clear', 'Clear the canvas', 'Ctrl+Delete', 'edit', 'delete'],
    ['all-layers', 'Select all layers', 'Ctrl+A', 'edit', 'select-all'],
    ['colours', 'Colours…', 'F7', 'tool'],
    ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
    // Two of the programs redo by other keys than most: what every profile has to cope with.
    ['redo', 'Redo', 'Ctrl+Y', 'edit', 'redo'],
  ]);

/** Sound. */
export const hushbox = (): Program =>
  program(
    'hushbox',
    'Hushbox',
    [
      ['scrub-on', 'Scrub on', 'L', 'time', 'next-moment'],
      ['scrub-back', 'Scrub back', 'J', 'time', 'previous-moment'],
      ['play', 'Play or stop', 'Space', 'time', 'play'],
      ['start', 'Go to the start', 'Home', 'time', 'first-moment'],
      ['end', 'Go to the end', 'End', 'time', 'last-moment'],
      ['split', 'Split here', 'Ctrl+E', 'edit', 'split'],
      ['marker', 'Set a marker', 'M', 'edit', 'marker'],
      ['zoom-selection', 'Zoom to selection', 'Z', 'view', 'zoom-in'],
      ['fit', 'Fit in window', 'F', 'view', 'fit'],
      ['closer', 'Look closer', 'Ctrl+=', 'view'],
      ['wider', 'Look wider', 'Ctrl+-', 'view', 'zoom-out'],
      ['select-on', 'Select on', 'Shift+L', 'time'],
      ['select-back', 'Select back', 'Shift+J', 'time'],
      ['next-marker', 'Next marker', 'PageDown', 'move', 'next-item'],
      ['previous-marker', 'Previous marker', 'PageUp', 'move', 'previous-item'],
      ['silence', 'Silence the selection', 'Delete', 'edit', 'delete'],
      ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
      ['redo', 'Redo', 'Ctrl+Shift+Z', 'edit', 'redo'],
    ],
    'place',
  );

/** Colour grading. */
export const tallow = (): Program =>
  program('tallow', 'Tallow', [
    ['shadows', 'Shadows in hand', '1', 'tool'],
    ['middles', 'Middle tones in hand', '2', 'tool'],
    ['lights', 'Lights in hand', '3', 'tool'],
    ['hue-on', 'Turn the hue on', 'ArrowRight', 'tool'],
    ['hue-back', 'Turn the hue back', 'ArrowLeft', 'tool'],
    ['stronger', 'Colour stronger', 'ArrowUp', 'tool', 'bigger-tool'],
    ['weaker', 'Colour weaker', 'ArrowDown', 'tool', 'smaller-tool'],
    ['brighter', 'Brighter', ']', 'tool'],
    ['darker', 'Darker', '[', 'tool'],
    ['centre', 'Wheel back to the middle', 'Backspace', 'edit', 'reset'],
    ['before', 'Show it before grading', 'B', 'view'],
    ['next-shot', 'Next shot', 'PageDown', 'move', 'next-item'],
    ['previous-shot', 'Previous shot', 'PageUp', 'move', 'previous-item'],
    ['copy-grade', 'Copy the grade', 'Ctrl+C', 'edit', 'copy'],
    ['paste-grade', 'Paste the grade', 'Ctrl+V', 'edit', 'paste'],
    ['closer', 'Look closer', 'Ctrl+=', 'view', 'zoom-in'],
    ['fit', 'Fit in window', 'Ctrl+0', 'view', 'fit'],
    ['wheel-colour', 'Colour of the wheel…', 'Ctrl+K', 'tool'],
    ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
    ['redo', 'Redo', 'Ctrl+Shift+Z', 'edit', 'redo'],
  ]);

/** Script and storyboard. */
export const quillboard = (): Program =>
  program('quillboard', 'Quillboard', [
    ['next-word', 'Next word', 'Ctrl+ArrowRight', 'move', 'next-moment'],
    ['previous-word', 'Previous word', 'Ctrl+ArrowLeft', 'move', 'previous-moment'],
    ['select-on', 'Select a word on', 'Ctrl+Shift+ArrowRight', 'edit'],
    ['select-back', 'Select a word back', 'Ctrl+Shift+ArrowLeft', 'edit'],
    ['start', 'Start of the card', 'Ctrl+Home', 'move', 'first-moment'],
    ['end', 'End of the card', 'Ctrl+End', 'move', 'last-moment'],
    ['next-card', 'Next card', 'PageDown', 'move', 'next-item'],
    ['previous-card', 'Previous card', 'PageUp', 'move', 'previous-item'],
    ['new-card', 'New card', 'Ctrl+Enter', 'edit', 'capture'],
    ['delete-word', 'Delete the word before', 'Ctrl+Backspace', 'edit', 'delete'],
    ['bold', 'Stress the words', 'Ctrl+B', 'edit'],
    ['capitals', 'Capitals', 'Ctrl+Shift+K', 'edit'],
    ['mark', 'Mark for later', 'Ctrl+M', 'edit', 'marker'],
    ['copy', 'Copy', 'Ctrl+C', 'edit', 'copy'],
    ['cut', 'Cut', 'Ctrl+X', 'edit', 'cut'],
    ['paste', 'Paste', 'Ctrl+V', 'edit', 'paste'],
    ['undo', 'Undo', 'Ctrl+Z', 'edit', 'undo'],
    ['redo', 'Redo', 'Ctrl+Y', 'edit', 'redo'],
  ]);

/** Web pages. */
export const fernway = (): Program =>
  program('fernway', 'Fernway', [
    ['next-tab', 'Next tab', 'Ctrl+PageDown', 'move', 'next-item'],
    ['previous-tab', 'Previous tab', 'Ctrl+PageUp', 'move', 'previous-item'],
    ['new-tab', 'New tab', 'Ctrl+T', 'edit'],
    ['close-tab', 'Close the tab', 'Ctrl+W', 'edit', 'delete'],
    ['reopen', 'Open the closed tab again', 'Ctrl+Shift+T', 'edit', 'undo'],
    ['back', 'Page back', 'Alt+ArrowLeft', 'move', 'previous-moment'],
    ['forward', 'Page forward', 'Alt+ArrowRight', 'move', 'next-moment'],
    ['reload', 'Reload', 'F5', 'system'],
    ['top', 'Top of the page', 'Home', 'move', 'first-moment'],
    ['bottom', 'Bottom of the page', 'End', 'move', 'last-moment'],
    ['page-on', 'Scroll a page on', 'Space', 'move'],
    ['page-back', 'Scroll a page back', 'Shift+Space', 'move'],
    ['zoom-in', 'Zoom in', 'Ctrl+=', 'view', 'zoom-in'],
    ['zoom-out', 'Zoom out', 'Ctrl+-', 'view', 'zoom-out'],
    ['actual-size', 'Actual size', 'Ctrl+0', 'view', 'fit'],
    ['keep', 'Keep the page', 'Ctrl+D', 'edit', 'marker'],
  ]);

/** An intercom that listens in the background for its talk key. */
export const tinCan = (): Program =>
  program('tin-can', 'Tin Can', [
    ['talk', 'Talk', 'F13', 'tool', 'talk'],
    ['everyone', 'Talk to everyone', 'A', 'tool'],
    ['next-person', 'Next person', 'PageDown', 'move', 'next-item'],
    ['previous-person', 'Previous person', 'PageUp', 'move', 'previous-item'],
    ['ring', 'Ring', 'Enter', 'tool', 'capture'],
    ['ring-again', 'Ring the last one again', 'L', 'tool'],
    ['hang-up', 'Hang up', 'Escape', 'system'],
    ['louder', 'Louder', 'ArrowUp', 'system', 'bigger-tool'],
    ['quieter', 'Quieter', 'ArrowDown', 'system', 'smaller-tool'],
    ['mute', 'Microphone off or on', 'Ctrl+M', 'system', 'mute'],
    ['quiet', 'Quiet hours', 'Q', 'system'],
    ['who', 'Show who is there', 'W', 'view'],
    ['note', 'Leave a note', 'N', 'edit', 'marker'],
    ['clear-notes', 'Clear the notes', 'Delete', 'edit', 'delete'],
    ['door', 'Open the studio door', 'D', 'tool'],
    ['lamp', 'Recording lamp', 'R', 'view'],
  ]);
