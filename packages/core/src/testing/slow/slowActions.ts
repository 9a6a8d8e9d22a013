import {
  type Action,
  BASE_LAYER,
  EVERYWHERE,
  type Macro,
  type Setup,
  type WindowAsked,
} from '../../setup/index.ts';
import type { SlowClock } from './slowClock.ts';
import type { SlowDesk, To } from './slowDesk.ts';
import { type Choice, inKeys, type Sends, type SlowAction } from './slowLook.ts';
import { SlowMacro } from './slowMacro.ts';
import { SlowPages } from './slowPages.ts';

/** Ends what was begun. */
export type End = () => void;

export interface OpenMenu {
  /** A menu of the set-up, or one of the sets of a device. */
  readonly of: { readonly menu: string } | { readonly setsOf: string };
  readonly items: readonly SlowAction[];
  readonly owner: Choice;
  readonly program: string | null;
  readonly focus: boolean;
  dx: number;
  dy: number;
  lit: number | null;
}

const nothing: End = () => undefined;
const owns = (a: Choice, b: Choice) => a.device === b.device && a.control === b.control;

/** What actions do: begun, each gives the way to end it. Layers, macros and the menu live here. */
export class SlowActions {
  /** Who keeps layers on: one entry for each. */
  layersOn: { readonly layer: string; readonly owner: Choice; readonly why: 'held' | 'once' | 'macro' }[] =
    [];
  readonly pages: SlowPages;
  macros: SlowMacro[] = [];
  openMenu: OpenMenu | null = null;
  /** Each device's own pointer speed, and those that are held, the newest last. */
  speeds = new Map<string, number>();
  heldSpeeds: { readonly device: string; readonly step: number }[] = [];
  computers = new Map<string, number>();
  /** Done once the event is dealt with. */
  readonly wishes: (() => void)[] = [];
  /** What is latched, oldest first. */
  latches: {
    readonly key: string;
    readonly owner: Choice;
    readonly end: End & { macro?: string };
    readonly order: number;
  }[] = [];
  /** The program brought to the front while this event is dealt with. */
  focused: string | null = null;
  #orders = 0;

  constructor(
    public setup: Setup,
    private readonly desk: SlowDesk,
    private readonly clock: SlowClock,
    private readonly outside: {
      readonly profile: (computer: string | null) => string;
      readonly programInFront: (computer: string | null) => string | null;
      readonly isInFront: (window: WindowAsked, computer: string | null) => boolean;
      readonly pin: (profile: string | null) => void;
      readonly letGo: (device: string) => void;
    },
  ) {
    this.pages = new SlowPages(
      () => this.setup,
      (device) => this.outside.programInFront(this.to(device, null).computer),
    );
  }

  /** The layers a device is looked up in. */
  layersOf(device: string): string[] {
    const on = this.setup.layers.filter(
      ({ id }) => id !== BASE_LAYER && this.layersOn.some(({ layer }) => layer === id),
    );
    const above = on.map(({ id }) => id).toReversed();
    return [...above, ...this.pages.over(device), BASE_LAYER];
  }

  /** A number for each output that begins, so that they can be ended newest first. */
  nextOrder(): number {
    this.#orders += 1;
    return this.#orders;
  }

  /** Where a device's strokes go now. */
  to(device: string, program: string | null): To {
    const { computers = [] } = this.setup.devices.find(({ id }) => id === device)?.settings ?? {};
    const at = this.computers.get(device) ?? 0;
    return { device, program, computer: at > 0 ? (computers[at] ?? null) : null };
  }

  tap(sends: Sends, owner: Choice): void {
    this.begin(sends, owner)();
  }

