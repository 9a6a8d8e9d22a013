import type { Action, Page, Setup } from '../../setup/index.ts';

/** The pages of devices: which folders are open, which set was chosen with which program in front. */
export class SlowPages {
  /** In the order in which they were opened. */
  folders: readonly { readonly device: string; readonly page: string }[] = [];
  chosen: readonly {
    readonly device: string;
    readonly program: string | null;
    readonly set: string | null;
  }[] = [];

  constructor(
    private readonly now: () => Setup,
    private readonly programOf: (device: string) => string | null,
  ) {}

  /** What a device is looked up in between the layers above and the base layer. */
  over(device: string): string[] {
    const folder = this.folders.findLast((open) => open.device === device)?.page;
    const set = this.setOf(device);
    return [...(folder === undefined ? [] : [folder]), ...(set === null ? [] : [set])];
  }

  /** The device's own (null), those of the program in front, those of no program. */
  ring(device: string): (string | null)[] {
    const program = this.programOf(device);
    const sets = this.now().pages.filter((page) => page.kind === 'set' && page.device === device);
    const own = sets.filter((page) => page.program !== null && page.program === program);
    return [
      null,
      ...own.map(({ id }) => id),
      ...sets.filter((page) => page.program === null).map(({ id }) => id),
    ];
  }

  setOf(device: string): string | null {
    const program = this.programOf(device);
    const last = this.chosen.findLast((each) => each.device === device && each.program === program);
    const ring = this.ring(device);
    if (last && ring.includes(last.set)) return last.set;
    const follows = this.now().pages.find(
      (page) => page.follows && page.program !== null && page.device === device && ring.includes(page.id),
    );
    return follows?.id ?? null;
  }

  /** Any but asking. */
  act({ change, page, device }: Extract<Action, { kind: 'page' }>, own: string): void {
    const named = this.now().pages.find(({ id }) => id === page);
    if (page !== null && (!named || !this.#isHere(named))) return;
    const on = named?.device ?? device ?? own;
    const ring = this.ring(on);
    const at = ring.indexOf(this.setOf(on));
    const open = this.folders.filter((each) => each.device === on);
    const top = open.at(-1);
    switch (change) {
      case 'open':
        if (!named || top?.page === named.id) return;
        this.folders = [...this.folders, { device: on, page: named.id }];
        if (open.length === 20) this.folders = this.folders.filter((each) => each !== open[0]);
        return;
      case 'back':
        this.folders = this.folders.filter((each) => each !== top);
        return;
      case 'home':
        this.folders = this.folders.filter((each) => each.device !== on);
        return;
      case 'next-set':
        if (ring.length > 1) this.#choose(on, at + 1 === ring.length ? null : (ring[at + 1] ?? null));
        return;
      case 'previous-set':
        if (ring.length > 1) this.#choose(on, at === 0 ? (ring.at(-1) ?? null) : (ring[at - 1] ?? null));
        return;
      case 'choose':
        this.#choose(on, page);
        return;
      case 'ask':
        return;
    }
  }

  #choose(device: string, set: string | null): void {
    this.chosen = [...this.chosen, { device, program: this.programOf(device), set }];
  }

  #isHere({ device, program }: Page): boolean {
    return program === null || program === this.programOf(device);
  }

  /** After another program came to the front, a device went to another computer, or an edit. */
  closeElsewhere(): void {
    this.folders = this.folders.filter(({ device, page }) => {
      const known = this.now().pages.find(({ id }) => id === page);
      return known?.kind === 'folder' && known.device === device && this.#isHere(known);
    });
  }

  /** A device is gone, or (null) all is reset, with what was chosen. */
  forget(device: string | null): void {
    this.folders = this.folders.filter((open) => device !== null && open.device !== device);
    if (device === null) this.chosen = [];
  }
}
