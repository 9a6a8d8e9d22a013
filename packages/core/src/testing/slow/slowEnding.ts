import type { Setup } from '../../setup/index.ts';
import type { SlowActions } from './slowActions.ts';
import type { SlowClock } from './slowClock.ts';
import { type Choice, controlIn, stillDecides } from './slowLook.ts';
import type { SlowMacro } from './slowMacro.ts';
import type { SlowMoves } from './slowMoves.ts';
import type { Press, SlowPresses } from './slowPresses.ts';

type Which = (choice: Choice) => boolean;

/** Ends what may not go on: after a change of front, an edit, a device that is gone, a reset. */
export class SlowEnding {
  constructor(
    private readonly actions: SlowActions,
    private readonly clock: SlowClock,
    private readonly presses: SlowPresses,
    private readonly moves: SlowMoves,
  ) {}

  /** What would be decided otherwise now ends, of devices with another profile; macros marked so go on. */
  afterFront(setup: Setup, profileOf: (device: string) => string, moved: (device: string) => boolean): void {
    const goes: Which = (choice) =>
      moved(choice.device) && !stillDecides(setup, profileOf(choice.device), choice);
    this.actions.pages.closeElsewhere();
    this.#end(goes, goes, true, (run) => run.belongsTo !== profileOf(run.owner.device));
    this.actions.closeChangedMenu();
  }

  /** What a control that is down resolved to still holds, unless the profile is another or it is gone. */
  afterEdit(setup: Setup, profileOf: (device: string) => string, moved: (device: string) => boolean): void {
    const isGone: Which = ({ device, control }) => controlIn(setup, device, control) === null;
    const goes: Which = (choice) => isGone(choice) || !stillDecides(setup, profileOf(choice.device), choice);
    const down: Which = (choice) => (moved(choice.device) ? goes(choice) : isGone(choice));
    this.actions.pages.closeElsewhere();
    this.actions.closeChangedMenu();
    this.#end(
      down,
      goes,
      setup.devices.some(({ id }) => moved(id)),
      (run) => isGone(run.owner) || run.belongsTo !== profileOf(run.owner.device),
    );
  }

  /** `gone`: the device itself is; a ring away from rest is forgotten then, else it stays silent until rest. */
  letGo(device: string | null, gone: boolean): void {
    const own = (each: { readonly device: string }) => device === null || each.device === device;
    this.#end(own, own, false, ({ owner }) => own(owner));
    if (gone || device === null) this.actions.pages.forget(device);
    this.actions.closeChangedMenu();
    for (const press of this.presses.all.filter(own)) this.presses.forget(press);
    if (gone) this.moves.springs = this.moves.springs.filter((spring) => !own(spring));
    for (const spring of this.moves.springs)
      if (own(spring)) Object.assign(spring, { choice: null, silent: true });
    for (const record of [this.moves.rests, this.moves.slid]) {
      for (const key of [...record.keys()]) if (own({ device: key.split('/')[0] ?? '' })) record.delete(key);
    }
  }

  /** `left` says of a macro that belongs to a window it waited for whether it ends. */
  #end(down: Which, rest: Which, goesOn: boolean, left: (run: SlowMacro) => boolean): void {
    this.#endOutputs(down, rest, goesOn, left);
    for (const press of [...this.presses.all]) if (press.phase !== 'decided') this.#endWaiting(press, down);
    for (const spring of this.moves.springs) {
      if (!spring.choice || !down(spring.choice)) continue;
      this.clock.drop(spring.due);
      spring.silent = true;
    }
    const stillHeld = [...this.presses.all, ...this.actions.latches].flatMap(({ end }) => end.macro ?? []);
    for (const run of [...this.actions.macros]) {
      if (goesOn && run.macro.goesOn) continue;
      const ends = run.belongsTo === null ? !stillHeld.includes(run.macro.id) && rest(run.owner) : left(run);
      if (ends) this.actions.stopMacro(run);
    }
    for (const { key, choice } of [...this.presses.asking]) if (rest(choice)) this.presses.stopAsking(key);
    this.actions.layersOn = this.actions.layersOn.filter(({ why, owner }) => why !== 'once' || !rest(owner));
    if (this.actions.openMenu && rest(this.actions.openMenu.owner)) this.actions.openMenu = null;
  }

  /** What is held and what is latched, newest first; macros that go on are spared where that is asked. */
  #endOutputs(down: Which, rest: Which, goesOn: boolean, left: (run: SlowMacro) => boolean): void {
    const spared = (end: { macro?: string }) =>
      this.actions.macros.some(
        (run) =>
          run.macro.id === end.macro &&
          ((goesOn && run.macro.goesOn) || (run.belongsTo !== null && !left(run))),
      );
    const ends: { order: number; end: () => void }[] = [];
    for (const press of this.presses.all) {
      if (press.phase !== 'decided' || !down(press.chosen)) continue;
      ends.push({
        order: press.order,
        end: () => {
          this.clock.drop(press.due);
          if (!spared(press.end)) {
            press.end();
            press.end = () => undefined;
          }
          Object.assign(press, { silent: true, due: null, atRelease: false, guarding: false });
        },
      });
    }
    for (const latch of this.actions.latches) {
      if (!rest(latch.owner) || spared(latch.end)) continue;
      ends.push({
        order: latch.order,
        end: () => {
          this.actions.latches = this.actions.latches.filter((other) => other !== latch);
          latch.end();
        },
      });
    }
    for (const { end } of ends.toSorted((a, b) => b.order - a.order)) end();
    for (const press of this.presses.all) {
      if (press.phase !== 'decided') continue;
      for (const [trigger, choice] of press.ways.turns) if (down(choice)) press.ended.add(trigger);
    }
  }

  #endWaiting(press: Press, down: Which): void {
    const { ways } = press;
    const choices = [ways.press, ways.hold, ways.double, ...ways.nudges.values(), ...ways.turns.values()];
    if (!choices.some((choice) => choice && down(choice))) return;
    if (press.phase === 'between') {
      this.presses.forget(press);
      return;
    }
    this.clock.drop(press.due);
    this.presses.silence(press);
    for (const [trigger, choice] of ways.turns) if (down(choice)) press.ended.add(trigger);
  }
}
