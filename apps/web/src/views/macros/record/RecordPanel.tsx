import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { type RepeatOffer, repeatOffers, withRepeat } from '@nimble-lever/core/macros';
import { type BareStep, numberSteps, type Setup } from '@nimble-lever/core/setup';
import { STEP_KINDS, stepWords } from '@nimble-lever/core/words';
import { Circle } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { WORDS } from '../words.ts';
import type { useRecording } from './useRecording.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: 'none',
  maxHeight: '42%',
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  padding: '12px 14px',
  fontSize: 12,
  borderBottom: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2': { margin: 0, display: 'flex', alignItems: 'center', gap: 8, fontSize: 13, fontWeight: 650 },
  '& h2 svg': { color: vars?.palette.tokens.brick },
  '& p': { margin: 0, color: vars?.palette.text.secondary },
  '& ol': { margin: 0, padding: '0 0 0 22px', overflow: 'auto', minHeight: 0 },
  '& li': { padding: '1px 0' },
  '& li small': { color: vars?.palette.text.secondary, fontSize: 11, marginRight: 6 },
  '& .line': { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
}));

interface Props {
  readonly setup: Setup;
  readonly name: string;
  readonly recording: ReturnType<typeof useRecording>;
  readonly onTake: (steps: readonly BareStep[]) => void;
}

/** What is recorded, while it is and after; taken into the macro, or put aside. */
export function RecordPanel({ setup, name, recording, onTake }: Props) {
  const [waits, setWaits] = useState<'kept' | 'rounded' | 'none'>('rounded');
  const [taken, setTaken] = useState<readonly RepeatOffer[]>([]);
  const { shown, stepsBy } = recording;
  // biome-ignore lint/correctness/useExhaustiveDependencies: read anew with everything that is done.
  const { steps, leftOut } = useMemo(() => stepsBy(waits), [shown?.deeds, waits]);
  const list = useRef<HTMLOListElement>(null);
  // The newest is in sight while one works.
  // biome-ignore lint/correctness/useExhaustiveDependencies: with everything that is done.
  useEffect(() => {
    if (shown?.on) list.current?.scrollTo({ top: list.current.scrollHeight });
  }, [steps.length, shown?.on]);
  if (!shown) return null;
  const folded = taken.reduce<readonly BareStep[]>(withRepeat, steps);
  const offers = shown.on ? [] : repeatOffers(folded);
  const lines = numberSteps(folded);
  return (
    <Box aria-label={shown.on ? WORDS.recordTitle(name) : WORDS.recorded}>
      <h2>
        {shown.on && <Circle size={11} fill="currentColor" aria-hidden />}
        {shown.on ? WORDS.recordTitle(name) : WORDS.recorded}
      </h2>
      <p>{shown.on ? WORDS.recordMeans : lines.length === 0 ? WORDS.nothingRecorded : ''}</p>
      {lines.length > 0 && (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls is reached by keyboard.
        <ol ref={list} tabIndex={0} aria-live="polite" aria-label={WORDS.recorded}>
          {lines.map((step) => (
            <li key={step.id}>
              <small>{STEP_KINDS[step.kind]}</small>
              {stepWords(setup, step)}
              {'steps' in step && `: ${step.steps.map((inner) => stepWords(setup, inner)).join(', ')}`}
              {step.note && <small> {step.note}</small>}
            </li>
          ))}
        </ol>
      )}
      {leftOut.length > 0 && (
        <p>
          {WORDS.wasLeftOut([...new Set(leftOut.map(({ kind }) => WORDS.leftOutKinds[kind]))].join(', '))}
        </p>
      )}
      {offers.map((offer) => (
        <div key={`${offer.at} ${offer.length}`} className="line">
          <span>{WORDS.couldRepeat(offer.length, offer.times)}</span>
          <Button onClick={() => setTaken([...taken, offer])}>{WORDS.makeRepeat}</Button>
        </div>
      ))}
      <div className="line">
        {shown.on ? (
          <Button variant="contained" onClick={recording.stop}>
            {WORDS.stopRecording}
          </Button>
        ) : (
          <>
            <Button variant="contained" disabled={lines.length === 0} onClick={() => onTake(folded)}>
              {WORDS.takeSteps(lines.length)}
            </Button>
            <Button onClick={recording.putAside}>{WORDS.putAside}</Button>
          </>
        )}
        <span style={{ flex: 1 }} />
        <span>{WORDS.waits}</span>
        <ChoiceField
          label={WORDS.waits}
          value={waits}
          options={(['kept', 'rounded', 'none'] as const).map((each) => [each, WORDS.waitKinds[each]])}
          onChange={(next) => {
            setWaits(next);
            setTaken([]);
          }}
        />
      </div>
    </Box>
  );
}
