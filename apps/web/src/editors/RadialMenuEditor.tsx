import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import {
  changesOf,
  itemAt,
  MOST_ITEMS,
  menuOwnerChanges,
  type RadialItem,
  type RadialMenu,
  type SingleEdit,
} from '@nimble-lever/core/setup';
import { Plus, Trash2 } from 'lucide-react';
import { type KeyboardEvent, useState } from 'react';
import { makeEdits } from '../app/setup/edits.ts';
import { newId } from '../app/setup/newId.ts';
import { selectSetup } from '../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { useDraft } from '../app/useDraft.ts';
import { ChoiceField } from '../pieces/ChoiceField.tsx';
import { RadialSectors } from '../pieces/RadialSectors.tsx';
import { RadialItemFields } from './RadialItemFields.tsx';
import { WORDS } from './words.ts';

/** Wide enough for eight items with labels of two lines. */
const SIZE = 300;

const Body = styled('div')(({ theme: { vars } }) => ({
  width: 720,
  maxWidth: '100%',
  padding: 20,
  display: 'grid',
  gridTemplateColumns: `${SIZE}px minmax(0, 1fr)`,
  gap: '14px 24px',
  '& header': { gridColumn: '1 / -1', display: 'flex', gap: 12, alignItems: 'center' },
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& .fields': { display: 'flex', flexDirection: 'column', gap: 10 },
  '& .row': { display: 'flex', gap: 8, flexWrap: 'wrap' },
  '& footer': { gridColumn: '1 / -1', display: 'flex', justifyContent: 'space-between', gap: 8 },
}));

/** A menu by its id; it may be gone when another page removes it. */
interface Props {
  readonly menu: string;
  /** Goes on to another menu, one that an item opens. */
  readonly onMenu: (menu: string) => void;
  readonly onClose: () => void;
}

/** A radial menu edited as it will open: items dragged to their places or moved by keys, each with its label and what it does. */
export function RadialMenuEditor({ menu: id, onMenu, onClose }: Props) {
  const setup = useAppSelector(selectSetup);
  const menu = setup.radialMenus.find((own) => own.id === id);
  return (
    <Dialog open={menu !== undefined} onClose={onClose} maxWidth={false} aria-labelledby="radial-menu-title">
      {menu && <MenuBody key={menu.id} menu={menu} onMenu={onMenu} onClose={onClose} />}
    </Dialog>
  );
}

/** The menu itself. */
interface MenuProps extends Pick<Props, 'onMenu' | 'onClose'> {
  readonly menu: RadialMenu;
}

/**
 * The menu as it will open, each item in its place; arrows go round it, dragging puts items in another order.
 */
function MenuBody({ menu, onMenu, onClose }: MenuProps) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const [wanted, setSelected] = useState(0);
  // The last item may have been removed by another page meanwhile.
  const selected = Math.min(wanted, menu.items.length - 1);
  // A press that moves less than this is a click on the item.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));

  const item = menu.items[selected];
  const set = (next: RadialMenu, first: readonly SingleEdit[] = []) => {
    dispatch(makeEdits([...first, ...changesOf(itemAt.radialMenu(menu.id), menu, next)]));
  };
  const setItems = (items: RadialItem[], next: number, first?: readonly SingleEdit[]) => {
    set({ ...menu, items }, first);
    setSelected(next);
  };
  const move = (from: number, to: number) => {
    const moved = menu.items[from];
    if (!moved || from === to) return;
    setItems(menu.items.toSpliced(from, 1).toSpliced(to, 0, moved), to);
  };
  const name = useDraft(menu.name, (text) => {
    if (text.trim()) set({ ...menu, name: text.trim() });
  });
  // Round and round, as the menu itself has no end; with Alt the item goes along.
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const count = menu.items.length;
    const next = (selected + by + count) % count;
    if (event.altKey) move(selected, next);
    else setSelected(next);
    const items = event.currentTarget;
    // After it is drawn in its new place.
    setTimeout(() => items.querySelector<HTMLElement>(`[data-item="${next}"]`)?.focus());
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over) move(Number(active.id), Number(over.id));
  };
  const add = () =>
    setItems(
      [
        ...menu.items,
        {
          id: newId('item', 'item'),
          label: WORDS.radial.item,
          icon: null,
          action: { kind: 'shortcut', shortcut: 'Ctrl+Z' },
        },
      ],
      menu.items.length,
    );
  return (
    <Body>
      <header>
        <h2 id="radial-menu-title">{WORDS.radial.title}</h2>
        <OutlinedInput {...name} inputProps={{ 'aria-label': WORDS.radial.name, maxLength: 60 }} />
        <ChoiceField
          label={WORDS.radial.program}
          value={menu.program ?? ''}
          options={[
            ['', WORDS.radial.everyProgram],
            ...setup.programs.map((program) => [program.id, WORDS.radial.ofProgram(program.name)] as const),
          ]}
          onChange={(program) =>
            dispatch(makeEdits(menuOwnerChanges(setup, menu, program === '' ? null : program)))
          }
        />
      </header>
      <DndContext sensors={sensors} onDragEnd={onDragEnd}>
        {/* biome-ignore lint/a11y/noStaticElementInteractions: the items inside take the keys. */}
        <div onKeyDown={onKey}>
          <RadialSectors
            items={menu.items}
            highlighted={null}
            selected={selected}
            size={SIZE}
            onItem={setSelected}
            wrap={useDraggedItem}
          />
        </div>
      </DndContext>
      <div className="fields">
        <p>{WORDS.radial.help}</p>
        {item && (
          <RadialItemFields
            key={`${menu.id} ${selected}`}
            place={`${menu.id} ${selected}`}
            menu={menu}
            item={item}
            onChange={(next, first) => setItems(menu.items.with(selected, next), selected, first)}
            onEditMenu={onMenu}
          />
        )}
        <div className="row">
          <Button
            startIcon={<Plus size={15} aria-hidden />}
            disabled={menu.items.length >= MOST_ITEMS}
            title={menu.items.length >= MOST_ITEMS ? WORDS.radial.full : undefined}
            onClick={add}
          >
            {WORDS.radial.add}
          </Button>
          <Button
            startIcon={<Trash2 size={15} aria-hidden />}
            disabled={menu.items.length < 2}
            onClick={() => setItems(menu.items.toSpliced(selected, 1), Math.max(0, selected - 1))}
          >
            {WORDS.radial.remove}
          </Button>
        </div>
      </div>
      <footer>
        <span />
        <Button variant="contained" onClick={onClose}>
          {WORDS.radial.done}
        </Button>
      </footer>
    </Body>
  );
}

/** What makes an item of the menu draggable and a place to drop another on. */
function useDraggedItem(index: number) {
  const { setNodeRef: setDragged, listeners, transform, isDragging } = useDraggable({ id: index });
  const { setNodeRef: setTarget, isOver } = useDroppable({ id: index });
  return {
    ref: (node: HTMLElement | null) => {
      setDragged(node);
      setTarget(node);
    },
    listeners: listeners ?? {},
    shift: transform ? ([transform.x, transform.y] as const) : null,
    lit: isOver && !isDragging,
  };
}
