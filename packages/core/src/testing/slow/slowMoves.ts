import type { Trigger } from '../../devices/index.ts';
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
  /** Null once everything was let go while it was away from rest. */
  choice: Choice | null;
  position: number;
  stepped: number;
  silent: boolean;
  due: Due | null;
}

/** Turns, springs, sliders and phrases. */
export class SlowMoves {
  springs: Spring[] = [];
  /** By `device/control`. */
  readonly rests = new Map<string, { rest: number; at: number; use: string }>();
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
    const before = this.rests.get(key);
    const turned = unit === 'detents' ? amount * step : amount;
    if (turned === 0) {
      if (before) this.rests.set(key, { ...before, at: now });
      return;
    }
    if (this.presses.asksOf(device)) {
      const use = turned < 0 ? 'menu back' : 'menu on';
      let rest = (before?.use === use ? before.rest : 0) + turned;
      for (; Math.abs(rest) >= step - 1e-9; rest -= Math.sign(rest) * step)
        this.presses.stepInMenu(device, turned < 0);
      this.rests.set(key, { rest: Math.abs(rest) < 1e-9 ? 0 : rest, at: now, use });
      return;
    }
    const choice = this.#turnChoice(device, control, turned < 0);
    const use = JSON.stringify([choice.found?.profile, choice.found?.layer, choice.trigger]);
    let rest = (before?.use === use ? before.rest : 0) + turned;
    const times = before ? this.#speedUp(rotor.speedUp, Math.abs(turned), now - before.at) : 1;
    const sends = choice.ended ? null : choice.sends;
    for (; Math.abs(rest) >= step - 1e-9; rest -= Math.sign(rest) * step) {
      for (let i = 0; i < times; i++) if (sends) this.world.actions.tap(sends, choice);
    }
    this.rests.set(key, { rest: Math.abs(rest) < 1e-9 ? 0 : rest, at: now, use });
  }

  #speedUp(speedUp: { max: number; from: number; to: number } | null, degrees: number, ms: number): number {
    if (!speedUp || ms >= 200) return 1;
    const speed = ms <= 0 ? Number.POSITIVE_INFINITY : (degrees * 1000) / ms;
    if (speed <= speedUp.from) return 1;
    if (speed >= speedUp.to) return speedUp.max;
    return Math.round(1 + ((speedUp.max - 1) * (speed - speedUp.from)) / (speedUp.to - speedUp.from));
  }

  #turnChoice(device: string, control: string, back: boolean): Choice & { ended?: boolean } {
    const press = this.presses.find(device, control);
    const plain = () => this.world.choose(device, control, back ? 'anticlockwise' : 'clockwise');
    if (!press || press.phase === 'between') return plain();
    if (press.phase === 'waiting') this.presses.turned(press);
    if (press.guarding) this.world.clock.drop(press.due);
    if (press.guarding) press.due = null;
    press.guarding = false;
    press.atRelease = false;
    const trigger = back ? 'pressed-anticlockwise' : 'pressed-clockwise';
    const choice = press.ways.turns.get(trigger);
    if (!choice) return plain();
    if (!press.ended.has(trigger)) return choice;
    return { ...this.world.choose(device, control, trigger), ended: true };
  }

  position({ device, control, value, axis }: EventOf<'position'>): void {
    const known = this.world.controlOf(device, control);
    if (axis === 'across') {
      const ways = ['slide-across', 'slide-right', 'slide-left'] as const;
      if (known?.across) this.#slide(device, control, value, known.across.thresholds, ways, 'across');
    } else if (known?.spring) this.#spring(device, control, value, known.spring.rates);
    else if (known?.slider)
      this.#slide(device, control, value, known.slider.thresholds, ['slide', 'slide-up', 'slide-down'], '');
  }

  #spring(device: string, control: string, value: number, rates: readonly number[]): void {
    const { desk, clock, actions, choose } = this.world;
    const size = Math.min(rates.length, Math.round(Math.abs(value)));
    const at = value < 0 ? -size : size;
    const before = this.springs.find((each) => each.device === device && each.control === control);
    if (before) clock.drop(before.due);
    const goesOver = before !== undefined && before.choice !== null && at * before.position < 0;
    if (before && (at === 0 || goesOver)) {
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
    if (!spring.silent && spring.choice?.sends) this.#stepLater(spring);
  }

  #stepLater(spring: Spring): void {
    const { desk, clock, actions, controlOf } = this.world;
    const rates = controlOf(spring.device, spring.control)?.spring?.rates ?? [];
    const rate = rates[Math.abs(spring.position) - 1] ?? rates.at(-1) ?? 1;
    spring.due = clock.set(Math.max(desk.now, spring.stepped + 1000 / rate), () => {
      spring.stepped = desk.now;
      const { choice } = spring;
      if (choice?.sends) actions.tap(choice.sends, choice);
      this.#stepLater(spring);
    });
  }

  #slide(
    device: string,
    control: string,
    value: number,
    thresholds: readonly number[],
    [whole, more, less]: readonly [Trigger, Trigger, Trigger],
    way: string,
  ): void {
    const { desk, actions, choose } = this.world;
    const key = `${device}/${control} ${way}`;
    const now = Math.min(1, Math.max(0, value));
    const before = this.slid.get(key) ?? now;
    this.slid.set(key, now);
    const { sends } = choose(device, control, whole);
    if (sends?.action.kind === 'message') {
      for (const program of sends.programs)
        desk.message(actions.to(device, program), sends.action.message, now);
    }
    const up = thresholds.filter((place) => before < place && now >= place);
    const down = thresholds.filter((place) => before >= place && now < place);
    const stepping = choose(device, control, up.length > 0 ? more : less);
    for (const _place of [...up, ...down]) if (stepping.sends) actions.tap(stepping.sends, stepping);
  }

  phrase(text: string, setup: Setup): void {
    const bare = (words: string) =>
      words
        .normalize('NFD')
        .replace(/[\p{M}\s]/gu, '')
        .replace(/(?<=[^.,])[.,]+$/, '')
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
