import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import { styled } from '@mui/material/styles';
import { type CarriedStep, planProfileCopy, profileCopyEdit } from '@nimble-lever/core/programs';
import { type Profile, partsOf } from '@nimble-lever/core/setup';
import { controlUseWords, profileName, refusalWords } from '@nimble-lever/core/words';
import { useId, useMemo, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { BindingWords } from '../BindingWords.tsx';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  width: 720,
  maxWidth: '100%',
  maxHeight: '86vh',
  padding: 20,
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& .bar': { display: 'flex', alignItems: 'center', gap: 10, flexWrap: 'wrap' },
  '& .lines': {
    flex: 1,
    minHeight: 120,
    overflow: 'auto',
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 8,
  },
  '& table': { width: '100%', borderCollapse: 'collapse', fontSize: 12 },
  '& th, & td': {
    padding: '5px 10px',
    textAlign: 'left',
    borderBottom: `1px solid ${vars?.palette.divider}`,
  },
  '& th': { fontWeight: 650, color: vars?.palette.text.secondary },
  '& td.left': { color: vars?.palette.tokens.brick },
  '& .fill': { flex: 1 },
  '& .MuiFormControlLabel-label': { fontSize: 12 },
}));

interface Props {
  readonly from: Profile;
  readonly onClose: () => void;
}

/** A profile into another program's: what carries over by its intent, by its name, or as bare keys is seen before. */
export function CopyProfileDialog({ from, onClose }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say } = useSay();
  const title = useId();
  const others = Object.keys(setup.profiles).filter((id) => id !== from.id);
  const [to, setTo] = useState(others.at(-1) ?? '');
  const [over, setOver] = useState(false);
  const steps = useMemo(() => planProfileCopy(setup, { from, source: setup, to }), [setup, from, to]);
  const edit = useMemo(() => profileCopyEdit(steps, over), [steps, over]);
  const name = profileName(setup, from.id);
  const count = edit ? changedSlots(partsOf(edit)) : 0;
  const target = setup.profiles[to];
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby={title}>
      <Body>
        <h2 id={title}>{WORDS.copyProfile(name)}</h2>
        <div className="bar">
          {WORDS.into}
          <ChoiceField
            label={WORDS.into}
            value={to}
            options={others.map((id) => [id, profileName(setup, id)] as const)}
            onChange={setTo}
          />
          <FormControlLabel
            control={
              <Checkbox size="small" checked={over} onChange={(_event, checked) => setOver(checked)} />
            }
            label={WORDS.over}
          />
        </div>
        <p role="status">{countWords(steps, over)}</p>
        {/* It scrolls, so that keys must reach it (axe, scrollable-region-focusable). } */}
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: as said. */}
        <div className="lines" tabIndex={0}>
          <table>
            <thead>
              <tr>
                <th>{WORDS.control}</th>
                <th>{name}</th>
                <th>{target ? profileName(setup, to) : ''}</th>
                <th>{WORDS.carries}</th>
              </tr>
            </thead>
            <tbody>
              {steps.map((step) => (
                <tr key={`${step.slot.layer}/${step.slot.device}/${step.slot.control}/${step.slot.trigger}`}>
                  <td>{controlUseWords(setup, step.slot)}</td>
                  <td>
                    <BindingWords setup={setup} profile={from} binding={step.source} />
                  </td>
                  <td>{target && <BindingWords setup={setup} profile={target} binding={step.after} />}</td>
                  <td className={step.refusal || (step.before && !over) ? 'left' : undefined}>
                    {step.refusal
                      ? refusalWords(step.refusal)
                      : step.before && !over
                        ? WORDS.setThere
                        : WORDS.carriedAs[step.as]}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div className="bar">
          <span className="fill" />
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button
            variant="contained"
            disabled={!edit}
            onClick={() => {
              if (!edit) return;
              dispatch(makeEdit(edit));
              say(WORDS.copiedInto(count, profileName(setup, to)));
              onClose();
            }}
          >
            {WORDS.copyIt(count)}
          </Button>
        </div>
      </Body>
    </Dialog>
  );
}

/** How many slots an edit of bindings touches. */
function changedSlots(parts: readonly { readonly at: string }[]): number {
  return new Set(parts.map(({ at }) => at)).size;
}

function countWords(steps: readonly CarriedStep[], over: boolean): string {
  const done = steps.filter(({ before, refusal }) => refusal === null && (over || before === null));
  const by = (as: CarriedStep['as']) => done.filter((step) => step.as === as).length;
  return WORDS.carriedCounts(by('intent'), by('name'), by('keys'), by('as-is'), steps.length - done.length);
}