  begin({ action, programs, focus }: Sends, owner: Choice): End & { macro?: string } {
    const [first = null] = programs;
    const to = this.to(owner.device, first);
    if (focus && first !== null) {
      const inFront = this.focused ?? this.outside.programInFront(to.computer);
      if (inFront !== first) {
        this.focused = first;
        this.desk.send(to, { kind: 'focus', launch: false });
      }
    }
    const ends = programs.map((program) => this.#send(action, this.to(owner.device, program)));
    if (ends.every((end) => end !== null)) {
      return () => {
        for (const end of ends.toReversed()) end?.();
      };
    }
    return this.#change(action, owner, to, focus);
  }

  /** What goes to a program; null for what changes something of the engine's own. */
  #send(action: SlowAction, to: To): End | null {
    const { desk } = this;
    switch (action.kind) {
      case 'intent': {
        const keyed = desk.intentOf(to, action.intent);
        return keyed ? this.#send(keyed, to) : nothing;
      }
      case 'shortcut': {
        const chords = desk.keysOf(to, action) ?? [];
        const [only] = chords;
        if (!only || chords.length > 1) {
          for (const codes of chords) desk.exactly(to, codes, [], () => desk.tapKeys(to, codes));
          return nothing;
        }
        const downs = desk.pressAll(to, only, false);
        return () => {
          for (const down of downs.toReversed()) desk.lift(down);
        };
      }
      case 'button': {
        const down = desk.press(to, action.button);
        return () => desk.lift(down);
      }
      case 'message':
        desk.message(to, action.message, 1);
        return () => desk.message(to, action.message, 0);
      case 'sequence': {
        const all = action.shortcuts.map((shortcut) => desk.keysOf(to, { kind: 'shortcut', shortcut }));
        if (all.some((each) => each === null)) return nothing;
        for (const codes of all.flatMap((each) => each ?? []))
          desk.exactly(to, codes, [], () => desk.tapKeys(to, codes));
        return nothing;
      }
      case 'text':
        desk.exactly(to, [], [], () => desk.send(to, { kind: 'text', text: action.text }));
        return nothing;
      case 'click':
        desk.holding(to, action.keys, () => desk.click(to, action));
        return nothing;
      case 'drag': {
        const keys =
          action.keys === null ? [] : desk.keysOf(to, { kind: 'shortcut', shortcut: action.keys })?.[0];
        if (!keys) return nothing;
        const downs = [...desk.pressAll(to, keys, false), desk.press(to, action.button)];
        return () => {
          for (const down of downs.toReversed()) desk.lift(down);
        };
      }
      case 'wheel':
        desk.holding(to, action.keys, () =>
          desk.send(to, { kind: 'wheel', ticks: action.ticks, axis: action.axis }),
        );
        return nothing;
      case 'command':
      case 'layer':
      case 'page':
      case 'profile':
      case 'speed':
      case 'computer':
      case 'program':
      case 'radial':
      case 'wheel-mode':
      case 'show':
      case 'macro':
        return null;
    }
  }

