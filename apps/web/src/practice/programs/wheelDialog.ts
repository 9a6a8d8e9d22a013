import { leave } from './asking.ts';
import { type Running, type StandIn, within } from './standIn.ts';
import { hueOf, type TallowState } from './tallow.ts';

/** The colour that is chosen for the wheel in hand. */
export interface WheelColourState extends Running {
  /** Degrees round the wheel. */
  readonly hue: number;
}

/** How far a key goes round the wheel: degrees. */
const STEP = 30;
const turned = (by: number) => (state: WheelColourState) => {
  return { ...state, hue: (state.hue + by + 360) % 360 };
};
const hueWords = ({ hue }: WheelColourState) => `${within(hue, 0, 359)}° round the wheel.`;

/** Tallow asks for the colour of the wheel in hand. */
export const WHEEL_DIALOG: StandIn<WheelColourState> = {
  initial: { hue: 0, lastCommand: null },
  keysBy: 'character',
  commands: [
    { shortcut: 'ArrowRight', name: 'Round the wheel', run: turned(STEP), said: hueWords },
    { shortcut: 'ArrowLeft', name: 'Round the wheel, back', run: turned(-STEP), said: hueWords },
    {
      shortcut: 'Enter',
      name: 'Use it',
      run: (state) => state,
      said: hueWords,
      hands: { to: 'tallow', change: ({ hue }, other: TallowState) => hueOf(other, hue) },
      closes: true,
    },
    leave('Nothing was changed.'),
  ],
};
