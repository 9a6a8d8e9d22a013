import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { type FrontWindow, RULE_FIELDS, resolveProfile } from '@nimble-lever/core/resolve';
import { executableRule } from '@nimble-lever/core/setup';
import { candidateWords, capital, decisionWords, profileName, ruleWords } from '@nimble-lever/core/words';
import { Fragment, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectCompiled, selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { DESK_WINDOWS, selectDesk } from '../../../practice/deskSlice.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { ruleAdded } from './ruleEdits.ts';

const Box = styled('aside')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 10,
  backgroundColor: vars?.palette.tokens.background,
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& ul': { margin: 0, padding: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 4 },
  '& .window': {
    width: '100%',
    display: 'flex',
    flexDirection: 'column',
    gap: 2,
    padding: '7px 10px',
    textAlign: 'left',
    font: 'inherit',
    fontSize: 12,
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.sheet,
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 8,
    cursor: 'pointer',
  },
  '& .window[aria-pressed=true]': {
    borderColor: vars?.palette.text.primary,
    boxShadow: `inset 0 0 0 1px ${vars?.palette.text.primary}`,
  },
  '& .window b': { fontWeight: 650, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .window small': { fontSize: 11, color: vars?.palette.text.secondary },
  '& .window em': { fontStyle: 'normal', color: vars?.palette.tokens.accent },
  '& .fields': { display: 'grid', gridTemplateColumns: '84px minmax(0, 1fr)', gap: 6, alignItems: 'center' },
  '& .fields span': { fontSize: 12, color: vars?.palette.text.secondary },
  '& .why': {
    display: 'flex',
    flexDirection: 'column',
    gap: 6,
    paddingTop: 10,
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
  '& .why li': { fontSize: 12, paddingLeft: 10, borderLeft: `3px solid ${vars?.palette.divider}` },
  '& .why li.decides': { borderColor: vars?.palette.tokens.accent },
  '& .why li small': { display: 'block', fontSize: 11, color: vars?.palette.text.secondary },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12, alignSelf: 'flex-start' },
}));

const NO_WINDOW: FrontWindow = { executable: '', class: '', title: '' };

interface Props {
  readonly program: string;
  readonly looked: FrontWindow | null;
  readonly onLook: (window: FrontWindow | null) => void;
}

/** The windows there are, and one to be typed in: which profile each gets, and why. */
export function OpenWindows({ program, looked, onLook }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { rules } = useAppSelector(selectCompiled);
  const { order, active } = useAppSelector(selectDesk);
  const pinned = useAppSelector((state) => state.engine.engine.pinned);
  const { say } = useSay();
  const [typed, setTyped] = useState<FrontWindow>(NO_WINDOW);
  // In front first, as they lie on the desk.
  const open = DESK_WINDOWS.filter(({ id }) => order.includes(id)).toSorted(
    (a, b) => order.indexOf(b.id) - order.indexOf(a.id),
  );
  const owner = setup.programs.find(({ id }) => id === program);
  const decision = looked ? resolveProfile(rules, looked, pinned) : null;
  const take = () => {
    if (!owner || !looked?.executable) return;
    dispatch(makeEdit(ruleAdded(owner, null, executableRule(looked.executable))));
    say(WORDS.ruleTaken);
  };
  return (
    <Box>
      <h2>{WORDS.windows}</h2>
      {open.length === 0 && <p>{WORDS.noWindows}</p>}
      <ul>
        {open.map((window) => {
          const { profile } = resolveProfile(rules, window, pinned);
          const isLooked = looked !== null && RULE_FIELDS.every((field) => looked[field] === window[field]);
          return (
            <li key={window.id}>
              <button
                type="button"
                className="window"
                aria-pressed={isLooked}
                onClick={() =>
                  onLook(
                    isLooked
                      ? null
                      : { executable: window.executable, class: window.class, title: window.title },
                  )
                }
              >
                <b>{window.title}</b>
                <small>
                  {window.executable} · {window.class}
                  {window.id === active && ` · ${WORDS.inFront}`}
                </small>
                <em>{WORDS.gets(profileName(setup, profile))}</em>
              </button>
            </li>
          );
        })}
      </ul>
      <h2>{WORDS.tryOne}</h2>
      <p>{WORDS.tryMeans}</p>
      <div className="fields">
        {RULE_FIELDS.map((field) => (
          <Fragment key={field}>
            <span aria-hidden>{WORDS.fields[field]}</span>
            <OutlinedInput
              value={typed[field]}
              onChange={({ target }) => {
                const next = { ...typed, [field]: target.value };
                setTyped(next);
                onLook(RULE_FIELDS.every((each) => next[each] === '') ? null : next);
              }}
              onFocus={() => RULE_FIELDS.some((each) => typed[each] !== '') && onLook(typed)}
              inputProps={{ 'aria-label': WORDS.fields[field], maxLength: 1000, spellCheck: false }}
              sx={{ height: 28, '& input': { fontSize: 12, fontFamily: (theme) => theme.typography.mono } }}
            />
          </Fragment>
        ))}
      </div>
      {decision && (
        <div className="why" role="status">
          <h2>{capital(WORDS.gets(profileName(setup, decision.profile)))}</h2>
          <p>{decisionWords(setup, decision)}</p>
          {/* One alone needs no reason why it and no other. } */}
          {decision.candidates.length > 1 && (
            <ul>
              {decision.candidates.map((candidate) => (
                <li
                  key={candidate.profile}
                  className={candidate.verdict === 'decides' ? 'decides' : undefined}
                >
                  {candidateWords(candidate, setup)}
                  <small>{ruleWords(candidate.rule)}</small>
                </li>
              ))}
            </ul>
          )}
          {decision.because === 'nothing-fits' && looked?.executable && (
            <Button onClick={take}>{WORDS.takeWindow}</Button>
          )}
        </div>
      )}
    </Box>
  );
}
