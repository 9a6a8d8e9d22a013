import type { Trigger } from '../../devices/index.ts';
import type { End } from './slowActions.ts';
import type { Due } from './slowClock.ts';
import type { Choice } from './slowLook.ts';
import type { SlowWorld } from './slowWorld.ts';

/** One control's press, from going down until it is over and done with. */
export interface Press {
  readonly device: string;
  readonly control: string;
  readonly since: number;
  phase: 'waiting' | 'decided' | 'between';
  readonly ways: {
    readonly press: Choice;
    readonly hold: Choice | null;
    readonly double: Choice | null;
    readonly nudges: ReadonlyMap<Trigger, Choice>;
    readonly turns: ReadonlyMap<Trigger, Choice>;
  };
  /** Turns that were ended early. */
  readonly ended: Set<Trigger>;
  /** Whether a longer press is waited for. */
  guarding: boolean;
  /** What it was decided to be. */
  chosen: Choice;
  end: End & { macro?: string };
  /** Whether something is to be sent when it comes up. */
  atRelease: boolean;
  silent: boolean;
  dx: number;
  dy: number;
  due: Due | null;
  /** The place in the order in which outputs began. */
  order: number;
  heldFor: number;
}

const NUDGES = ['nudge-up', 'nudge-right', 'nudge-down', 'nudge-left'] as const;
const keyOf = (choice: Choice) =>
  `${choice.found?.profile}/${choice.found?.layer}/${choice.device}/${choice.control}/${choice.trigger}`;

/** Controls that go down and come up: press, hold, double press, nudges, guards, styles, the menu. */
export class SlowPresses {
  all: Press[] = [];
  /** Guarded uses that ask for a second press. */
  asking: { readonly key: string; readonly choice: Choice; readonly due: Due }[] = [];

  constructor(private readonly world: SlowWorld) {}

  find(device: string, control: string): Press | undefined {
    return this.all.find((press) => press.device === device && press.control === control);
  }

  isDown(device: string, control: string): boolean {
    const press = this.find(device, control);
    return press !== undefined && press.phase !== 'between';
  }

  forget(press: Press): void {
    this.world.clock.drop(press.due);
    press.due = null;
    this.all = this.all.filter((other) => other !== press);
  }

  down(device: string, control: string): void {
    const known = this.world.controlOf(device, control);
    if (!known?.canPress || this.isDown(device, control)) return;
    const before = this.find(device, control);
    for (const press of [...this.all]) {
      const { hold } = press.ways;
      if (press.phase === 'waiting' && hold?.sends?.action.kind === 'layer') this.#decide(press, hold);
    }
    const { openMenu } = this.world.actions;
    const opener = openMenu?.owner.device === device && openMenu.owner.control === control;
    const main = known.native.press?.kind === 'button' && known.native.press.button === 0;
    const turnsRound = known.rotor !== null && this.asksOf(device);
    if (before) this.forget(before);
    const layers = this.asking.find(({ choice }) => choice.device === device && choice.control === control)
      ?.choice.layers;
    const turns = this.#turnsOf(device, control, layers);
    if (openMenu && (opener || main || turnsRound)) {
      this.#chooseInMenu(openMenu.lit);
      const press = this.#new(device, control, this.world.choose(device, control, 'press'), turns);
      Object.assign(press, { phase: 'decided', silent: true });
      return;
    }
    if (before?.ways.double) {
      const press = this.#new(device, control, before.ways.double, turns);
      this.#decide(press, before.ways.double);
      return;
    }
    this.#downAnew(device, control, known.kind === 'pen-switch', turns, layers);
  }

