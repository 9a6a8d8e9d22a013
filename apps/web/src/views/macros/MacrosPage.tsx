import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { useEventCallback } from '@mui/material/utils';
import { addSteps, checkMacro, estimate, type StepSpot, wrapSteps } from '@nimble-lever/core/macros';
import { type BareStep, isBlock, type Macro } from '@nimble-lever/core/setup';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { selectLayout } from '../../app/keyboard/keyboardSlice.ts';
import { makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { AskField } from '../../practice/AskField.tsx';
import { DESK_WINDOWS, selectDesk } from '../../practice/deskSlice.ts';
import { isTrying } from '../../practice/startTrial.ts';
import { Findings } from './Findings.tsx';
import { type Picking, StepFields } from './fields/StepFields.tsx';
import { MacroHeader } from './MacroHeader.tsx';
import { MacroList } from './MacroList.tsx';
import {
  addMacro,
  copyMacro,
  newStepId,
  removeMacro,
  removeMacroSteps,
  setStepFields,
  toggleSkipped,
} from './macroEdits.ts';
import { RecordPanel } from './record/RecordPanel.tsx';
import { useRecording } from './record/useRecording.ts';
import { rowsOf } from './rows.ts';
import { SelectedActs } from './SelectedActs.tsx';
import { AddBar } from './score/AddBar.tsx';
import { type AddedKind, isAddedKind, newStepOf } from './score/newSteps.ts';
import { Score } from './score/Score.tsx';
import { useSelection } from './score/useSelection.ts';
import { DeskBeside } from './trial/DeskBeside.tsx';
import { PlaceMark } from './trial/PlaceMark.tsx';
import { TrialLine } from './trial/TrialLine.tsx';
import { usePicking } from './trial/usePicking.ts';
import { useTrial } from './trial/useTrial.ts';
import { WORDS } from './words.ts';

const Layout = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'grid',
  gridTemplateColumns: '216px minmax(0, 1fr) 344px',
  gridTemplateRows: 'minmax(0, 1fr)',
  '@media (max-width: 1180px)': { gridTemplateColumns: '176px minmax(0, 1fr) 304px' },
  // While one works on the desk it gets the room.
  '&[data-large=true]': { gridTemplateColumns: '0 minmax(0, 2fr) minmax(0, 3fr)' },
  '&[data-large=true] > nav': { visibility: 'hidden' },
  '& > *': { minHeight: 0, minWidth: 0 },
  '& .middle': { display: 'flex', flexDirection: 'column' },
  '& .side': {
    display: 'flex',
    flexDirection: 'column',
    borderLeft: `1px solid ${vars?.palette.divider}`,
  },
  '& .fields': {
    flex: '0 1 auto',
    minHeight: 120,
    overflow: 'auto',
    padding: '12px 14px',
    borderBottom: `1px solid ${vars?.palette.divider}`,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& .fields > p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& .said': {
    flex: 'none',
    margin: 0,
    padding: '6px 16px',
    fontSize: 12,
    color: vars?.palette.tokens.brick,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& .nothing': {
    flex: 1,
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 10,
    padding: 24,
    textAlign: 'center',
    '& p': { margin: 0, maxWidth: 380 },
    '& .acts': { display: 'flex', gap: 8 },
  },
}));

