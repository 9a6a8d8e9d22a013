import { styled } from '@mui/material/styles';
import { useAppDispatch } from '../../app/store.ts';
import { runCommand } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { WORDS } from '../words.ts';
import { BAKE_DIALOG } from './kettlebyBake.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  padding: 14,
  fontSize: 13,
  '& .fine': {
    flex: 'none',
    height: 8,
    borderRadius: 4,
    backgroundColor: vars?.palette.tokens.sunk,
    overflow: 'hidden',
  },
  '& .fine i': { display: 'block', height: '100%', backgroundColor: vars?.palette.tokens.accent },
  '& .buttons': { display: 'flex', flexWrap: 'wrap', gap: 6 },
  '& button': {
    height: 28,
    padding: '0 10px',
    font: 'inherit',
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.background,
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 6,
    cursor: 'pointer',
  },
}));

/** Kettleby's dialog: how the prop is baked. */
export function BakeView() {
  const dispatch = useAppDispatch();
  const { fineness, hollow, baked } = usePrograms((rehearse) => rehearse['kettleby-bake']);
  return (
    <Body>
      <span>{WORDS.fineness(fineness)}</span>
      <span className="fine">
        <i style={{ width: `${fineness}%` }} />
      </span>
      <span>
        {hollow ? WORDS.hollow : WORDS.solid} · {WORDS.baked(baked)}
      </span>
      <div className="buttons">
        {BAKE_DIALOG.commands.map(({ shortcut, name }) => (
          <button
            key={name}
            type="button"
            onClick={() => dispatch(runCommand('kettleby-bake', name, shortcut, false))}
          >
            {name}
          </button>
        ))}
      </div>
    </Body>
  );
}
