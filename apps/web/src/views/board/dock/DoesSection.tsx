import { styled } from '@mui/material/styles';
import { lazy, type RefObject, Suspense, useMemo, useState } from 'react';
import { selectCompiled } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ActionPicker } from '../../../editors/ActionPicker.tsx';
import { SentFields } from '../../../editors/SentFields.tsx';
import { recordingEnded, recordingStarted, selectBoardState } from '../boardSlice.ts';
import { WORDS } from '../words.ts';
import { HeardByFields } from './HeardByFields.tsx';
import { PulseDrawing } from './PulseDrawing.tsx';
import { Section } from './Section.tsx';
import { triedOut } from './triedOut.ts';
import type { CellEdits } from './useCellEdits.ts';

const RadialMenuEditor = lazy(async () => ({
  default: (await import('../../../editors/RadialMenuEditor.tsx')).RadialMenuEditor,
}));

const Fields = styled('div')({
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 4fr) minmax(0, 5fr)',
  '@media (max-width: 1120px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  gap: 8,
  alignItems: 'start',
});

interface Props {
  readonly edits: CellEdits;
  readonly chooserRef: RefObject<HTMLInputElement | null>;
  readonly onDone: () => void;
}

/** What a cell sends and how it is sent, with the pulses that come out. */
export function DoesSection({ edits, chooserRef, onDone }: Props) {
  const { cell, binding, target } = edits;
  const dispatch = useAppDispatch();
  const compiled = useAppSelector(selectCompiled);
  const recording = useAppSelector((state) => selectBoardState(state).recording);
  const [composing, setComposing] = useState(false);
  const [menu, setMenu] = useState<string | null>(null);
  // The engine is asked again only when the binding or something it depends on has changed.
  const tried = useMemo(() => triedOut(compiled, cell.slot), [compiled, cell.slot]);
  // Off sends nothing, so that how it is sent has no meaning; who hears it all the same has.
  const isOff = binding?.behaviour.kind === 'off';
  const sent = (
    <SentFields
      setup={edits.setup}
      behaviour={binding?.behaviour ?? null}
      turns={edits.turns}
      rotor={cell.row.control.rotor}
      onStyle={edits.setStyle}
      onOptions={edits.setOptions}
    />
  );
  return (
    <Section title={WORDS.does}>
      <Fields>
        <ActionPicker
          target={target}
          recording={recording}
          composing={composing}
          chooserRef={chooserRef}
          onRecord={() => dispatch(recordingStarted())}
          onStop={() => {
            dispatch(recordingEnded());
            onDone();
          }}
          onCompose={(open) => {
            dispatch(recordingEnded());
            setComposing(open);
            if (!open) onDone();
          }}
          onEditMenu={setMenu}
          onDone={onDone}
        />
      </Fields>
      {menu !== null && (
        <Suspense fallback={null}>
          <RadialMenuEditor
            menu={menu}
            onMenu={setMenu}
            onClose={() => {
              setMenu(null);
              onDone();
            }}
          />
        </Suspense>
      )}
      {isOff ? <HeardByFields edits={edits} /> : sent}
      <PulseDrawing tried={tried} />
    </Section>
  );
}
