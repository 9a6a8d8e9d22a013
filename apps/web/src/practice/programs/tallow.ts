import {
  type CommandRow,
  commandsFrom,
  type Running,
  remember,
  type StandIn,
  type Undoable,
  undoRows,
  within,
} from './standIn.ts';

/** The tones a wheel acts on. */
export const TONES = ['shadows', 'middles', 'lights'] as const;
/** A range of brightness that is graded by itself. */
export type Tone = (typeof TONES)[number];
/** The three parts of a picture that are graded apart: common practice, no source. */
export const TONE_NAMES: Readonly<Record<Tone, string>> = {
  shadows: 'Shadows',
  middles: 'Middle tones',
  lights: 'Lights',
};

/** One wheel: where its colour points (degrees, red at 0), how far from the middle (0 to 1), how much brighter (−1 to 1). */
export interface Wheel {
  /** Degrees, as in HSL. */
  readonly hue: number;
  /** 0 to 1. */
  readonly strength: number;
  /** −1 to 1: darker and brighter. */
  readonly level: number;
}
/** How one shot is graded. */
export interface Grade {
  readonly wheels: Readonly<Record<Tone, Wheel>>;
  /** 1 is as it was shot. */
  readonly saturation: number;
}

/** Tallow’s shots and the wheel in hand. */
export interface TallowState extends Undoable<readonly Grade[]>, Running {
  /** A grade for each shot. */
  readonly shots: readonly Grade[];
  readonly at: number;
  /** The wheel in hand. */
  readonly tone: Tone;
  /** The picture as it was taken, to compare. */
  readonly ungraded: boolean;
  /** A grade to be set on another shot. */
  readonly copied: Grade | null;
  readonly magnified: boolean;
}

/** A wheel nobody has touched. */
const MIDDLE: Wheel = { hue: 0, strength: 0, level: 0 };
/** As it was shot. */
export const PLAIN: Grade = {
  wheels: { shadows: MIDDLE, middles: MIDDLE, lights: MIDDLE },
  saturation: 1,
};
/** A grade for the first shot, so that there is a difference to be seen. */
const EVENING: Grade = {
  wheels: {
    shadows: { hue: 225, strength: 0.4, level: 0 },
    middles: MIDDLE,
    lights: { hue: 35, strength: 0.3, level: 0 },
  },
  saturation: 1,
};

/** Three shots, the first of them graded. */
const INITIAL: TallowState = {
  shots: [EVENING, PLAIN, PLAIN],
  at: 0,
  tone: 'middles',
  ungraded: false,
  copied: null,
  magnified: false,
  lastCommand: null,
  past: [],
  future: [],
};

/** The grade of the shot that is shown. */
export function gradeOf({ shots, at }: TallowState): Grade {
  return shots[at] ?? PLAIN;
}

/** Points of a transfer table; the browser draws straight lines between them. */
const POINTS = 9;
/** How far a wheel at its rim and a level at its end move a channel. */
const REACH = { colour: 0.35, level: 0.3 } as const;
/** Where red, green and blue stand on the wheel: degrees, as in HSL (CSS Color, level 4). */
const CHANNEL_HUES = { red: 0, green: 120, blue: 240 } as const;

/**
 * What a grade makes of each channel, as transfer tables from 0 to 1 (SVG filter `feComponentTransfer`). Each tone
 * counts where it lies: shadows `(1 − x)²`, middle tones `2x(1 − x)`, lights `x²`, which add up to 1 everywhere.
 */
export function gradeTables({
  wheels,
}: Grade): Readonly<Record<keyof typeof CHANNEL_HUES, readonly number[]>> {
  const table = (channel: number) =>
    Array.from({ length: POINTS }, (_, i) => {
      const x = i / (POINTS - 1);
      const weights: Record<Tone, number> = {
        shadows: (1 - x) ** 2,
        middles: 2 * x * (1 - x),
        lights: x ** 2,
      };
      const moved = TONES.reduce((sum, tone) => sum + weights[tone] * offset(wheels[tone], channel), 0);
      return within(x + moved, 0, 1);
    });
  return { red: table(CHANNEL_HUES.red), green: table(CHANNEL_HUES.green), blue: table(CHANNEL_HUES.blue) };
}

/** How much a wheel adds to a channel: its colour's part in that direction, and its level in all alike. */
function offset({ hue, strength, level }: Wheel, channel: number): number {
  return strength * REACH.colour * Math.cos(((hue - channel) * Math.PI) / 180) + level * REACH.level;
}

/** Another grade for the shot, with the one before kept for undo. */
const regraded = (state: TallowState, grade: Grade): TallowState => ({
  ...state,
  ...remember(state, state.shots),
  shots: state.shots.with(state.at, grade),
});
/** The wheel in hand, turned. */
const turnedWheel = (state: TallowState, change: (wheel: Wheel) => Wheel): TallowState => {
  const grade = gradeOf(state);
  const wheel = change(grade.wheels[state.tone]);
  return regraded(state, { ...grade, wheels: { ...grade.wheels, [state.tone]: wheel } });
};
/** The hue by some degrees, round the circle. */
const hue = (by: number) => (state: TallowState) =>
  turnedWheel(state, (wheel) => ({
    ...wheel,
    hue: (wheel.hue + by + 360) % 360,
    // A colour in the middle of its wheel has no hue to be seen.
    strength: wheel.strength === 0 ? 0.2 : wheel.strength,
  }));
