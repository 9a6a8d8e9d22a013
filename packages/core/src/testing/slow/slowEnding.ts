import type { Setup } from '../../setup/index.ts';
import type { SlowActions } from './slowActions.ts';
import type { SlowClock } from './slowClock.ts';
import { type Choice, controlIn, stillDecides } from './slowLook.ts';
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

  /** What would be decided otherwise now ends; macros marked so go on. */
  afterFront(setup: Setup, profile: string): void {
    const goes: Which = (choice) => !stillDecides(setup, profile, choice);
    this.#end(goes, goes, true);
  }

  /** What a control that is down resolved to still holds, unless the profile is another or it is gone. */
  afterEdit(setup: Setup, profile: string, changed: boolean): void {
    const isGone: Which = ({ device, control }) => controlIn(setup, device, control) === null;
    const goes: Which = (choice) => isGone(choice) || !stillDecides(setup, profile, choice);
    this.#end(changed ? goes : isGone, goes, changed);
  }

  letGo(device: string | null): void {
    const own = (each: { readonly device: string }) => device === null || each.device === device;
    this.#end(own, own, false);
    for (const press of this.presses.all.filter(own)) this.presses.forget(press);
    this.moves.springs = this.moves.springs.filter((spring) => !own(spring));
    for (const record of [this.moves.rests, this.moves.slid]) {
      for (const key of [...record.keys()]) if (own({ device: key.split('/')[0] ?? '' })) record.delete(key);
    }
  }

  #end(down: Which, rest: Which, goesOn: boolean): void {
    this.#endDecided(down);
    for (const latch of this.actions.latches.toReversed()) {
      if (!rest(latch.owner)) continue;
      this.actions.latches = this.actions.latches.filter((other) => other !== latch);
      latch.end();
    }
    for (const press of [...this.presses.all]) if (press.phase !== 'decided') this.#endWaiting(press, down);
    for (const spring of this.moves.springs) {
      if (!down(spring.choice)) continue;
      this.clock.drop(spring.due);
      spring.silent = true;
    }
    const stillHeld = this.presses.all.flatMap(({ end }) => end.macro ?? []);
    for (const run of [...this.actions.macros]) {
      if (stillHeld.includes(run.macro.id) || (goesOn && run.macro.goesOn)) continue;
      if (rest(run.owner)) this.actions.stopMacro(run);
    }
    for (const { key, choice } of [...this.presses.asking]) if (rest(choice)) this.presses.stopAsking(key);
    this.actions.layersOn = this.actions.layersOn.filter(({ why, owner }) => why !== 'once' || !rest(owner));
    this.#closePages(rest);
    if (this.actions.openMenu && rest(this.actions.openMenu.owner)) this.actions.openMenu = null;
  }

  #endDecided(down: Which): void {
    const decided = this.presses.all.filter(({ phase }) => phase === 'decided');
    for (const press of decided.toSorted((a, b) => b.decidedAs - a.decidedAs)) {
      if (press.silent || !down(press.chosen)) continue;
      this.clock.drop(press.due);
      press.end();
      Object.assign(press, { silent: true, due: null, end: () => undefined, atRelease: false });
    }
  }

  #endWaiting(press: Press, down: Which): void {
    const { ways } = press;
    const choices = [ways.press, ways.hold, ways.double, ...ways.nudges.values()];
    if (!choices.some((choice) => choice && down(choice))) return;
    if (press.phase === 'between') {
      this.presses.forget(press);
      return;
    }
    this.clock.drop(press.due);
    this.presses.silence(press);
  }

  /** A page goes with all that were opened on top of it. */
  #closePages(rest: Which): void {
    const gone = this.actions.pages.filter((page, i, pages) =>
      pages.slice(0, i + 1).some((under) => under.owner.device === page.owner.device && rest(under.owner)),
    );
    this.actions.pages = this.actions.pages.filter((page) => !gone.includes(page));
  }
}
