import type { Trigger } from '../../devices/index.ts';
import type { EngineEvent, Keyboards } from '../../engine/index.ts';
import type { FrontWindow } from '../../resolve/index.ts';
import { applyEdit, type Setup } from '../../setup/index.ts';
import type { Happens } from '../arbitraryEvents.ts';
import { SlowActions } from './slowActions.ts';
import { SlowClock } from './slowClock.ts';
import { type Bare, SlowDesk, type To } from './slowDesk.ts';
import { SlowEnding } from './slowEnding.ts';
import { type Choice, controlIn, look, profileFor, ruleFits } from './slowLook.ts';
import { SlowMoves } from './slowMoves.ts';
import { SlowPresses } from './slowPresses.ts';
import { slowKeys } from './slowTyping.ts';
import type { SlowWorld } from './slowWorld.ts';

/**
 * A second model of the engine, slow and plain, written straight from what the engine must do: nothing is
 * compiled, nothing kept ready, everything is looked up and walked anew. For checking the fast one.
 */
export class SlowEngine {
  readonly #desk: SlowDesk;
  readonly #clock = new SlowClock();
  readonly #actions: SlowActions;
  readonly #presses: SlowPresses;
  readonly #moves: SlowMoves;
  readonly #ending: SlowEnding;
  #setup: Setup;
  /** By computer, null for this one. */
  readonly #fronts = new Map<string | null, FrontWindow | null>();
  #pinned: string | null = null;

