import type { Trigger } from '../../devices/index.ts';
import type { EngineEvent } from '../../engine/index.ts';
import type { FrontWindow } from '../../resolve/index.ts';
import { applyEdit, EVERYWHERE, type Setup } from '../../setup/index.ts';
import type { Happens } from '../arbitraryEvents.ts';
import { SlowActions } from './slowActions.ts';
import { SlowClock } from './slowClock.ts';
import { type Bare, SlowDesk } from './slowDesk.ts';
import { SlowEnding } from './slowEnding.ts';
import { type Choice, controlIn, look, profileFor } from './slowLook.ts';
import { SlowMoves } from './slowMoves.ts';
import { SlowPresses } from './slowPresses.ts';
import type { SlowWorld } from './slowWorld.ts';

/**
 * A second model of the engine, slow and plain, written straight from what the engine must do: nothing is
 * compiled, nothing kept ready, everything is looked up and walked anew. For checking the fast one.
 */
export class SlowEngine {
  readonly #desk = new SlowDesk();
  readonly #clock = new SlowClock();
  readonly #actions: SlowActions;
  readonly #presses: SlowPresses;
  readonly #moves: SlowMoves;
  readonly #ending: SlowEnding;
  #setup: Setup;
  #front: FrontWindow | null = null;
  #pinned: string | null = null;
  #profile: string = EVERYWHERE;

  constructor(setup: Setup) {
    this.#setup = setup;
    this.#actions = new SlowActions(setup, this.#desk, this.#clock, {
      profile: () => this.#profile,
      programInFront: () => this.#setup.profiles[profileFor(this.#setup, this.#front, null)]?.program ?? null,
      pin: (profile) => this.#decide({ pinned: profile }),
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
    this.#setup = applied.value.setup;
    this.#actions.setup = this.#setup;
    this.#afterEdit();
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

  #grant(): void {
    for (let wish = this.#actions.wishes.shift(); wish; wish = this.#actions.wishes.shift()) wish();
  }

  #act(event: EngineEvent): void {
    switch (event.kind) {
      case 'down':
        this.#presses.down(event.device, event.control);
        return;
      case 'up':
        this.#presses.up(event.device, event.control);
        return;
      case 'turn':
        this.#moves.turn(event);
        return;
      case 'position':
        this.#moves.position(event);
        return;
      case 'move':
        this.#presses.move(event.dx, event.dy);
        return;
      case 'phrase':
        this.#moves.phrase(event.text, this.#setup);
        return;
      case 'front':
        this.#decide({ front: event.window });
        return;
      case 'pin':
        if (event.profile === null || this.#setup.profiles[event.profile])
          this.#decide({ pinned: event.profile });
        return;
      case 'edited':
        this.#afterEdit();
        return;
      case 'detach':
        this.#ending.letGo(event.device, true);
        return;
      case 'reset':
        this.#ending.letGo(null, false);
        return;
    }
  }

  #decide(changed: { front?: FrontWindow | null; pinned?: string | null }): void {
    const before = this.#profile;
    this.#setProfile(changed);
    if (this.#profile !== before) this.#ending.afterFront(this.#setup, this.#profile);
  }

  #setProfile({ front = this.#front, pinned = this.#pinned }): void {
    this.#front = front;
    this.#pinned = pinned !== null && this.#setup.profiles[pinned] ? pinned : null;
    this.#profile = profileFor(this.#setup, this.#front, this.#pinned);
  }

  #afterEdit(): void {
    const before = this.#profile;
    this.#setProfile({});
    this.#ending.afterEdit(this.#setup, this.#profile, this.#profile !== before);
  }

  #choose(device: string, control: string, trigger: Trigger, layers?: readonly string[]): Choice {
    const among = layers ?? this.#actions.layersOf(device);
    return look(this.#setup, this.#profile, among, device, control, trigger);
  }

  #bound(device: string, control: string, trigger: Trigger, layers?: readonly string[]): Choice | null {
    const choice = this.#choose(device, control, trigger, layers);
    return choice.found && choice.found.binding.behaviour.kind !== 'native' ? choice : null;
  }
}
