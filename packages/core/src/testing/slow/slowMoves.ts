import type { EventOf } from '../../engine/index.ts';
import type { Setup } from '../../setup/index.ts';
import type { Due } from './slowClock.ts';
import type { Choice } from './slowLook.ts';
import type { SlowPresses } from './slowPresses.ts';
import type { SlowWorld } from './slowWorld.ts';

/** A ring away from its rest. */
export interface Spring {
  readonly device: string;
  readonly control: string;
  readonly choice: Choice;
  position: number;
  stepped: number;
  silent: boolean;
  due: Due | null;
}

/** Turns, springs, sliders and phrases. */
export class SlowMoves {
  springs: Spring[] = [];
  /** By `device/control`. */
  readonly rests = new Map<string, { rest: number; at: number }>();
  readonly slid = new Map<string, number>();

  constructor(
    private readonly world: SlowWorld,
    private readonly presses: SlowPresses,
  ) {}

  turn({ device, control, unit, amount }: EventOf<'turn'>): void {
    const key = `${device}/${control}`;
    const rotor = this.world.controlOf(device, control)?.rotor;
    if (!rotor) return;
    const { now } = this.world.desk;
    const step = rotor.kind === 'continuous' ? rotor.stepDegrees : rotor.detentDegrees;
    const before = this.rests.get(key) ?? { rest: 0, at: Number.NEGATIVE_INFINITY };
    const turned = unit === 'detents' ? amount * step : amount;
    const goesOn = Math.sign(before.rest) * Math.sign(turned) >= 0;
    let rest = (goesOn ? before.rest : 0) + turned;
    const back = (amount === 0 ? before.rest : amount) < 0;
    const choice = this.#turnChoice(device, control, back);
    const times = this.#speedUp(rotor.speedUp, Math.abs(turned), now - before.at);
    for (; Math.abs(rest) >= step - 1e-9; rest -= Math.sign(rest) * step) {
      for (let i = 0; i < times; i++) if (choice.sends) this.world.actions.tap(choice.sends, choice);
    }
    this.rests.set(key, { rest: Math.abs(rest) < 1e-9 ? 0 : rest, at: now });
  }

  #speedUp(speedUp: { max: number; from: number; to: number } | null, degrees: number, ms: number): number {
    if (!speedUp || ms > 200) return 1;
    const speed = ms <= 0 ? Number.POSITIVE_INFINITY : (degrees * 1000) / ms;
    if (speed <= speedUp.from) return 1;
    if (speed >= speedUp.to) return speedUp.max;
    return Math.round(1 + ((speedUp.max - 1) * (speed - speedUp.from)) / (speedUp.to - speedUp.from));
  }

  #turnChoice(device: string, control: string, back: boolean): Choice {
    const pressed = this.world.bound(device, control, back ? 'pressed-anticlockwise' : 'pressed-clockwise');
    const press = this.presses.find(device, control);
    if (pressed && press && press.phase !== 'between') {
      if (press.phase === 'waiting' && press.ways.turns) this.presses.turned(press);
      return pressed;
    }
    return this.world.choose(device, control, back ? 'anticlockwise' : 'clockwise');
  }

  position({ device, control, value }: EventOf<'position'>): void {
    const known = this.world.controlOf(device, control);
    if (known?.spring) this.#spring(device, control, value, known.spring.rates);
    else if (known?.slider) this.#slide(device, control, value, known.slider.thresholds);
  }

  #spring(device: string, control: string, value: number, rates: readonly number[]): void {
    const { desk, clock, actions, choose } = this.world;
    const size = Math.min(rates.length, Math.round(Math.abs(value)));
    const at = value < 0 ? -size : size;
    const before = this.springs.find((each) => each.device === device && each.control === control);
    if (before) clock.drop(before.due);
    if (before && (at === 0 || at * before.position < 0)) {
      this.springs = this.springs.filter((other) => other !== before);
    }
    if (at === 0) return;
    let spring = this.springs.find((each) => each.device === device && each.control === control);
    if (!spring) {
      const choice = choose(device, control, at > 0 ? 'shuttle-clockwise' : 'shuttle-anticlockwise');
      spring = { device, control, choice, position: at, stepped: desk.now, silent: false, due: null };
      this.springs.push(spring);
      if (choice.sends) actions.tap(choice.sends, choice);
    }
    spring.position = at;
    if (!spring.silent && spring.choice.sends) this.#stepLater(spring);
  }

  #stepLater(spring: Spring): void {
    const { desk, clock, actions, controlOf } = this.world;
    const rates = controlOf(spring.device, spring.control)?.spring?.rates ?? [];
    const rate = rates[Math.abs(spring.position) - 1] ?? rates.at(-1) ?? 1;
    spring.due = clock.set(Math.max(desk.now, spring.stepped + 1000 / rate), () => {
      spring.stepped = desk.now;
      if (spring.choice.sends) actions.tap(spring.choice.sends, spring.choice);
      this.#stepLater(spring);
    });
  }

  #slide(device: string, control: string, value: number, thresholds: readonly number[]): void {
    const { desk, actions, choose } = this.world;
    const key = `${device}/${control}`;
    const now = Math.min(1, Math.max(0, value));
    const before = this.slid.get(key) ?? now;
    this.slid.set(key, now);
    const { sends } = choose(device, control, 'slide');
    if (sends?.action.kind === 'message') {
      for (const program of sends.programs) desk.message(program, sends.action.message, now);
    }
    const up = thresholds.filter((place) => before < place && now >= place);
    const down = thresholds.filter((place) => before >= place && now < place);
    const stepping = choose(device, control, up.length > 0 ? 'slide-up' : 'slide-down');
    for (const _place of [...up, ...down]) if (stepping.sends) actions.tap(stepping.sends, stepping);
  }

  phrase(text: string, setup: Setup): void {
    const bare = (words: string) =>
      words
        .normalize('NFD')
        .replace(/[\p{M}\s]/gu, '')
        .toLowerCase();
    for (const device of setup.devices) {
      for (const { id, phrase } of device.controls) {
        if (phrase === null || bare(phrase) !== bare(text)) continue;
        const choice = this.world.choose(device.id, id, 'phrase');
        this.world.actions.useUpOnce({ device: device.id, control: id });
        if (choice.sends) this.world.actions.tap(choice.sends, choice);
        return;
      }
    }
  }
}
