import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { styled } from '@mui/material/styles';
import { CATALOGUE } from '@nimble-lever/core/devices';
import type { SetUpHead } from '@nimble-lever/core/setup';
import type { Beginning } from '@nimble-lever/core/vault';
import { useState } from 'react';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { NameDialog } from '../NameDialog.tsx';
import { WORDS } from '../words.ts';

const Models = styled('fieldset')(({ theme: { vars } }) => ({
  margin: '0 0 0 30px',
  padding: '4px 12px',
  border: `1px solid ${vars?.palette.divider}`,
  borderRadius: 8,
  display: 'grid',
  gridTemplateColumns: '1fr 1fr',
  maxHeight: 180,
  overflow: 'auto',
}));

interface Props {
  readonly setUps: readonly SetUpHead[];
  /** The set-up that is copied; null: it is still to be chosen what it begins as. */
  readonly copy: string | null;
  readonly failed: string | null;
  readonly isBusy: boolean;
  readonly onMake: (name: string, begin: Beginning) => void;
  readonly onClose: () => void;
}

/** A new set-up: what it is called, and what it begins as. */
export function NewSetUpDialog({ setUps, copy, onMake, ...dialog }: Props) {
  const [from, setFrom] = useState<Beginning['from']>(copy === null ? 'empty' : 'copy');
  const [of, setOf] = useState(copy ?? setUps[0]?.id ?? '');
  const [models, setModels] = useState<readonly string[]>(['bench-dial']);
  const [isMissing, setMissing] = useState(false);
  const copied = setUps.find(({ id }) => id === of)?.name ?? '';
  const make = (name: string) => {
    if (from === 'ready-made' && models.length === 0) return setMissing(true);
    switch (from) {
      case 'empty':
      case 'demo':
        return onMake(name, { from });
      case 'ready-made':
        return onMake(name, { from, models: [...models] });
      case 'copy':
        return onMake(name, { from, of, revision: null });
    }
  };
  return (
    <NameDialog
      {...dialog}
      title={copy === null ? WORDS.newSetUpName : WORDS.copyOf(copied)}
      name={copy === null ? WORDS.newSetUpName : WORDS.copyName(copied)}
      action={WORDS.make}
      failed={isMissing ? WORDS.noModels : dialog.failed}
      onDone={make}
    >
      <p>{WORDS.beginsAs}</p>
      <RadioGroup
        aria-label={WORDS.beginsAs}
        value={from}
        onChange={(_event, value) => {
          setFrom(value as Beginning['from']);
          setMissing(false);
        }}
      >
        <FormControlLabel value="empty" control={<Radio size="small" />} label={WORDS.begins.empty} />
        <FormControlLabel
          value="ready-made"
          control={<Radio size="small" />}
          label={WORDS.begins['ready-made']}
        />
        {from === 'ready-made' && (
          <Models aria-label={WORDS.begins['ready-made']}>
            {CATALOGUE.map(({ id, name }) => (
              <FormControlLabel
                key={id}
                label={name}
                control={
                  <Checkbox
                    size="small"
                    checked={models.includes(id)}
                    onChange={({ target }) => {
                      setMissing(false);
                      setModels(target.checked ? [...models, id] : models.filter((each) => each !== id));
                    }}
                  />
                }
              />
            ))}
          </Models>
        )}
        <FormControlLabel value="demo" control={<Radio size="small" />} label={WORDS.begins.demo} />
        <FormControlLabel value="copy" control={<Radio size="small" />} label={WORDS.begins.copy} />
      </RadioGroup>
      {from === 'copy' && (
        <div style={{ marginLeft: 30 }}>
          <ChoiceField
            label={WORDS.copyWhich}
            value={of}
            options={setUps.map(({ id, name }) => [id, name] as const)}
            onChange={setOf}
          />
        </div>
      )}
    </NameDialog>
  );
}
