import { type Action, BASE_LAYER, EVERYWHERE, type Setup } from '../../setup/index.ts';
import type { SlowClock } from './slowClock.ts';
import { codesIn, type SlowDesk } from './slowDesk.ts';
import { type Choice, inKeys, type Sends } from './slowLook.ts';
import { SlowMacro } from './slowMacro.ts';

/** Ends what was begun. */
export type End = () => void;

export interface OpenMenu {
  readonly menu: string;
  readonly items: readonly Action[];
  readonly owner: Choice;
  dx: number;
  dy: number;
  lit: number | null;
}

const nothing: End = () => undefined;
const owns = (a: Choice, b: Choice) => a.device === b.device && a.control === b.control;

/** What actions do: begun, each gives the way to end it. Layers, pages, macros and the menu live here. */
export class SlowActions {
  /** Who keeps layers on: one entry for each. */
  layersOn: { readonly layer: string; readonly owner: Choice; readonly why: 'held' | 'once' | 'macro' }[] =
    [];
  pages: { readonly page: string; readonly owner: Choice }[] = [];
  macros: SlowMacro[] = [];
  openMenu: OpenMenu | null = null;
  speeds = new Map<string, number>();
  computers = new Map<string, number>();
  /** Done once the event is dealt with. */
  readonly wishes: (() => void)[] = [];
  /** What is latched, oldest first. */
  latches: { readonly key: string; readonly owner: Choice; readonly end: End }[] = [];

  constructor(
    public setup: Setup,
    private readonly desk: SlowDesk,
    private readonly clock: SlowClock,
    private readonly outside: {
      readonly profile: () => string;
      readonly pin: (profile: string | null) => void;
      readonly letGo: (device: string) => void;
    },
  ) {}

  /** The layers a device is looked up in. */
  layersOf(device: string): string[] {
    const on = this.setup.layers.filter(
      ({ id }) => id !== BASE_LAYER && this.layersOn.some(({ layer }) => layer === id),
    );
    const above = on.map(({ id }) => id).toReversed();
    const page = this.pages.findLast(({ owner }) => owner.device === device)?.page;
    if (page === undefined) return [...above, BASE_LAYER];
    return [...above.filter((id) => id !== page), page, BASE_LAYER];
  }

  tap(sends: Sends, owner: Choice): void {
    this.begin(sends, owner)();
  }

  begin({ action, programs, focus }: Sends, owner: Choice): End {
    const [first = null] = programs;
    if (focus && first !== null) this.desk.send(first, { kind: 'focus', launch: false });
    const ends = programs.map((program) => this.#send(action, program));
    if (ends.every((end) => end !== null)) {
      return () => {
        for (const end of ends.toReversed()) end?.();
      };
    }
    return this.#change(action, owner, first);
  }

  /** What goes to a program; null for what changes something of the engine's own. */
  #send(action: Action, program: string | null): End | null {
    const { desk } = this;
    switch (action.kind) {
      case 'shortcut': {
        const downs = codesIn(action.shortcut).map((code) => desk.press(program, code));
        return () => {
          for (const down of downs.toReversed()) desk.lift(down);
        };
      }
      case 'button': {
        const down = desk.press(program, action.button);
        return () => desk.lift(down);
      }
      case 'message':
        desk.message(program, action.message, 1);
        return () => desk.message(program, action.message, 0);
      case 'sequence':
        for (const codes of action.shortcuts.map(codesIn))
          desk.exactly(program, codes, [], () => desk.tapKeys(program, codes));
        return nothing;
      case 'text':
        desk.exactly(program, [], [], () => desk.send(program, { kind: 'text', text: action.text }));
        return nothing;
      case 'click':
        desk.click(program, action);
        return nothing;
      case 'wheel':
        desk.send(program, { kind: 'wheel', ticks: action.ticks, axis: action.axis });
        return nothing;
      default:
        return null;
    }
  }

