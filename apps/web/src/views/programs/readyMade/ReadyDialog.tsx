import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { styled } from '@mui/material/styles';
import { controlsOn, triggersOf } from '@nimble-lever/core/devices';
import type { ControlSet, StartingProfile } from '@nimble-lever/core/formats';
import { planControlSet, planStart, readyEdit } from '@nimble-lever/core/programs';
import { sameJson } from '@nimble-lever/core/setup';
import { controlUseWords, profileName } from '@nimble-lever/core/words';
import { useId, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { BindingWords } from '../BindingWords.tsx';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  width: 560,
  maxWidth: '100%',
  padding: 20,
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& .bar': { display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 8, fontSize: 12 },
  '& .fill': { flex: 1 },
  '& ul': { margin: 0, padding: 0, listStyle: 'none', maxHeight: 300, overflow: 'auto', fontSize: 13 },
  '& li': {
    display: 'flex',
    gap: 12,
    padding: '5px 0',
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
  '& li > *': { flex: 1, minWidth: 0 },
  '& small': { fontSize: 12, color: vars?.palette.text.secondary },
}));

/** Something ready-made that is looked at. */
export type Ready =
  | { readonly kind: 'start'; readonly start: StartingProfile }
  | { readonly kind: 'set'; readonly set: ControlSet };

interface Props {
  readonly ready: Ready;
  /** The profile it would be set in. */
  readonly profile: string;
  readonly onClose: () => void;
}

/** What something ready-made would set, before it does. */
export function ReadyDialog({ ready, profile, onClose }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say } = useSay();
  const title = useId();
  const devices = setup.devices.filter(
    ({ kind, controls }) =>
      (ready.kind === 'set' || kind === ready.start.device) &&
      controls.some((each) => triggersOf(each).length > 0),
  );
  const [wanted, setWanted] = useState('');
  const [control, setControl] = useState('');
  const device = devices.find(({ id }) => id === wanted) ?? devices[0];
  const pressed = (device ? controlsOn(device, null, []) : []).filter((each) =>
    triggersOf(each).includes('nudge-up'),
  );
  const chosen = pressed.find(({ id }) => id === control) ?? pressed[0];
  const steps = !device
    ? []
    : ready.kind === 'start'
      ? planStart(setup, { profile, device: device.id }, ready.start)
      : planControlSet(setup, { profile, device: device.id, control: chosen?.id ?? '' }, ready.set);
  const edit = readyEdit(steps);
  const column = setup.profiles[profile];
  const changed = steps.filter(({ before, after }) => !sameJson(before, after));
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby={title}>
      <Body>
        <h2 id={title}>{ready.kind === 'start' ? ready.start.name : ready.set.name}</h2>
        <div className="bar">
          {WORDS.forDevice}
          <ChoiceField
            label={WORDS.forDevice}
            value={device?.id ?? ''}
            options={devices.map(({ id, name }) => [id, name] as const)}
            onChange={setWanted}
          />
          {ready.kind === 'set' && (
            <>
              {WORDS.forControl}
              <ChoiceField
                label={WORDS.forControl}
                value={chosen?.id ?? ''}
                options={pressed.map(({ id, name }) => [id, name] as const)}
                onChange={setControl}
              />
            </>
          )}
        </div>
        <p role="status">
          {steps.length === 0
            ? WORDS.wouldSetNothing
            : WORDS.wouldSet(changed.length, profileName(setup, profile))}
        </p>
        {/* It scrolls, so that keys must reach it (axe, scrollable-region-focusable). } */}
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: as said. */}
        <ul tabIndex={0}>
          {steps.map(({ slot, before, after }) => (
            <li key={`${slot.control}/${slot.trigger}`}>
              <span>{controlUseWords(setup, slot)}</span>
              <span>
                {column && <BindingWords setup={setup} profile={column} binding={after} />}{' '}
                {before && column && !sameJson(before, after) && (
                  <small>
                    {WORDS.now} <BindingWords setup={setup} profile={column} binding={before} />
                  </small>
                )}
              </span>
            </li>
          ))}
        </ul>
        <div className="bar">
          <span className="fill" />
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button
            variant="contained"
            disabled={!edit}
            onClick={() => {
              if (!edit) return;
              dispatch(makeEdit(edit));
              say(WORDS.wasSet(changed.length));
              onClose();
            }}
          >
            {WORDS.setIt(changed.length)}
          </Button>
        </div>
      </Body>
    </Dialog>
  );
}