  #turnsOf(device: string, control: string, layers?: readonly string[]): ReadonlyMap<Trigger, Choice> {
    const turns = (['pressed-clockwise', 'pressed-anticlockwise'] as const).flatMap((trigger) => {
      const choice = this.world.bound(device, control, trigger, layers);
      return choice ? [[trigger, choice] as const] : [];
    });
    return new Map<Trigger, Choice>(turns);
  }

  #downAnew(
    device: string,
    control: string,
    penSwitch: boolean,
    turns: ReadonlyMap<Trigger, Choice>,
    layers?: readonly string[],
  ): void {
    const { settingsOf } = this.world;
    const bound = (trigger: Trigger) => this.world.bound(device, control, trigger, layers);
    const touching = penSwitch && this.all.some((press) => this.#isTouchingTip(press, device));
    const press0 = this.world.choose(device, control, 'press', layers);
    const plain = (touching && bound('touch-press')) || press0;
    const nudges = NUDGES.flatMap((trigger) => {
      const choice = bound(trigger);
      return choice ? [[trigger, choice] as const] : [];
    });
    const ways = {
      press: plain,
      hold: bound('hold'),
      double: bound('double-press'),
      nudges: new Map<Trigger, Choice>(nudges),
      turns,
    };
    this.world.actions.useUpOnce({ device, control });
    const press = this.#new(device, control, plain, turns, ways);
    const { hold } = ways;
    if (!hold && !ways.double && ways.nudges.size === 0 && turns.size === 0) {
      this.#decide(press, plain);
      return;
    }
    const at = this.world.desk.now + (settingsOf(device)?.holdMs ?? 0);
    if (hold) press.due = this.world.clock.set(at, () => this.#decide(press, hold));
  }

  #isTouchingTip(press: Press, device: string): boolean {
    const kind = this.world.controlOf(press.device, press.control)?.kind;
    return press.device === device && press.phase !== 'between' && kind === 'pen-tip';
  }

  #new(
    device: string,
    control: string,
    chosen: Choice,
    turns: ReadonlyMap<Trigger, Choice>,
    ways?: Press['ways'],
  ): Press {
    const alone = { press: chosen, hold: null, double: null, nudges: new Map(), turns };
    const press: Press = {
      device,
      control,
      since: this.world.desk.now,
      phase: 'waiting',
      ways: ways ?? alone,
      chosen,
      end: () => undefined,
      atRelease: false,
      silent: false,
      dx: 0,
      dy: 0,
      due: null,
      order: 0,
      ended: new Set(),
      guarding: false,
      heldFor: 0,
    };
    this.all.push(press);
    return press;
  }

  /** It has become this: it starts, unless a guard asks first. */
  #decide(press: Press, choice: Choice): void {
    this.world.clock.drop(press.due);
    Object.assign(press, { phase: 'decided', chosen: choice, due: null });
    if (this.#mayGo(choice, press.since, press)) this.#go(press, choice);
  }

  /** Whether nothing guards a use, or its guard is satisfied. */
  #mayGo(choice: Choice, since: number, stillDown: Press | null): boolean {
    const { desk, clock, settingsOf, actions } = this.world;
    const guard = choice.sends?.guard ?? null;
    const settings = settingsOf(choice.device);
    if (guard === null || !settings) return true;
    if (actions.latches.some(({ key }) => key === keyOf(choice))) return true;
    if (guard === 'longer') {
      const until = since + settings.guardMs;
      if (desk.now >= until) return true;
      if (stillDown) stillDown.due = clock.set(until, () => this.#go(stillDown, choice));
      if (stillDown) stillDown.guarding = true;
      return false;
    }
    const asked = this.asking.find(({ key }) => key === keyOf(choice));
    if (asked) {
      this.stopAsking(asked.key);
      return true;
    }
    const key = keyOf(choice);
    const due = clock.set(desk.now + settings.confirmMs, () => this.stopAsking(key));
    this.asking.push({ key, choice, due });
    return false;
  }

  stopAsking(key: string): void {
    for (const each of this.asking) if (each.key === key) this.world.clock.drop(each.due);
    this.asking = this.asking.filter((each) => each.key !== key);
  }

  #go(press: Press, choice: Choice): void {
    const { sends } = choice;
    const { actions, clock, desk } = this.world;
    press.due = null;
    press.guarding = false;
    press.order = actions.nextOrder();
    if (!sends) return;
    switch (sends.style) {
      case 'follow':
        press.end = actions.begin(sends, choice);
        return;
      case 'tap':
        actions.tap(sends, choice);
        return;
      case 'latch':
        this.#latch(choice);
        return;
      case 'release':
        press.atRelease = true;
        return;
      case 'repeat': {
        actions.tap(sends, choice);
        const again = (at: number) => {
          press.due = clock.set(at, () => {
            actions.tap(sends, choice);
            again(desk.now + sends.repeat.everyMs);
          });
        };
        again(desk.now + sends.repeat.delayMs);
      }
    }
  }

  #latch(choice: Choice): void {
    const { actions } = this.world;
    const key = keyOf(choice);
    const latch = actions.latches.find((each) => each.key === key);
    if (latch) {
      actions.latches = actions.latches.filter((other) => other !== latch);
      latch.end();
    } else if (choice.sends) {
      const order = actions.nextOrder();
      const end = actions.begin(choice.sends, choice);
      actions.latches.push({ key, owner: choice, end, order });
    }
  }

  up(device: string, control: string): void {
    const press = this.find(device, control);
    if (!press || press.phase === 'between') return;
    const { clock, desk, actions, settingsOf } = this.world;
    if (press.phase === 'waiting') {
      clock.drop(press.due);
      press.heldFor = desk.now - press.since;
      if (!press.ways.double) {
        this.forget(press);
        this.#short(press.ways.press, press.heldFor);
        return;
      }
      press.phase = 'between';
      press.due = clock.set(desk.now + (settingsOf(device)?.doubleMs ?? 0), () => {
        this.forget(press);
        this.#short(press.ways.press, press.heldFor);
      });
      return;
    }
    this.forget(press);
    press.end();
    if (press.atRelease && !press.silent && press.chosen.sends) actions.tap(press.chosen.sends, press.chosen);
    const { openMenu } = actions;
    if (!openMenu || press.silent || openMenu.lit === null) return;
    if (openMenu.owner.device === device && openMenu.owner.control === control)
      this.#chooseInMenu(openMenu.lit);
  }

  /** A press that is sent when its control is up already. */
  #short(choice: Choice, heldFor: number): void {
    if (!this.#mayGo(choice, this.world.desk.now - heldFor, null)) return;
    if (choice.sends?.style === 'latch') this.#latch(choice);
    else if (choice.sends) this.world.actions.tap(choice.sends, choice);
  }

  /** Turned while it waits for that: no press any more. */
  turned(press: Press): void {
    this.world.clock.drop(press.due);
    Object.assign(press, { phase: 'decided', due: null, chosen: press.ways.press });
  }

  /** It is down still, and says nothing more. */
  silence(press: Press): void {
    this.turned(press);
    press.silent = true;
  }

  move(dx: number, dy: number): void {
    const open = this.world.actions.openMenu;
    for (const press of [...this.all]) {
      if (press.phase !== 'waiting' || press.ways.nudges.size === 0) continue;
      press.dx += dx;
      press.dy += dy;
      const far = this.world.settingsOf(press.device)?.nudgeDistance ?? Number.POSITIVE_INFINITY;
      if (Math.sqrt(press.dx ** 2 + press.dy ** 2) < far) continue;
      const sideways = Math.abs(press.dx) > Math.abs(press.dy);
      const [right, down] = [press.dx > 0, press.dy > 0];
      const way = sideways ? (right ? 'nudge-right' : 'nudge-left') : down ? 'nudge-down' : 'nudge-up';
      const choice = press.ways.nudges.get(way);
      if (choice) this.#decide(press, choice);
    }
    if (this.world.actions.openMenu === open) this.#moveInRing(dx, dy);
  }

  #moveInRing(dx: number, dy: number): void {
    const { openMenu } = this.world.actions;
    if (!openMenu) return;
    const wasInside = Math.hypot(openMenu.dx, openMenu.dy) < 16;
    openMenu.dx += dx;
    openMenu.dy += dy;
    const far = Math.sqrt(openMenu.dx ** 2 + openMenu.dy ** 2);
    // Degrees clockwise from the top; the first item's sector lies half on either side of it.
    const degrees = ((Math.atan2(openMenu.dx, -openMenu.dy) * 180) / Math.PI + 720) % 360;
    const sector = 360 / openMenu.items.length;
    if (far < 16) {
      if (!wasInside) openMenu.lit = null;
      return;
    }
    openMenu.lit = Math.floor((degrees + sector / 2) / sector) % openMenu.items.length;
    if (far >= 90) this.#chooseInMenu(openMenu.lit);
  }

  /** Whether the sets of a device are asked for. */
  asksOf(device: string): boolean {
    const of = this.world.actions.openMenu?.of;
    return of !== undefined && 'setsOf' in of && of.setsOf === device;
  }

  /** One step on in the menu of a device's sets, or back. */
  stepInMenu(device: string, back: boolean): void {
    const { openMenu, pages } = this.world.actions;
    if (!openMenu) return;
    const count = openMenu.items.length;
    const from = openMenu.lit ?? pages.ring(device).indexOf(pages.setOf(device));
    openMenu.lit = (from + (back ? count - 1 : 1)) % count;
  }

  #chooseInMenu(item: number | null): void {
    const { actions } = this.world;
    const { openMenu } = actions;
    actions.openMenu = null;
    const action = item === null ? null : openMenu?.items[item];
    if (!action || !openMenu) return;
    const usual = {
      style: 'follow',
      repeat: { delayMs: 400, everyMs: 50 },
      guard: null,
    } as const;
    const { program, focus } = openMenu;
    actions.tap({ ...usual, action, programs: [program], focus }, openMenu.owner);
  }
}
