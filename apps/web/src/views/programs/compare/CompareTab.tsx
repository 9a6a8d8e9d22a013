import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import { readSetupDocument } from '@nimble-lever/core/formats';
import { columnOf, compareIntents, compareProfiles } from '@nimble-lever/core/programs';
import { formatProblemWords } from '@nimble-lever/core/words';
import { Plus, X } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { TextFile } from '../importing/TextFile.tsx';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { ControlLines } from './ControlLines.tsx';
import { IntentLines } from './IntentLines.tsx';
import { keyOfChosen, MOST_COMPARED, useCompared } from './useCompared.ts';

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  flexWrap: 'wrap',
  gap: 8,
  padding: '8px 16px',
  fontSize: 12,
  color: vars?.palette.text.secondary,
  borderBottom: `1px solid ${vars?.palette.divider}`,
  '& .one': { display: 'inline-flex', alignItems: 'center' },
  '& .fill': { flex: 1 },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
}));
const None = styled('p')(({ theme: { vars } }) => ({
  margin: 0,
  padding: '20px 16px',
  color: vars?.palette.text.secondary,
}));

/** A set-up of 20,000 bindings is a tenth of it. */
const MOST_BYTES = 50_000_000;

/** What differences are told by. */
const WAYS = ['control', 'intent'] as const;

/** Profiles side by side: only what differs, with what one does to be taken by another. */
export function CompareTab({ program }: { readonly program: string | null }) {
  const setup = useAppSelector(selectSetup);
  const { say, sayWrong } = useSay();
  const beside = useCompared(columnOf(setup, program));
  const [way, setWay] = useState<(typeof WAYS)[number]>('control');
  const picker = useRef<HTMLInputElement>(null);
  const { compared, chosen } = beside;
  const controls = useMemo(() => (way === 'control' ? compareProfiles(compared) : []), [compared, way]);
  const intents = useMemo(() => (way === 'intent' ? compareIntents(compared) : []), [compared, way]);
  const count = way === 'control' ? controls.length : intents.length;
  const open = (text: string, file: string) => {
    const read = readSetupDocument(text);
    if (read.ok) {
      beside.addSetup({ file, setup: read.value.setup });
      say(WORDS.setupBeside(file));
      return;
    }
    const [first] = read.problem;
    const why = first ? formatProblemWords(first) : '';
    sayWrong(WORDS.wrongFile(file, `${why.charAt(0).toUpperCase()}${why.slice(1)}`));
  };
  return (
    <>
      <Bar>
        {chosen.map((each, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place.
          <span key={i} className="one">
            <ChoiceField
              label={WORDS.profileAt(i + 1)}
              value={keyOfChosen(each)}
              options={beside.options}
              onChange={(key) => beside.choose(i, key)}
            />
            {chosen.length > 2 && (
              <IconButton
                aria-label={WORDS.leaveOut(beside.names[i] ?? '')}
                title={WORDS.leaveOut(beside.names[i] ?? '')}
                onClick={() => beside.remove(i)}
              >
                <X size={14} aria-hidden />
              </IconButton>
            )}
          </span>
        ))}
        {chosen.length < MOST_COMPARED && (
          <Button startIcon={<Plus size={14} aria-hidden />} onClick={beside.add}>
            {WORDS.addProfileHere}
          </Button>
        )}
        <Button onClick={() => picker.current?.click()}>{WORDS.openSetup}</Button>
      </Bar>
      <Bar>
        <span role="status">{WORDS.differences(count)}</span>
        <span className="fill" />
        {WORDS.by}
        <ChoiceField
          label={WORDS.by}
          value={way}
          options={WAYS.map((each) => [each, WORDS.byWays[each]] as const)}
          onChange={setWay}
        />
      </Bar>
      {count === 0 && <None>{WORDS.noDifference}</None>}
      {count > 0 && way === 'control' && <ControlLines beside={beside} differences={controls} />}
      {count > 0 && way === 'intent' && <IntentLines beside={beside} differences={intents} />}
      <TextFile inputRef={picker} onText={open} most={MOST_BYTES} />
    </>
  );
}
