import { type Control, controlOf } from './control.ts';

/** Keys in rows and columns. */
interface Grid {
  readonly count: number;
  readonly columns: number;
  /** Millimetres: where the first is, how large each is, from one to the next. */
  readonly left: number;
  readonly top: number;
  readonly size: number;
  /** From one key to the next, centre to centre. */
  readonly pitch: number;
}

/** Keys or cells in rows from the top left corner, numbered from 1. */
export function keyGrid(
  kind: 'key' | 'cell',
  { count, columns, left, top, size, pitch }: Grid,
): readonly Control[] {
  return Array.from({ length: count }, (_, index) =>
    controlOf({
      id: `${kind}-${index + 1}`,
      name: `${kind === 'key' ? 'Key' : 'Cell'} ${index + 1}`,
      kind,
      shape: {
        kind: 'rect',
        x: left + (index % columns) * pitch,
        y: top + Math.floor(index / columns) * pitch,
        width: size,
        height: size,
        radius: kind === 'key' ? 4 : 6,
      },
      canPress: true,
    }),
  );
}