  #change(action: SlowAction, owner: Choice, to: To, focus: boolean): End {
    switch (action.kind) {
      case 'layer':
        return action.mode === 'once' ? this.#once(action.layer, owner) : this.#keepOn(action.layer, owner);
      case 'page':
        if (action.change === 'ask') this.#ask(action.device ?? owner.device, owner);
        else this.pages.act(action, owner.device);
        return nothing;
      case 'profile': {
        const to = this.#profileFor(action, owner.device);
        this.wishes.push(() => this.outside.pin(to));
        return nothing;
      }
      case 'speed':
        return this.#speed(action, action.device ?? owner.device);
      case 'computer':
        this.#computer(action, action.device ?? owner.device);
        return nothing;
      case 'program':
        this.desk.send({ ...to, program: action.program }, { kind: 'focus', launch: action.launch });
        return nothing;
      case 'radial': {
        const of = { menu: action.menu };
        const { program } = to;
        this.openMenu = { of, items: this.itemsOf(of), owner, program, focus, dx: 0, dy: 0, lit: null };
        return nothing;
      }
      case 'macro':
        return this.#macro(action.macro, owner, to);
      case 'shortcut':
      case 'intent':
      case 'wheel-mode':
      case 'show':
      case 'sequence':
      case 'command':
      case 'text':
      case 'button':
      case 'click':
      case 'drag':
      case 'wheel':
      case 'message':
        return nothing;
    }
  }

  /** What the items of a menu do. */
  itemsOf(of: OpenMenu['of']): readonly SlowAction[] {
    if ('setsOf' in of) {
      return this.pages
        .ring(of.setsOf)
        .map((page) => ({ kind: 'page', change: 'choose', page, device: page === null ? of.setsOf : null }));
    }
    const items = this.setup.radialMenus.find(({ id }) => id === of.menu)?.items ?? [];
    return items.map((item) => inKeys(this.setup, EVERYWHERE, item.action));
  }

  #ask(setsOf: string, owner: Choice): void {
    const items = this.itemsOf({ setsOf });
    if (items.length === 1) return;
    this.openMenu = { of: { setsOf }, items, owner, program: null, focus: false, dx: 0, dy: 0, lit: null };
  }

  /** A menu that would show something else by now closes. */
  closeChangedMenu(): void {
    const { openMenu } = this;
    if (openMenu && JSON.stringify(this.itemsOf(openMenu.of)) !== JSON.stringify(openMenu.items))
      this.openMenu = null;
  }

  #keepOn(layer: string, owner: Choice): End {
    const on = { layer, owner, why: 'held' } as const;
    this.layersOn.push(on);
    return () => {
      this.layersOn = this.layersOn.filter((other) => other !== on);
    };
  }

  #once(layer: string, owner: Choice): End {
    const own = this.layersOn.find((on) => on.why === 'once' && on.layer === layer && owns(on.owner, owner));
    if (own) this.layersOn = this.layersOn.filter((other) => other !== own);
    else this.layersOn.push({ layer, owner, why: 'once' });
    return nothing;
  }

  /** Another press came: what was on for one press goes. */
  useUpOnce(by: { readonly device: string; readonly control: string }): void {
    this.layersOn = this.layersOn.filter(
      ({ why, owner }) => why !== 'once' || (owner.device === by.device && owner.control === by.control),
    );
  }

  /** Each macro keeps a layer on for itself; one that does not keep it takes it from all that do. */
  setLayer(layer: string, on: boolean, macro: string, owner: Choice): void {
    const own = `layer ${layer} by ${macro}`;
    const mine = this.latches.find(({ key }) => key === own);
    if (on && !mine) {
      this.latches.push({ key: own, owner, end: this.#keepOn(layer, owner), order: this.nextOrder() });
    }
    if (on) return;
    const taken = mine ? [mine] : this.latches.filter(({ key }) => key.startsWith(`layer ${layer} by `));
    this.latches = this.latches.filter((latch) => !taken.includes(latch));
    for (const latch of taken) latch.end();
  }

  #profileFor({ change, profiles }: Extract<Action, { kind: 'profile' }>, device: string): string | null {
    if (change === 'automatic') return null;
    if (change === 'pin') return profiles[0] ?? null;
    const rank = (id: string) => (this.setup.profiles[id]?.rules.length ? 1 : 0);
    const inOrder = this.setup.programs.flatMap(({ id }) =>
      Object.values(this.setup.profiles)
        .filter(({ program }) => program === id)
        .map((profile) => profile.id)
        .toSorted((a, b) => rank(a) - rank(b) || (a < b ? -1 : 1)),
    );
    const all = profiles.length > 0 ? profiles : [EVERYWHERE, ...inOrder];
    const at = all.indexOf(this.outside.profile(this.to(device, null).computer));
    if (at < 0) return all[0] ?? null;
    return all.at((at + (change === 'next' ? 1 : -1)) % all.length) ?? null;
  }

  #speed({ change, step }: Extract<Action, { kind: 'speed' }>, device: string): End {
    const count = this.setup.devices.find(({ id }) => id === device)?.settings.pointerSpeeds.length ?? 0;
    if (count === 0) return nothing;
    if (change === 'while-held') {
      const held = { device, step: step % count };
      this.heldSpeeds.push(held);
      return () => {
        this.heldSpeeds = this.heldSpeeds.filter((other) => other !== held);
      };
    }
    const before = this.speeds.get(device) ?? 0;
    const to = change === 'next' ? before + 1 : change === 'previous' ? before + count - 1 : step;
    this.speeds.set(device, to % count);
    return nothing;
  }

  /** The pointer speed of a device now. */
  speedOf(device: string): number {
    const held = this.heldSpeeds.findLast((each) => each.device === device);
    return held?.step ?? this.speeds.get(device) ?? 0;
  }

  #computer({ change, computer }: Extract<Action, { kind: 'computer' }>, device: string): void {
    const count = this.setup.devices.find(({ id }) => id === device)?.settings.computers.length ?? 0;
    if (count === 0) return;
    const before = this.computers.get(device) ?? 0;
    const to = (change === 'next' ? before + 1 : computer) % count;
    if (to === before) return;
    this.computers.set(device, to);
    this.pages.closeElsewhere();
    this.wishes.push(() => this.outside.letGo(device));
  }

  #macro(id: string, owner: Choice, to: To): End & { macro?: string } {
    const macro = this.setup.macros.find((each) => each.id === id);
    if (!macro) return nothing;
    const running = this.macros.find((run) => run.macro.id === id);
    if (running && running.macro.run === 'toggle') {
      this.stopMacro(running);
      return nothing;
    }
    if (running && running.macro.again === 'ignore') return nothing;
    if (running && running.macro.again === 'queue') {
      if (running.queue.length < 20) running.queue.push({ owner, to });
      return nothing;
    }
    if (running) this.stopMacro(running);
    const run = this.#newMacro(macro, owner, to);
    run.goOn();
    if (macro.run !== 'held') return nothing;
    const end = () => {
      if (this.macros.includes(run)) this.stopMacro(run);
    };
    return Object.assign(end, { macro: id });
  }

  #newMacro(macro: Macro, owner: Choice, to: To): SlowMacro {
    const run: SlowMacro = new SlowMacro(this.setup, macro, owner, to, {
      desk: this.desk,
      clock: this.clock,
      setLayer: (layer, on, by, who) => this.setLayer(layer, on, by, who),
      isInFront: this.outside.isInFront,
      profileOf: (device) => this.outside.profile(this.to(device, null).computer),
      stopped: () => this.stopMacro(run),
      finished: () => {
        this.stopMacro(run);
        const [next, ...queue] = run.queue;
        // As the macro is by now.
        const now = this.setup.macros.find((each) => each.id === macro.id);
        if (!next || !now) return;
        const after = this.#newMacro(now, next.owner, next.to);
        after.queue = queue;
        after.sentAt = run.sentAt;
        after.beginLater();
      },
    });
    this.macros.push(run);
    return run;
  }

  stopMacro(run: SlowMacro): void {
    this.macros = this.macros.filter((other) => other !== run);
    run.stop();
  }
}
