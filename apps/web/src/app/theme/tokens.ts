/** The colours of both themes: paper (light) and graphite (dark). Nothing else names a colour. */
export interface Tokens {
  /** What everything lies on. */
  readonly background: string;
  /** Cards, cells, menus. */
  readonly sheet: string;
  /** Slightly lower than the sheet: pressed, hovered. */
  readonly sunk: string;
  /** Text. */
  readonly ink: string;
  /** Text that matters less, still at 4.5 : 1. */
  readonly soft: string;
  /** Lines between things. */
  readonly line: string;
  /** Where one acts, and what is on. */
  readonly accent: string;
  readonly accentTint: string;
  readonly onAccent: string;
  /** Layers and pages, wherever they are spoken of. */
  readonly layer: string;
  readonly layerTint: string;
  /** Warnings and refusals. */
  readonly brick: string;
  readonly brickTint: string;
  /** The surface under the practice desk's windows. */
  readonly desk: string;
  /** Rail and taskbar: dark in both themes. */
  readonly rail: string;
  readonly railRaised: string;
  readonly onRail: string;
  readonly onRailSoft: string;
  readonly railAccent: string;
  readonly family: Readonly<Record<'move' | 'view' | 'edit' | 'tool' | 'time' | 'system', string>>;
  /** Colours of faces, each dark enough for white words in both themes. */
  readonly face: Readonly<Record<'ink' | 'blue' | 'teal' | 'plum' | 'amber' | 'green', string>>;
  readonly onFace: string;
  /** What the practice programs show: their own pictures, the same in both themes. */
  readonly scene: typeof SCENE;
}

/**
 * The practice programs' scene: the same in both themes, as a picture does not change with the room's light.
 */
const SCENE = {
  room: '#2A2F38',
  sky: '#D9E3E2',
  hillFar: '#A9C1BC',
  hillNear: '#7FA29B',
  water: '#BCD0D6',
  heron: '#3C4B66',
  beak: '#C28A34',
  umbrella: '#9A4F96',
  onion: '#9A4F96',
  rain: '#8FA6AE',
  table: '#C9C5B8',
  paper: '#FBFAF5',
  pencil: '#B9B3A2',
  paints: ['#3C4B66', '#9A4F96', '#C28A34', '#3E7F3A', '#A63A30'],
} as const;

/** The rail is dark in both themes: the eye finds the views in the same place. */
const RAIL = {
  rail: '#1D2430',
  railRaised: '#323B49',
  onRail: '#F3F1EA',
  onRailSoft: '#C6CBD3',
  railAccent: '#5CC2B8',
};
/** Colours of faces, each with white or dark letters on it at 4.5 : 1 or more (WCAG 2.2, 1.4.3). */
const FACES = {
  face: {
    ink: '#1D2430',
    blue: '#2F6DB5',
    teal: '#12706A',
    plum: '#9A4F96',
    amber: '#A0620F',
    green: '#3E7F3A',
  },
  onFace: '#FFFFFF',
};

/** The light theme. Contrasts of text are at least 4.5 to 1 (WCAG 2.2, 1.4.3). */
export const PAPER: Tokens = {
  background: '#F3F1EA',
  sheet: '#FFFFFF',
  sunk: '#E9E6DC',
  ink: '#1D2430',
  soft: '#5A6270',
  line: '#D8D4C7',
  accent: '#12706A',
  accentTint: '#DCEDEA',
  onAccent: '#FFFFFF',
  layer: '#6C3B86',
  layerTint: '#EEE3F3',
  brick: '#A63A30',
  brickTint: '#F7E2DE',
  desk: '#CFCBBE',
  family: {
    move: '#2F6DB5',
    view: '#12706A',
    edit: '#9A4F96',
    tool: '#B3701E',
    time: '#3E7F3A',
    system: '#6B7280',
  },
  ...RAIL,
  ...FACES,
  scene: SCENE,
};

/** The dark theme, with the same contrasts. */
export const GRAPHITE: Tokens = {
  background: '#1B1F25',
  sheet: '#23282F',
  sunk: '#171A1F',
  ink: '#ECEFF3',
  soft: '#A3ABB6',
  line: '#3A414B',
  accent: '#5CC2B8',
  accentTint: '#1F3B3A',
  onAccent: '#10211F',
  layer: '#C79BE0',
  layerTint: '#33263B',
  brick: '#F08A7E',
  brickTint: '#3E2522',
  desk: '#101317',
  family: {
    move: '#7FB2EE',
    view: '#5CC2B8',
    edit: '#D79AD3',
    tool: '#E0A659',
    time: '#8CC987',
    system: '#9AA3AF',
  },
  ...RAIL,
  rail: '#14181D',
  railRaised: '#2C343F',
  ...FACES,
  scene: SCENE,
};
