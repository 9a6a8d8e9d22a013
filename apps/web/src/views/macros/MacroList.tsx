import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import { foldName } from '@nimble-lever/core/devices';
import { estimate, macroUses, stepCount } from '@nimble-lever/core/macros';
import type { Macro } from '@nimble-lever/core/setup';
import { controlUseWords } from '@nimble-lever/core/words';
import { Circle, MoreHorizontal, Plus } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { ListSearch } from '../../pieces/ListSearch.tsx';
import { wholeTime } from './times.ts';
import { WORDS } from './words.ts';

const Box = styled('nav')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  minHeight: 0,
  borderRight: `1px solid ${vars?.palette.divider}`,
  '& .search': { flex: 'none', padding: '10px 12px 4px' },
  '& .groups': { flex: 1, minHeight: 0, overflow: 'auto', padding: '4px 8px 12px' },
  '& h2': { margin: '12px 6px 4px', fontSize: 11, fontWeight: 650, color: vars?.palette.text.secondary },
  '& ul': { margin: 0, padding: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 4 },
  '& li': { position: 'relative' },
  '& .macro': {
    width: '100%',
    display: 'block',
    padding: '8px 34px 8px 12px',
    textAlign: 'left',
    font: 'inherit',
    color: vars?.palette.text.primary,
    background: 'none',
    border: '1px solid transparent',
    borderRadius: 8,
    cursor: 'pointer',
    '& b': {
      display: 'block',
      fontWeight: 650,
      overflow: 'hidden',
      textOverflow: 'ellipsis',
      whiteSpace: 'nowrap',
    },
    '& small': { display: 'block', fontSize: 11, color: vars?.palette.text.secondary },
  },
  '& .macro[aria-current=true]': {
    backgroundColor: vars?.palette.tokens.sheet,
    borderColor: vars?.palette.text.primary,
    boxShadow: `inset 0 0 0 1px ${vars?.palette.text.primary}`,
  },
  '& .more': { position: 'absolute', top: 6, right: 4 },
  '& .none': { padding: '8px 12px', fontSize: 12, color: vars?.palette.text.secondary },
  '& footer': {
    flex: 'none',
    display: 'flex',
    gap: 6,
    padding: '10px 12px',
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
}));

/** From so many macros on, looking for one is quicker by its name. */
const SEARCHED_FROM = 6;

interface Props {
  readonly shown: string | null;
  readonly onShow: (macro: string) => void;
  readonly onNew: () => void;
  readonly onRecord: () => void;
  readonly onCopy: (macro: Macro) => void;
  readonly onRemove: (macro: Macro) => void;
}

/** All macros by program: how long each takes, and what runs it. */
export const MacroList = memo(function MacroList({
  shown,
  onShow,
  onNew,
  onRecord,
  onCopy,
  onRemove,
}: Props) {
  const setup = useAppSelector(selectSetup);
  const [search, setSearch] = useState('');
  const [menu, setMenu] = useState<{ readonly at: HTMLElement; readonly macro: Macro } | null>(null);
  const uses = useMemo(() => macroUses(setup), [setup]);
  const wanted = foldName(search.trim());
  const found = setup.macros.filter(({ name }) => foldName(name).includes(wanted));
  const groups = [...setup.programs.map(({ id, name }) => ({ id, name })), { id: null, name: WORDS.ofNone }]
    .map((group) => ({ ...group, macros: found.filter(({ program }) => program === group.id) }))
    .filter(({ macros }) => macros.length > 0);
  const whereOf = (macro: Macro): string => {
    const own = uses.get(macro.id);
    const [first] = own?.slots ?? [];
    if (own && first) {
      const more = own.slots.length + own.menus.length + own.macros.length - 1;
      return WORDS.runBy(controlUseWords(setup, first), more);
    }
    const menuName = setup.radialMenus.find(({ id }) => id === own?.menus[0])?.name;
    const macroName = setup.macros.find(({ id }) => id === own?.macros[0])?.name;
    return menuName ?? macroName ?? WORDS.noControl;
  };
  return (
    <Box aria-label={WORDS.macros}>
      {setup.macros.length >= SEARCHED_FROM && (
        <div className="search">
          <ListSearch
            value={search}
            label={WORDS.search}
            onChange={setSearch}
            onEnter={() => found[0] && onShow(found[0].id)}
          />
        </div>
      )}
      <div className="groups">
        {groups.map(({ id, name, macros }) => (
          <section key={id ?? ''} aria-label={name}>
            <h2>{name}</h2>
            <ul>
              {macros.map((macro) => (
                <li key={macro.id}>
                  <button
                    type="button"
                    className="macro"
                    aria-current={macro.id === shown}
                    onClick={() => onShow(macro.id)}
                  >
                    <b>{macro.name}</b>
                    <small>
                      {WORDS.stepsAndTime(stepCount(macro.steps), wholeTime(estimate(setup, macro)))}
                    </small>
                    <small>{whereOf(macro)}</small>
                  </button>
                  <IconButton
                    className="more"
                    size="small"
                    aria-label={WORDS.more(macro.name)}
                    aria-haspopup="menu"
                    onClick={({ currentTarget }) => setMenu({ at: currentTarget, macro })}
                  >
                    <MoreHorizontal size={16} aria-hidden />
                  </IconButton>
                </li>
              ))}
            </ul>
          </section>
        ))}
        {setup.macros.length > 0 && found.length === 0 && <p className="none">{WORDS.nothingCalled}</p>}
      </div>
      <Menu anchorEl={menu?.at ?? null} open={menu !== null} onClose={() => setMenu(null)}>
        {([WORDS.copy, WORDS.remove] as const).map((what) => (
          <MenuItem
            key={what}
            onClick={() => {
              if (menu) (what === WORDS.copy ? onCopy : onRemove)(menu.macro);
              setMenu(null);
            }}
          >
            {what}
          </MenuItem>
        ))}
      </Menu>
      <footer>
        <Button
          variant="contained"
          startIcon={<Circle size={10} fill="currentColor" aria-hidden />}
          onClick={onRecord}
        >
          {WORDS.record}
        </Button>
        <Button
          aria-label={WORDS.newMacro}
          title={WORDS.newMacro}
          sx={{ minWidth: 36, px: 1 }}
          onClick={onNew}
        >
          <Plus size={16} aria-hidden />
        </Button>
      </footer>
    </Box>
  );
});