  #change(action: Action, owner: Choice, program: string | null): End {
    switch (action.kind) {
      case 'layer':
        return action.mode === 'once' ? this.#once(action.layer, owner) : this.#keepOn(action.layer, owner);
      case 'page':
        return this.#page(action.page, owner);
      case 'profile': {
        const to = this.#profileFor(action);
        this.wishes.push(() => this.outside.pin(to));
        return nothing;
      }
      case 'speed':
        return this.#speed(action, action.device ?? owner.device);
      case 'computer':
        this.#computer(action, action.device ?? owner.device);
        return nothing;
      case 'program':
        this.desk.send(action.program, { kind: 'focus', launch: action.launch });
        return nothing;
      case 'radial': {
        const items = this.setup.radialMenus.find(({ id }) => id === action.menu)?.items ?? [];
        const actions = items.map((item) => inKeys(this.setup, EVERYWHERE, item.action));
        this.openMenu = { menu: action.menu, items: actions, owner, dx: 0, dy: 0, lit: null };
        return nothing;
      }
      case 'macro':
        return this.#macro(action.macro, owner, program);
      default:
        return nothing;
    }
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

  setLayer(layer: string, on: boolean, owner: Choice): void {
    const key = `layer ${layer}`;
    const latch = this.latches.find((each) => each.key === key);
    if (on && !latch) this.latches.push({ key, owner, end: this.#keepOn(layer, owner) });
    if (on || !latch) return;
    this.latches = this.latches.filter((other) => other !== latch);
    latch.end();
  }

  #page(page: string | null, owner: Choice): End {
    const own = this.pages.filter((each) => each.owner.device === owner.device);
    const top = own.at(-1);
    if (page === null) this.pages = this.pages.filter((each) => each !== top);
    else if (top?.page !== page) {
      this.pages.push({ page, owner });
      if (own.length >= 20) this.pages = this.pages.filter((each) => each !== own[0]);
    }
    return nothing;
  }

  #profileFor({ change, profiles }: Extract<Action, { kind: 'profile' }>): string | null {
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
    const at = all.indexOf(this.outside.profile());
    if (at < 0) return all[0] ?? null;
    return all.at((at + (change === 'next' ? 1 : -1)) % all.length) ?? null;
  }

  #speed({ change, step }: Extract<Action, { kind: 'speed' }>, device: string): End {
    const count = this.setup.devices.find(({ id }) => id === device)?.settings.pointerSpeeds.length ?? 0;
    if (count === 0) return nothing;
    const before = this.speeds.get(device) ?? 0;
    const to = change === 'next' ? before + 1 : change === 'previous' ? before + count - 1 : step;
    this.speeds.set(device, to % count);
    return change === 'while-held' ? () => void this.speeds.set(device, before) : nothing;
  }

  #computer({ change, computer }: Extract<Action, { kind: 'computer' }>, device: string): void {
    const count = this.setup.devices.find(({ id }) => id === device)?.settings.computers.length ?? 0;
    if (count === 0) return;
    const before = this.computers.get(device) ?? 0;
    const to = (change === 'next' ? before + 1 : computer) % count;
    if (to === before) return;
    this.computers.set(device, to);
    this.wishes.push(() => this.outside.letGo(device));
  }

  #macro(id: string, owner: Choice, program: string | null): End {
    const macro = this.setup.macros.find((each) => each.id === id);
    if (!macro) return nothing;
    const running = this.macros.find((run) => run.macro.id === id);
    if (running) {
      if (running.macro.run === 'toggle') this.stopMacro(running);
      else if (running.macro.again === 'restart') {
        this.stopMacro(running);
        this.#startMacro(id, owner, program, 0);
      } else if (running.macro.again === 'queue') running.queued = Math.min(20, running.queued + 1);
      return nothing;
    }
    this.#startMacro(id, owner, program, 0);
    if (macro.run !== 'held') return nothing;
    const end = () => {
      const own = this.macros.find((run) => run.macro.id === id);
      if (own) this.stopMacro(own);
    };
    return Object.assign(end, { macro: id });
  }

  #startMacro(id: string, owner: Choice, program: string | null, queued: number): void {
    const macro = this.setup.macros.find((each) => each.id === id);
    if (!macro) return;
    const run = new SlowMacro(this.setup, macro, owner, program, {
      desk: this.desk,
      clock: this.clock,
      setLayer: (layer, on, by) => this.setLayer(layer, on, by),
      finished: () => {
        this.stopMacro(run);
        if (run.queued > 0) this.#startMacro(id, owner, program, run.queued - 1);
      },
    });
    run.queued = queued;
    this.macros.push(run);
    run.goOn();
  }

  stopMacro(run: SlowMacro): void {
    this.macros = this.macros.filter((other) => other !== run);
    run.stop();
  }
}
