import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { windowOf } from '@nimble-lever/core/macros';
import { RULE_FIELDS } from '@nimble-lever/core/resolve';
import type { MacroStep } from '@nimble-lever/core/setup';
import { useState } from 'react';
import { PatternField } from '../../../editors/PatternField.tsx';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { NumberField } from '../../../pieces/NumberField.tsx';
import { DESK_WINDOWS } from '../../../practice/deskSlice.ts';
import { WORDS } from '../words.ts';

interface Props {
  readonly step: Extract<MacroStep, { kind: 'until' }>;
  readonly onChange: (fields: Readonly<Record<string, unknown>>) => void;
}

/** Which window is waited for, for how long, and what then. */
export function UntilFields({ step, onChange }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { window, atMostMs, late } = step;
  return (
    <>
      <div className="patterns">
        {RULE_FIELDS.map((field) => (
          <PatternField
            // A window that is taken whole shows in all three.
            key={`${field} ${JSON.stringify(window[field])}`}
            name={WORDS.windowFields[field]}
            pattern={window[field]}
            suggested=""
            onChange={(pattern) => onChange({ [`window.${field}`]: pattern })}
          />
        ))}
      </div>
      <div className="line">
        <Button aria-haspopup="menu" onClick={({ currentTarget }) => setAnchor(currentTarget)}>
          {WORDS.takeWindow}
        </Button>
        <Menu
          anchorEl={anchor}
          open={anchor !== null}
          onClose={() => setAnchor(null)}
          slotProps={{ paper: { sx: { maxHeight: 320 } } }}
        >
          {DESK_WINDOWS.map((each) => (
            <MenuItem
              key={each.id}
              onClick={() => {
                setAnchor(null);
                // Of a dialog its title tells; a main window's changes with what is open in it.
                const asked = windowOf(each);
                onChange({ window: each.isDialog ? asked : { ...asked, title: null } });
              }}
            >
              {each.title}
            </MenuItem>
          ))}
        </Menu>
      </div>
      <div className="line">
        <span>{WORDS.atMostField}</span>
        <NumberField
          label={WORDS.atMostField}
          value={atMostMs}
          min={1}
          max={600_000}
          unit={WORDS.ms}
          onChange={(value) => onChange({ atMostMs: value })}
        />
      </div>
      <div className="line">
        <span>{WORDS.late}</span>
        <ChoiceField
          label={WORDS.late}
          value={late}
          options={(['stop', 'go-on'] as const).map((each) => [each, WORDS.lates[each]])}
          onChange={(value) => onChange({ late: value })}
        />
      </div>
    </>
  );
}