  constructor(setup: Setup, keyboards: Keyboards) {
    this.#setup = setup;
    const inFront = (computer: string | null) =>
      this.#setup.profiles[profileFor(this.#setup, this.#frontAt(computer), null)]?.program ?? null;
    const readerOf = ({ program, computer }: To) =>
      this.#setup.programs.find(({ id }) => id === (program ?? inFront(computer)));
    this.#desk = new SlowDesk(
      (to, keyed) => slowKeys(keyed, keyboards, to.computer, readerOf(to)),
      (to, intent) => {
        const own = readerOf(to)?.commands.filter((command) => command.intent === intent)[0];
        return own ? { kind: 'shortcut', ...own } : null;
      },
    );
    this.#actions = new SlowActions(setup, this.#desk, this.#clock, {
      profile: (computer) => this.#profileAt(computer),
      programInFront: inFront,
      isInFront: (window, computer) => {
        const front = this.#frontAt(computer);
        return front !== null && ruleFits(window, front);
      },
      pin: (profile) => this.#pin(profile),
      letGo: (device) => this.#ending.letGo(device, false),
    });
    const world: SlowWorld = {
      desk: this.#desk,
      clock: this.#clock,
      actions: this.#actions,
      choose: (...use) => this.#choose(...use),
      bound: (...use) => this.#bound(...use),
      controlOf: (device, control) => controlIn(this.#setup, device, control),
      settingsOf: (device) => this.#setup.devices.find(({ id }) => id === device)?.settings ?? null,
    };
    this.#presses = new SlowPresses(world);
    this.#moves = new SlowMoves(world, this.#presses);
    this.#ending = new SlowEnding(this.#actions, this.#clock, this.#presses, this.#moves);
  }

  get strokes(): readonly Bare[] {
    return this.#desk.strokes;
  }

  /** Takes one event, or an edit. */
  take(event: Happens): void {
    if (event.kind !== 'edit') {
      this.#takeEvent(event);
      return;
    }
    this.#pass(event.t);
    const applied = applyEdit(this.#setup, event.edit);
    if (!applied.ok) return;
    this.#afterEdit(() => {
      this.#setup = applied.value.setup;
      this.#actions.setup = this.#setup;
    });
    this.#grant();
    this.#actions.focused = null;
  }

  #takeEvent(event: EngineEvent): void {
    this.#pass(event.t);
    this.#act(event);
    this.#grant();
    this.#actions.focused = null;
  }

  /** Time goes on: what is due happens, one by one, at its own time. */
  #pass(t: number): void {
    const until = Math.max(this.#desk.now, t);
    for (let due = this.#clock.take(until); due; due = this.#clock.take(until)) {
      this.#desk.now = Math.max(this.#desk.now, due.at);
      due.act();
      this.#grant();
      this.#actions.focused = null;
    }
    this.#desk.now = until;
  }

  /** A cell of a page that does not show is not there. */
  #shows(device: string, control: string): boolean {
    const cell = controlIn(this.#setup, device, control)?.cell;
    if (!cell || (cell.everyPage && cell.page === null)) return true;
    const shown = this.#actions.pages.over(device)[0] ?? null;
    return cell.page === shown || this.#basesOf(shown).includes(cell.page ?? '');
  }

  /** What a page is based on, and what that is based on. */
  #basesOf(page: string | null): string[] {
    const base = this.#setup.pages.find(({ id }) => id === page)?.basedOn ?? null;
    return base === null ? [] : [base, ...this.#basesOf(base)];
  }

  /** A cell that is on a page since that is based on its own: it does what it does there. */
  #layersOf(device: string, control: string): readonly string[] {
    const layers = this.#actions.layersOf(device);
    const own = controlIn(this.#setup, device, control)?.cell?.page ?? null;
    if (own === null || layers.includes(own)) return layers;
    const at = layers.findIndex((layer) => this.#basesOf(layer).includes(own));
    return at < 0 ? layers : layers.with(at, own);
  }

  #grant(): void {
    for (let wish = this.#actions.wishes.shift(); wish; wish = this.#actions.wishes.shift()) wish();
  }

  #act(event: EngineEvent): void {
    switch (event.kind) {
      case 'down':
        if (this.#shows(event.device, event.control)) this.#presses.down(event.device, event.control);
        return;
      case 'up':
        this.#presses.up(event.device, event.control);
        return;
      case 'turn':
        if (this.#shows(event.device, event.control)) this.#moves.turn(event);
        return;
      case 'position':
        if (this.#shows(event.device, event.control)) this.#moves.position(event);
        return;
      case 'move':
        this.#presses.move(event.dx, event.dy);
        return;
      case 'phrase':
        this.#moves.phrase(event.text, this.#setup);
        return;
      case 'front':
        if (event.computer !== undefined && !this.#computers().includes(event.computer)) return;
        this.#decide(() => this.#fronts.set(event.computer ?? null, event.window), event.computer ?? null);
        return;
      case 'pin':
        if (event.profile === null || this.#setup.profiles[event.profile]) this.#pin(event.profile);
        return;
      case 'answer':
        for (const run of this.#actions.macros) if (run.macro.id === event.macro) run.answer(event.texts);
        return;
      case 'edited':
        this.#afterEdit(() => undefined);
        return;
      case 'detach':
        this.#ending.letGo(event.device, true);
        return;
      case 'reset':
        this.#ending.letGo(null, false);
        return;
    }
  }

  #pin(profile: string | null): void {
    this.#decide(() => {
      this.#pinned = profile;
    });
  }

  /** Every computer some device can talk to. */
  #computers(): string[] {
    return this.#setup.devices.flatMap(({ settings }) => settings.computers.slice(1));
  }

  #frontAt(computer: string | null): FrontWindow | null {
    return this.#fronts.get(computer) ?? null;
  }

  #profileAt(computer: string | null): string {
    return profileFor(this.#setup, this.#frontAt(computer), this.#pinned);
  }

  #profileOf(device: string): string {
    return this.#profileAt(this.#actions.to(device, null).computer);
  }

  #decide(change: () => void, computer?: string | null): void {
    const moved = this.#movedBy(change);
    if (computer !== undefined) for (const run of this.#actions.macros) run.windowCame(computer);
    this.#ending.afterFront(this.#setup, (device) => this.#profileOf(device), moved);
  }

  /** For which devices another profile decides after a change than before it. */
  #movedBy(change: () => void): (device: string) => boolean {
    const [setup, fronts, pinned] = [this.#setup, new Map(this.#fronts), this.#pinned];
    change();
    if (this.#pinned !== null && !this.#setup.profiles[this.#pinned]) this.#pinned = null;
    return (device) => {
      const { computer } = this.#actions.to(device, null);
      return profileFor(setup, fronts.get(computer) ?? null, pinned) !== this.#profileAt(computer);
    };
  }

  #afterEdit(change: () => void): void {
    const moved = this.#movedBy(change);
    this.#ending.afterEdit(this.#setup, (device) => this.#profileOf(device), moved);
  }

  #choose(device: string, control: string, trigger: Trigger, layers?: readonly string[]): Choice {
    const among = layers ?? this.#layersOf(device, control);
    return look(this.#setup, this.#profileOf(device), among, device, control, trigger);
  }

  #bound(device: string, control: string, trigger: Trigger, layers?: readonly string[]): Choice | null {
    const choice = this.#choose(device, control, trigger, layers);
    return choice.found && choice.found.binding.behaviour.kind !== 'native' ? choice : null;
  }
}
