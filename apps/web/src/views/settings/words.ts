/** The words of Settings. */
export const WORDS = {
  keyboard: 'Keyboard',
  about:
    'Shortcuts are the keys you press. Keycaps everywhere show what is printed on yours. This is kept in this browser, as it belongs to this computer.',
  layout: 'Layout',
  platform: 'System',
  platforms: { windows: 'Windows', mac: 'macOS', linux: 'Linux' },
  drawn: 'The main keys, as they are labelled',
  reading: 'Reading the layout…',
  sample: 'So shortcuts look:',
} as const;
