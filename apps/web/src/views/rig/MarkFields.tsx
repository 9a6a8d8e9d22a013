import IconButton from '@mui/material/IconButton';
import { Plus, X } from 'lucide-react';
import { NumberField } from '../../pieces/NumberField.tsx';

/** The marks of a scale as numbers: for those who know the value they want. */
interface Props {
  readonly marks: readonly number[];
  readonly min: number;
  readonly max: number;
  readonly whole: boolean;
  readonly unit?: string;
  readonly nameOf: (index: number) => string;
  readonly removeNameOf: (index: number) => string;
  readonly addName: string;
  readonly onMove: (index: number, value: number) => void;
  readonly onRemove: (index: number) => void;
  /** Null where there cannot be more. */
  readonly onAdd: (() => void) | null;
}

/** A field for each mark with its way out, and a way to one more. */
export function MarkFields(props: Props) {
  const { marks, nameOf, removeNameOf, addName, onMove, onRemove, onAdd, ...bounds } = props;
  return (
    <div className="line">
      {marks.map((mark, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a mark is its place in the order.
        <div key={i} style={{ display: 'inline-flex', alignItems: 'center' }}>
          <NumberField {...bounds} label={nameOf(i)} value={mark} onChange={(next) => onMove(i, next)} />
          <IconButton aria-label={removeNameOf(i)} sx={{ width: 24, height: 24 }} onClick={() => onRemove(i)}>
            <X size={13} aria-hidden />
          </IconButton>
        </div>
      ))}
      {onAdd && (
        <IconButton aria-label={addName} sx={{ width: 28, height: 28 }} onClick={onAdd}>
          <Plus size={15} aria-hidden />
        </IconButton>
      )}
    </div>
  );
}
