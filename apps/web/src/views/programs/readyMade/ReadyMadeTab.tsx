import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { writeCommandList } from '@nimble-lever/core/formats';
import { CONTROL_SETS, columnOf, READY_LISTS, STARTING_PROFILES } from '@nimble-lever/core/programs';
import { newCommand } from '@nimble-lever/core/setup';
import { type ReactNode, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { WORDS } from '../words.ts';
import { type Ready, ReadyDialog } from './ReadyDialog.tsx';

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 16,
  padding: '14px 16px',
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& section': { display: 'flex', flexDirection: 'column', gap: 8 },
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& ul': {
    margin: 0,
    padding: 0,
    listStyle: 'none',
    display: 'grid',
    gridTemplateColumns: 'repeat(auto-fill, minmax(260px, 1fr))',
    gap: 8,
  },
  '& li': {
    display: 'flex',
    alignItems: 'center',
    gap: 10,
    padding: '8px 8px 8px 12px',
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 10,
  },
  '& li > span': { flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' },
  '& b': { fontWeight: 650, fontSize: 13 },
  '& small': { fontSize: 11, color: vars?.palette.text.secondary },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12, flex: 'none' },
}));

interface Props {
  /** Null for the commands that mean the same in most programs. */
  readonly program: string | null;
  /** A list to be looked at before it is taken in. */
  readonly onList: (text: string) => void;
}

/** What is shipped to begin with: lists of commands, what a device could do, five things for one control. */
export function ReadyMadeTab({ program, onList }: Props) {
  const setup = useAppSelector(selectSetup);
  const [ready, setReady] = useState<Ready | null>(null);
  const look = (name: string, onLook: () => void) => (
    <Button aria-label={WORDS.lookAtOf(name)} onClick={onLook}>
      {WORDS.lookAt}
    </Button>
  );
  return (
    <Box>
      <p>{WORDS.readyMeans}</p>
      <Part title={WORDS.readyLists}>
        {READY_LISTS.map((list) => (
          <li key={list.program}>
            <span>
              <b>{list.program}</b>
              <small>{WORDS.commands(list.commands.length)}</small>
            </span>
            {look(list.program, () =>
              onList(
                writeCommandList({
                  ...list,
                  commands: list.commands.map((command) => newCommand({ ...command, id: 'new' })),
                }),
              ),
            )}
          </li>
        ))}
      </Part>
      <Part title={WORDS.readyStarts}>
        {STARTING_PROFILES.map((start) => {
          const has = setup.devices.some(({ kind }) => kind === start.device);
          return (
            <li key={start.device}>
              <span>
                <b>{WORDS.kinds[start.device]}</b>
                <small>{has ? start.name : WORDS.noSuchDevice}</small>
              </span>
              {has && look(start.name, () => setReady({ kind: 'start', start }))}
            </li>
          );
        })}
      </Part>
      <Part title={WORDS.readySets}>
        {CONTROL_SETS.map((set) => (
          <li key={set.name}>
            <span>
              <b>{set.name}</b>
            </span>
            {setup.devices.length > 0 && look(set.name, () => setReady({ kind: 'set', set }))}
          </li>
        ))}
      </Part>
      {ready && (
        <ReadyDialog ready={ready} profile={columnOf(setup, program)} onClose={() => setReady(null)} />
      )}
    </Box>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}