/** Macros: chains of steps, made by doing them, changed in a score, and tried on the desk beside it. */
export function MacrosPage() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const layout = useAppSelector(selectLayout);
  const active = useAppSelector((state) => selectDesk(state).active);
  const [params, setParams] = useSearchParams();
  // The address follows a moment later; what is done meanwhile is done to the macro that was chosen.
  const [pending, setPending] = useState<string | null>(null);
  const named = params.get('macro');
  if (pending !== null && pending === named) setPending(null);
  const macro = setup.macros.find(({ id }) => id === (pending ?? named)) ?? setup.macros[0] ?? null;
  const rows = useMemo(() => (macro ? rowsOf(macro) : []), [macro]);
  const selection = useSelection(macro?.id ?? '', rows);
  const trial = useTrial();
  const recording = useRecording();
  const [large, setLarge] = useState(false);
  const [added, setAdded] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const fields = useRef<HTMLDivElement>(null);
  const shown = trial.shown?.macro === macro?.id ? trial.shown : null;
  const trying = shown !== null && isTrying(shown.state);
  const measured = useMemo(
    () => new Map([...(shown?.state.waits ?? [])].map(([step, { ms }]) => [step, ms])),
    [shown?.state.waits],
  );
  const times = useMemo(() => macro && estimate(setup, macro, measured), [setup, macro, measured]);
  const findings = useMemo(
    () =>
      macro
        ? checkMacro(setup, macro, {
            layout,
            opened: shown?.state.opened ?? new Map(),
            window: shown?.window ?? null,
          })
        : [],
    [setup, macro, layout, shown?.state.opened, shown?.window],
  );
  const flagged = useMemo(() => new Set(findings.flatMap(({ step }) => step ?? [])), [findings]);
  const chosen =
    rows.find(({ step }) => step.id === selection.at && selection.ids.has(step.id))?.step ?? null;
  const picking = usePicking((taken) => {
    if (macro && chosen) dispatch(setStepFields(macro, chosen.id, taken));
  });

  const show = (id: string) => {
    setPending(id);
    setParams({ macro: id }, { replace: true });
  };
  const front = DESK_WINDOWS.find(({ id }) => id === active);
  const program = setup.programs.find(({ id }) => id === front?.executable)?.id ?? null;
  const make = (steps: readonly BareStep[] = []) => {
    const id = dispatch(addMacro(program, steps));
    show(id);
    return id;
  };
  const record = () => {
    trial.stop();
    setLarge(true);
    recording.start();
  };
  const take = (steps: readonly BareStep[]) => {
    recording.putAside();
    setLarge(false);
    if (!macro || !recordsInto.current) make(steps);
    else put(macro, steps);
  };
  /** Whether what is recorded goes into the macro that is shown, or into a new one. */
  const recordsInto = useRef(false);
  const put = (into: Macro, steps: readonly BareStep[], spot?: StepSpot) => {
    const edits = addSteps(into, spot ?? spotFor(into, chosen), steps, newStepId);
    dispatch(makeEdits(edits));
    const ids = edits.flatMap((edit) => (edit.kind === 'add' ? [(edit.item as { id: string }).id] : []));
    if (ids.length > 0) selection.chooseAll(ids);
    return ids;
  };
  const add = (kind: AddedKind, spot?: StepSpot) => {
    if (!macro) return;
    if (spot === undefined && selection.ids.size > 1 && (kind === 'repeat' || kind === 'hold')) {
      const body = kind === 'repeat' ? ({ kind, times: 2 } as const) : ({ kind, keys: 'Alt' } as const);
      dispatch(makeEdits(wrapSteps(macro, selection.ids, body, newStepId)));
      return;
    }
    const step = newStepOf(kind, setup, macro);
    if (!step) return;
    const [id] = put(macro, [step], spot);
    setAdded(id ?? null);
    setTimeout(() => fields.current?.querySelector<HTMLElement>('input, textarea, [role=textbox]')?.focus());
  };
  const asked = params.get('do');
  // biome-ignore lint/correctness/useExhaustiveDependencies: done once, when it is asked for by the address.
  useEffect(() => {
    if (asked === 'new') make();
  }, [asked]);
  // A press of Escape anywhere stops what is tried.
  const { stop } = trial;
  useEffect(() => {
    if (!trying) return;
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !event.isTrusted) return;
      event.preventDefault();
      stop();
    };
    window.addEventListener('keydown', onKeyDown, { capture: true });
    return () => window.removeEventListener('keydown', onKeyDown, { capture: true });
  }, [trying, stop]);

  // The same as long as the view is there, so that what does not change with what is selected is not drawn anew with it.
  const listActs = {
    show: useEventCallback(show),
    make: useEventCallback(() => void make()),
    record: useEventCallback(() => {
      recordsInto.current = false;
      record();
    }),
    copy: useEventCallback((each: Macro) => show(dispatch(copyMacro(each)))),
    remove: useEventCallback((each: Macro) => setSaid(dispatch(removeMacro(each)) ?? '')),
  };
  const addHere = useEventCallback((kind: AddedKind) => add(kind));
  const place = chosen?.kind === 'click' ? chosen.at : null;
  const questions = shown?.state.status === 'asking' ? shown.state.questions : null;
  const { answer } = trial;
  const name = macro?.name ?? '';
  const overDesk = useMemo(
    () => (
      <>
        <PlaceMark at={place} />
        {questions && <AskField name={name} questions={questions} onAnswer={answer} />}
      </>
    ),
    [place, questions, name, answer],
  );

  return (
    <Layout data-large={large}>
      <MacroList
        shown={macro?.id ?? null}
        onShow={listActs.show}
        onNew={listActs.make}
        onRecord={listActs.record}
        onCopy={listActs.copy}
        onRemove={listActs.remove}
      />
      <div className="middle">
        {macro && times ? (
          <>
            <MacroHeader
              key={macro.id}
              setup={setup}
              macro={macro}
              times={times}
              trying={trying}
              from={chosen?.id ?? null}
              onTry={(speed, from) =>
                speed === 'steps' ? trial.step(macro.id, from) : trial.start(macro.id, speed, from)
              }
              onStop={trial.stop}
            />
            <Score
              key={`score ${macro.id}`}
              macro={macro}
              rows={rows}
              times={times}
              selection={selection}
              trial={shown?.state ?? null}
              flagged={flagged}
              onEdit={() =>
                fields.current?.querySelector<HTMLElement>('input, textarea, [role=combobox]')?.focus()
              }
              onDropKind={(kind, spot) => isAddedKind(kind) && add(kind, spot)}
            />
            {said && (
              <p className="said" role="alert">
                {said}
              </p>
            )}
            <AddBar macro={macro} several={selection.ids.size > 1} onAdd={addHere} />
          </>
        ) : (
          <div className="nothing">
            <p>{WORDS.none}</p>
            <p>{WORDS.noneMeans}</p>
            <span className="acts">
              <Button variant="contained" onClick={record}>
                {WORDS.record}
              </Button>
              <Button onClick={() => make()}>{WORDS.newMacro}</Button>
            </span>
          </div>
        )}
      </div>
      <div className="side">
        {recording.shown ? (
          <RecordPanel
            setup={setup}
            name={recordsInto.current && macro ? macro.name : WORDS.newMacro}
            recording={recording}
            onTake={take}
          />
        ) : (
          macro && (
            <div ref={fields} className="fields">
              {chosen && selection.ids.size === 1 ? (
                <StepFields
                  setup={setup}
                  macro={macro}
                  step={chosen}
                  isNew={added === chosen.id}
                  picking={picking.what}
                  onPick={(what: Picking) => picking.start(what)}
                  onChange={(changed) => dispatch(setStepFields(macro, chosen.id, changed))}
                />
              ) : (
                <p>
                  {selection.ids.size > 1 ? WORDS.severalSelected(selection.ids.size) : WORDS.noneSelected}
                </p>
              )}
              {selection.ids.size > 0 && (
                <SelectedActs
                  macro={macro}
                  rows={rows}
                  ids={selection.ids}
                  onSkip={(skipped) => dispatch(toggleSkipped(macro, selection.ids, skipped))}
                  onRemove={() => dispatch(removeMacroSteps(macro, selection.ids))}
                  onRecord={() => {
                    recordsInto.current = true;
                    record();
                  }}
                />
              )}
            </div>
          )
        )}
        <DeskBeside large={large} onLarge={setLarge}>
          {overDesk}
        </DeskBeside>
        {macro && shown && <TrialLine setup={setup} trial={shown} rows={rows} />}
        {macro && !recording.shown && (
          <Findings
            macro={macro}
            rows={rows}
            findings={findings}
            onShow={(step) => selection.choose(step, 'one')}
          />
        )}
      </div>
    </Layout>
  );
}

/** Behind what is selected; into a block that is still empty; else at the end. */
function spotFor(macro: Macro, chosen: Macro['steps'][number] | null): StepSpot {
  if (chosen && isBlock(chosen) && chosen.steps.length === 0) return { inside: chosen.id };
  if (chosen) return { beside: chosen.id };
  const last = macro.steps.at(-1);
  return last ? { beside: last.id } : { inside: null };
}
