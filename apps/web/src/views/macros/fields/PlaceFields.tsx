import Button from '@mui/material/Button';
import { CORNERS, type MacroStep, type Place } from '@nimble-lever/core/setup';
import { Fragment } from 'react';
import { HeldKeys } from '../../../editors/HeldKeys.tsx';
import { WORDS as EDITOR_WORDS } from '../../../editors/words.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { NumberField } from '../../../pieces/NumberField.tsx';
import { WORDS } from '../words.ts';

interface Props {
  readonly step: Extract<MacroStep, { kind: 'click' }>;
  readonly picking: boolean;
  readonly onPick: () => void;
  readonly onChange: (fields: Readonly<Record<string, unknown>>) => void;
}

/** A place nobody has moved yet. */
const ORIGIN: Place = { from: 'window', corner: 'top-left', x: 0, y: 0 };

/** Which button is clicked how often, where, and with which keys held. */
export function ClickFields({ step, picking, onPick, onChange }: Props) {
  const { button, count, at, keys } = step;
  return (
    <>
      <div className="line">
        <ChoiceField
          label={WORDS.buttonField}
          value={String(button)}
          options={WORDS.buttons.map((name, i) => [String(i), name])}
          onChange={(value) => onChange({ button: Number(value) })}
        />
        <ChoiceField
          label={EDITOR_WORDS.clicks}
          value={String(count)}
          options={EDITOR_WORDS.clickCounts.map((name, i) => [String(i + 1), name])}
          onChange={(value) => onChange({ count: Number(value) })}
        />
      </div>
      <div className="line">
        <ChoiceField
          label={EDITOR_WORDS.clicks}
          value={at?.from ?? 'none'}
          options={(['none', 'pointer', 'window', 'screen'] as const).map((from) => [
            from,
            EDITOR_WORDS.clickFrom[from],
          ])}
          onChange={(from) => onChange({ at: from === 'none' ? null : { ...(at ?? ORIGIN), from } })}
        />
        {at?.from === 'window' && (
          <ChoiceField
            label={EDITOR_WORDS.corner}
            value={at.corner}
            options={CORNERS.map((corner) => [corner, EDITOR_WORDS.corners[corner]])}
            onChange={(corner) => onChange({ at: { ...at, corner } })}
          />
        )}
      </div>
      {at && (
        <div className="line">
          {(['x', 'y'] as const).map((axis) => (
            <Fragment key={axis}>
              <span aria-hidden>{WORDS.axes[axis]}</span>
              <NumberField
                label={axis === 'x' ? EDITOR_WORDS.across : EDITOR_WORDS.downwards}
                value={at[axis]}
                min={-20_000}
                max={20_000}
                onChange={(value) => onChange({ at: { ...at, [axis]: value } })}
              />
            </Fragment>
          ))}
        </div>
      )}
      <div className="line">
        <Button variant={picking ? 'contained' : 'outlined'} aria-pressed={picking} onClick={onPick}>
          {WORDS.pickPlace}
        </Button>
        {picking && <span role="status">{WORDS.picking}</span>}
      </div>
      <div className="line">
        <HeldKeys keys={keys} onChange={(next) => onChange({ keys: next })} />
      </div>
    </>
  );
}
