import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import {
  type FrontWindow,
  type NeverDecides,
  RULE_FIELDS,
  type RuleField,
  unfittingFields,
} from '@nimble-lever/core/resolve';
import { changesOf, type Pattern, type Profile, type Program, type Rule } from '@nimble-lever/core/setup';
import { neverWords, WINDOW_WORDS } from '@nimble-lever/core/words';
import { Trash2, TriangleAlert } from 'lucide-react';
import { makeEdit, makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { PatternField } from '../../../editors/PatternField.tsx';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { ruleAt } from './ruleEdits.ts';

const Line = styled('li')(({ theme: { vars } }) => ({
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr) auto',
  alignItems: 'center',
  gap: '6px 12px',
  padding: '10px 12px',
  border: `1px solid ${vars?.palette.divider}`,
  borderRadius: 10,
  '&.fits': { borderColor: vars?.palette.tokens.accent },
  '& .fields': {
    gridColumn: '1 / -1',
    display: 'grid',
    gridTemplateColumns: '84px 136px minmax(0, 1fr)',
    alignItems: 'center',
    gap: '5px 8px',
    fontSize: 12,
    color: vars?.palette.text.secondary,
  },
  '& .state': { gridColumn: '1 / -1', fontSize: 12, color: vars?.palette.text.secondary },
  '& .state.fits': { color: vars?.palette.tokens.accent, fontWeight: 650 },
  '& .never': {
    gridColumn: '1 / -1',
    display: 'flex',
    gap: 6,
    alignItems: 'center',
    fontSize: 12,
    color: vars?.palette.tokens.brick,
    '& svg': { flex: 'none' },
  },
}));

interface Props {
  readonly owner: Program;
  /** The profile whose rule it is; null for the program's own. */
  readonly profile: Profile | null;
  readonly rule: Rule;
  readonly looked: FrontWindow | null;
  readonly never: NeverDecides | null;
}

/** A rule: which windows it lets in or keeps out, whether it fits the one looked at, and whether it ever can. */
export function RuleLine({ owner, profile, rule, looked, never }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { sayWrong } = useSay();
  const at = ruleAt(owner, profile, rule.id);
  const change = (fields: Partial<Rule>) => dispatch(makeEdits(changesOf(at, rule, { ...rule, ...fields })));
  const setField = (field: RuleField, pattern: Pattern | null) => {
    const next = { ...rule, [field]: pattern };
    if (RULE_FIELDS.every((each) => next[each] === null)) return sayWrong(WORDS.lastField);
    change({ [field]: pattern });
  };
  const amiss = looked ? unfittingFields(rule, looked) : null;
  const fits = amiss !== null && amiss.length === 0;
  return (
    <Line className={fits && !rule.negative ? 'fits' : undefined}>
      <ChoiceField
        label={WORDS.way}
        value={rule.negative ? 'except' : 'only'}
        options={[
          ['only', WORDS.ways.only],
          ['except', WORDS.ways.except],
        ]}
        onChange={(way) => change({ negative: way === 'except' })}
      />
      <IconButton
        aria-label={WORDS.removeRule}
        title={WORDS.removeRule}
        onClick={() => dispatch(makeEdit({ kind: 'remove', at }))}
      >
        <Trash2 size={16} aria-hidden />
      </IconButton>
      <div className="fields">
        {RULE_FIELDS.map((field) => (
          <PatternField
            key={`${field} ${rule[field]?.match} ${rule[field]?.text}`}
            name={WORDS.fields[field]}
            pattern={rule[field]}
            suggested={looked?.[field] ?? ''}
            onChange={(pattern) => setField(field, pattern)}
          />
        ))}
      </div>
      {amiss !== null && (
        <span className={fits && !rule.negative ? 'state fits' : 'state'}>
          {fits
            ? rule.negative
              ? WORDS.keepsOut
              : WORDS.fits
            : WORDS.fitsNot(amiss.map((field) => WINDOW_WORDS[field]).join(', '))}
        </span>
      )}
      {never && (
        <span className="never">
          <TriangleAlert size={14} aria-hidden /> {neverWords(setup, never)}
        </span>
      )}
    </Line>
  );
}
