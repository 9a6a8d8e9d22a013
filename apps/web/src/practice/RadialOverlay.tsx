import { type MenuOf, RIM, setOn } from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import { deviceName } from '@nimble-lever/core/words';
import { useEffect, useMemo } from 'react';
import { feed } from '../app/engine/feed.ts';
import { selectCompiled, selectSetup } from '../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { RadialSectors } from '../pieces/RadialSectors.tsx';
import { selectDesk } from './deskSlice.ts';
import { WORDS } from './words.ts';

/** How far an arrow key or a click moves the pointer inside the menu: between dead zone and rim, in pixels. */
const INSIDE = 50;

/** Where the middle of a sector is, at a distance from the middle of the menu: pixels. */
function sectorPlace(item: number, count: number, far: number) {
  const angle = (item / count) * 2 * Math.PI;
  return { x: Math.sin(angle) * far, y: -Math.cos(angle) * far };
}

/** What an open menu is called and what stands in it; null where it is gone. */
function contentOf(setup: Setup, of: MenuOf) {
  if (of.kind === 'menu') {
    const menu = setup.radialMenus.find(({ id }) => id === of.menu);
    return menu ? { label: WORDS.radial(menu.name), items: menu.items } : null;
  }
  const items = of.sets.map((set) => {
    const page = setup.pages.find(({ id }) => id === set);
    return {
      id: set ?? 'home',
      label: page?.face?.label ?? page?.name ?? WORDS.home,
      icon: page?.face?.icon ?? null,
      picture: page?.face?.picture ?? null,
    };
  });
  return { label: WORDS.setsOf(deviceName(setup, of.device)), items };
}

/** The radial menu that is open, over the desk at its pointer. Arrow keys go round it, Enter or Space chooses, Escape closes. */
export function RadialOverlay() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const radial = useAppSelector((state) => state.engine.engine.radial);
  const pointer = useAppSelector((state) => selectDesk(state).pointer);
  const of = radial?.of ?? null;
  const menu = useMemo(() => of && contentOf(setup, of), [setup, of]);
  const current = useAppSelector((state) =>
    of?.kind === 'sets'
      ? of.sets.indexOf(setOn(selectCompiled(state), state.engine.engine, of.device))
      : null,
  );
  useEffect(() => {
    if (!radial || !menu) return;
    const count = menu.items.length;
    // The engine alone decides what is chosen; keys and clicks move its pointer as a hand would.
    const go = (to: { x: number; y: number }) =>
      dispatch(feed({ kind: 'move', dx: to.x - radial.dx, dy: to.y - radial.dy }));
    const onKey = (event: KeyboardEvent) => {
      if (!event.isTrusted) return;
      const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
      const { highlighted } = radial;
      if (by !== undefined) {
        // Of sets one goes on from the one that is on, as by turning; of items from the first or the last.
        const from = highlighted ?? current ?? (by > 0 ? -1 : 0);
        const next = (from + by + count) % count;
        go(sectorPlace(next, count, INSIDE));
      } else if (event.key === 'Escape') {
        // Back in the dead zone, from outside it so that nothing stays highlighted, the opener's press closes it.
        go({ x: 0, y: -INSIDE });
        dispatch(feed({ kind: 'move', dx: 0, dy: INSIDE }));
        dispatch(feed({ kind: 'down', device: radial.owner.device, control: radial.owner.control }));
        dispatch(feed({ kind: 'up', device: radial.owner.device, control: radial.owner.control }));
      } else if (event.key === 'Enter' && highlighted !== null) {
        go(sectorPlace(highlighted, count, RIM + 1));
      } else return;
      event.preventDefault();
      event.stopPropagation();
    };
    // Before the program in front, which has the keys otherwise.
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [dispatch, radial, menu, current]);
  if (!radial || !menu) return null;
  const place = pointer ? { left: pointer.x, top: pointer.y } : { left: '50%', top: '50%' };
  return (
    <div
      role="dialog"
      aria-label={menu.label}
      style={{ position: 'absolute', zIndex: 80, transform: 'translate(-50%, -50%)', ...place }}
    >
      <RadialSectors
        items={menu.items}
        highlighted={radial.highlighted}
        selected={current}
        size={RIM * 2 + 76}
        onItem={(item) => {
          const to = sectorPlace(item, menu.items.length, RIM + 1);
          dispatch(feed({ kind: 'move', dx: to.x - radial.dx, dy: to.y - radial.dy }));
        }}
      />
    </div>
  );
}