/** The wheel in hand with a hue, as strong as it was or a little. */
export function hueOf(state: TallowState, angle: number): TallowState {
  return turnedWheel(state, (wheel) => ({
    ...wheel,
    hue: angle,
    strength: wheel.strength === 0 ? 0.2 : wheel.strength,
  }));
}
/** Steps of a tenth do not add up in binary, so they are rounded again. */
const tenth = (value: number) => Math.round(value * 10) / 10;
// Strength and level of the wheel in hand, by tenths, and which wheel is in hand.
const strength = (by: number) => (state: TallowState) =>
  turnedWheel(state, (wheel) => ({ ...wheel, strength: within(tenth(wheel.strength + by), 0, 1) }));
const level = (by: number) => (state: TallowState) =>
  turnedWheel(state, (wheel) => ({ ...wheel, level: within(tenth(wheel.level + by), -1, 1) }));
const inHand = (tone: Tone) => (state: TallowState) => ({ ...state, tone });
/** The next shot, ending at the ends. */
const shot = (by: number) => (state: TallowState) => ({
  ...state,
  at: within(state.at + by, 0, state.shots.length - 1),
});

// What each command says in the status line.
const wheelWords = (state: TallowState) => {
  const { hue: angle, strength: far, level: up } = gradeOf(state).wheels[state.tone];
  return `${TONE_NAMES[state.tone]}: ${angle}°, ${Math.round(far * 100)} % strong, ${Math.round(up * 100)} % brighter.`;
};
const shotWords = ({ at, shots }: TallowState) => `Shot ${at + 1} of ${shots.length}.`;

/** Its commands: shortcut, name, what it does to the state, what is said then. */
const ROWS: readonly CommandRow<TallowState>[] = [
  ['1', 'Shadows in hand', inHand('shadows')],
  ['2', 'Middle tones in hand', inHand('middles')],
  ['3', 'Lights in hand', inHand('lights')],
  ['ArrowRight', 'Turn the hue on', hue(15)],
  ['ArrowLeft', 'Turn the hue back', hue(-15)],
  ['ArrowUp', 'Colour stronger', strength(0.1)],
  ['ArrowDown', 'Colour weaker', strength(-0.1)],
  [']', 'Brighter', level(0.1)],
  ['[', 'Darker', level(-0.1)],
  ['Backspace', 'Wheel back to the middle', (state) => turnedWheel(state, () => MIDDLE)],
  [
    'B',
    'Show it before grading',
    (state) => ({ ...state, ungraded: !state.ungraded }),
    ({ ungraded }) => (ungraded ? 'As it was shot.' : 'As it is graded.'),
  ],
  ['PageDown', 'Next shot', shot(1), shotWords],
  ['PageUp', 'Previous shot', shot(-1), shotWords],
  ['Ctrl+C', 'Copy the grade', (state) => ({ ...state, copied: gradeOf(state) }), shotWords],
  ['Ctrl+V', 'Paste the grade', (state) => (state.copied ? regraded(state, state.copied) : state), shotWords],
  ['Ctrl+=', 'Look closer', (state) => ({ ...state, magnified: true }), () => 'Magnified ×2.'],
  [
    'Ctrl+0',
    'Fit in window',
    (state) => ({ ...state, magnified: false }),
    () => 'The whole picture is seen.',
  ],
];

/** Undo and redo as this program has them. */
const UNDO = undoRows<TallowState, readonly Grade[]>(
  'Ctrl+Shift+Z',
  ({ shots }) => shots,
  (state, shots) => ({ ...state, shots }),
);

/** Colour grading: three wheels that act on a picture. */
export const TALLOW_PROGRAM: StandIn<TallowState> = {
  initial: INITIAL,
  keysBy: 'character',
  commands: [
    ...commandsFrom([...ROWS, ...UNDO], wheelWords),
    {
      shortcut: 'Ctrl+K',
      name: 'Colour of the wheel…',
      menu: ['Window'],
      run: (state) => state,
      said: () => 'It asks for a colour.',
      opens: 'tallow-wheel',
    },
  ],
  message: (state, message, value) => {
    if (message.protocol !== 'osc') return null;
    if (message.address === '/tallow/brightness') {
      const next = turnedWheel(state, (wheel) => ({ ...wheel, level: value * 2 - 1 }));
      return { state: next, name: 'Brightness', said: wheelWords(next) };
    }
    if (message.address !== '/tallow/saturation') return null;
    const next = regraded(state, { ...gradeOf(state), saturation: value * 2 });
    return { state: next, name: 'Saturation', said: `Saturation ${Math.round(value * 200)} %.` };
  },
};
