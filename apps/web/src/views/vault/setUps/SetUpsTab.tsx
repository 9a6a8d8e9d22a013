import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { BIN_DAYS, type SetUpHead } from '@nimble-lever/core/setup';
import type { Beginning } from '@nimble-lever/core/vault';
import { Plus, RotateCcw } from 'lucide-react';
import { useState } from 'react';
import { dayWords } from '../../../app/moment.ts';
import { makeEdit } from '../../../app/setup/edits.ts';
import { renameSetUp } from '../../../app/setup/renameSetUp.ts';
import { openSetUp } from '../../../app/setup/setUps.ts';
import { binSetUp, makeSetUp, readSetUps, unbinSetUp } from '../../../app/setup/vaultApi.ts';
import { waitingSetUps } from '../../../app/setup/waitingSetUps.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { NameDialog } from '../NameDialog.tsx';
import { useServerList } from '../useServerList.ts';
import { WORDS } from '../words.ts';
import { NewSetUpDialog } from './NewSetUpDialog.tsx';

const Page = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  overflow: 'auto',
  padding: '16px 20px 32px',
  '& .bar': { display: 'flex', flexWrap: 'wrap', gap: 8, marginBottom: 16 },
  '& .hint, & h2': { margin: '0 0 8px' },
  '& h2': { marginTop: 24, fontSize: 13, fontWeight: 650 },
  '& .hint': { fontSize: 12, color: vars?.palette.text.secondary },
  '& ul': { maxWidth: 860, margin: 0, padding: 0, listStyle: 'none' },
  '& li': {
    display: 'flex',
    alignItems: 'center',
    gap: 10,
    minHeight: 52,
    padding: '8px 12px 8px 16px',
    border: `1px solid ${vars?.palette.divider}`,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& li:first-of-type': { borderRadius: '10px 10px 0 0' },
  '& li:last-of-type': { borderRadius: '0 0 10px 10px' },
  '& li:only-of-type': { borderRadius: 10 },
  '& li + li': { borderTop: 0 },
  '& .name': { flex: 1, minWidth: 0 },
  '& .name b': { display: 'block', fontWeight: 650, overflowWrap: 'anywhere' },
  '& .name span': { fontSize: 12, color: vars?.palette.text.secondary },
  '& .name .waits': { display: 'block', color: vars?.palette.tokens.brick },
  '& .open': {
    padding: '0 10px',
    borderRadius: 11,
    fontSize: 12,
    lineHeight: '22px',
    backgroundColor: vars?.palette.tokens.accentTint,
  },
}));

/** What is being asked: a new set-up's name, or another name for one. */
type Asked =
  | { readonly kind: 'new'; readonly copy: string | null }
  | { readonly kind: 'rename'; readonly of: SetUpHead };

