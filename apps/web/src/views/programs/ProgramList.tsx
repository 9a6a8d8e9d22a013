import { styled } from '@mui/material/styles';
import { foldName } from '@nimble-lever/core/devices';
import { useState } from 'react';
import { ListSearch } from '../../pieces/ListSearch.tsx';
import { AddProgram } from './AddProgram.tsx';
import { ProgramEntry } from './ProgramEntry.tsx';
import { useEntries } from './useEntries.ts';
import { WORDS } from './words.ts';

const Box = styled('nav')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  minHeight: 0,
  '& .search': { flex: 'none', padding: '10px 12px 4px' },
  '& ul': { flex: 1, minHeight: 0, overflow: 'auto', margin: 0, padding: 8, listStyle: 'none' },
  '& .none': { padding: '8px 12px', fontSize: 12, color: vars?.palette.text.secondary },
  '& footer': { flex: 'none', padding: '8px 12px 12px', borderTop: `1px solid ${vars?.palette.divider}` },
}));

/** From so many programs on, looking for one is quicker by its name. */
const SEARCHED_FROM = 8;

interface Props {
  /** The program that is shown; null for Everywhere. */
  readonly shown: string | null;
  readonly onShow: (program: string | null) => void;
  readonly onList: (text: string) => void;
  /** Names a new program by hand. */
  readonly onName: () => void;
}

/** Everywhere and all programs: how much of each is in reach, which are open, which is in front. */
export function ProgramList({ shown, onShow, onList, onName }: Props) {
  const entries = useEntries();
  const [search, setSearch] = useState('');
  const wanted = foldName(search.trim());
  const found = entries.filter(({ name }) => foldName(name).includes(wanted));
  return (
    <Box aria-label={WORDS.programs}>
      {entries.length >= SEARCHED_FROM && (
        <div className="search">
          <ListSearch
            value={search}
            label={WORDS.search}
            onChange={setSearch}
            onEnter={() => found[0] && onShow(found[0].program?.id ?? null)}
          />
        </div>
      )}
      <ul>
        {found.map((entry) => (
          <ProgramEntry
            key={entry.program?.id ?? ''}
            entry={entry}
            shown={(entry.program?.id ?? null) === shown}
            onShow={onShow}
          />
        ))}
        {found.length === 0 && <li className="none">{WORDS.nothingCalled}</li>}
        {entries.length === 1 && <li className="none">{WORDS.empty}</li>}
      </ul>
      <footer>
        <AddProgram current={shown} onAdded={onShow} onList={onList} onName={onName} />
      </footer>
    </Box>
  );
}