/** The set-ups there are, new ones, and the bin. */
export function SetUpsTab() {
  const dispatch = useAppDispatch();
  const { id: own, me, setup, asItWas } = useAppSelector((state) => state.setup);
  const { items, failed, isBusy, readAgain, run } = useServerList(readSetUps);
  const [asked, setAsked] = useState<Asked | null>(null);
  // The page knows its own name before the server does.
  const all = items.map((each) =>
    each.id === own && setup && !asItWas ? { ...each, name: setup.name } : each,
  );
  const out = all.filter(({ binnedAt }) => binnedAt === null);
  const binned = all.filter(({ binnedAt }) => binnedAt !== null);
  const waiting = waitingSetUps();
  const make = async (name: string, begin: Beginning) => {
    let made = '';
    const done = await run(async () => {
      made = await makeSetUp(name, begin);
    });
    if (done) openSetUp(made);
  };
  const rename = async (of: SetUpHead, name: string) => {
    if (of.id === own && !asItWas) dispatch(makeEdit({ kind: 'set', at: '', fields: { name } }));
    else if (!(await run(() => renameSetUp(of.id, name, me)))) return;
    setAsked(null);
  };
  return (
    <Page>
      <div className="bar">
        <Button
          variant="contained"
          startIcon={<Plus size={15} aria-hidden />}
          onClick={() => setAsked({ kind: 'new', copy: null })}
        >
          {WORDS.newSetUp}
        </Button>
        <Button
          startIcon={<RotateCcw size={15} aria-hidden />}
          disabled={isBusy}
          onClick={() => void make(WORDS.demoName, { from: 'demo' })}
        >
          {WORDS.demoAgain}
        </Button>
      </div>
      {failed !== null && asked === null && (
        <p className="hint" role="alert">
          {failed} <Button onClick={() => void readAgain()}>{WORDS.tryAgain}</Button>
        </p>
      )}
      <ul aria-label={WORDS.tabs['set-ups']}>
        {out.map((each) => (
          <li key={each.id}>
            <span className="name">
              <b>{each.name}</b>
              <span>{WORDS.editsOf(each.revision, each.id)}</span>
              {each.id !== own && waiting.has(each.id) && <span className="waits">{WORDS.editsWait}</span>}
            </span>
            {each.id === own ? (
              <span className="open">{WORDS.isOpen}</span>
            ) : (
              <Button aria-label={WORDS.openOf(each.name)} onClick={() => openSetUp(each.id)}>
                {WORDS.open}
              </Button>
            )}
            <Button
              aria-label={WORDS.renameOf(each.name)}
              onClick={() => setAsked({ kind: 'rename', of: each })}
            >
              {WORDS.rename}
            </Button>
            <Button
              aria-label={WORDS.copyOf(each.name)}
              onClick={() => setAsked({ kind: 'new', copy: each.id })}
            >
              {WORDS.copy}
            </Button>
            <Button
              aria-label={WORDS.binOf(each.name)}
              // The one that is open is worked in; another is opened first.
              disabled={isBusy || out.length < 2 || each.id === own}
              title={each.id === own ? WORDS.notWhileOpen : undefined}
              onClick={() => void run(() => binSetUp(each.id))}
            >
              {WORDS.bin}
            </Button>
          </li>
        ))}
      </ul>
      {binned.length > 0 && (
        <>
          <h2 id="bin">{WORDS.inBin}</h2>
          <p className="hint">{WORDS.binMeans(BIN_DAYS)}</p>
          <ul aria-labelledby="bin">
            {binned.map((each) => (
              <li key={each.id}>
                <span className="name">
                  <b>{each.name}</b>
                  <span>{WORDS.goesOn(dayWords(goesAt(each.binnedAt ?? '')))}</span>
                  {waiting.has(each.id) && <span className="waits">{WORDS.editsWait}</span>}
                </span>
                <Button aria-label={WORDS.openOf(each.name)} onClick={() => openSetUp(each.id)}>
                  {WORDS.lookAtIt}
                </Button>
                <Button
                  aria-label={WORDS.takeOutOf(each.name)}
                  disabled={isBusy}
                  onClick={() => void run(() => unbinSetUp(each.id))}
                >
                  {WORDS.takeOut}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {asked?.kind === 'new' && (
        <NewSetUpDialog
          setUps={out}
          copy={asked.copy}
          failed={failed}
          isBusy={isBusy}
          onMake={(name, begin) => void make(name, begin)}
          onClose={() => setAsked(null)}
        />
      )}
      {asked?.kind === 'rename' && (
        <NameDialog
          title={WORDS.renameOf(asked.of.name)}
          name={asked.of.name}
          action={WORDS.rename}
          failed={failed}
          isBusy={isBusy}
          onDone={(name) => void rename(asked.of, name)}
          onClose={() => setAsked(null)}
        />
      )}
    </Page>
  );
}

function goesAt(binnedAt: string): string {
  return new Date(Date.parse(binnedAt) + BIN_DAYS * 24 * 3600 * 1000).toISOString();
}
