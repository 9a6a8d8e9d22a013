import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { Maximize2, Minimize2 } from 'lucide-react';
import { memo, type ReactNode, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { useSize } from '../../../pieces/useSize.ts';
import { DeskWindows } from '../../../practice/DeskWindows.tsx';
import { DESK_WINDOWS, selectDesk, slownessChanged } from '../../../practice/deskSlice.ts';
import { raiseWindow } from '../../../practice/frontWindow.ts';
import { useDesk } from '../../../practice/useDesk.ts';
import { WORDS } from '../words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: '1 0 250px',
  display: 'flex',
  flexDirection: 'column',
  backgroundColor: vars?.palette.tokens.desk,
  '& > .bar': {
    flex: 'none',
    display: 'flex',
    alignItems: 'center',
    gap: 6,
    padding: '6px 10px',
    fontSize: 12,
  },
  '& .bar .fill': { flex: 1 },
  '& .bar .MuiButton-root': { minHeight: 28, minWidth: 30, padding: '0 6px' },
  '& .room': { flex: 1, minHeight: 0, position: 'relative', overflow: 'hidden', margin: '0 10px 10px' },
  '& .drawn': { position: 'absolute', left: 0, top: 0, display: 'flex', transformOrigin: 'top left' },
}));

/** As wide as the desk is by itself, however small it is drawn, and how high at most in parts of that: pixels. */
const DESK_WIDTH = { small: 300, large: 560 } as const;
const HIGHEST = 1;
/** How long programs take to open a window: milliseconds. */
const SLOW = [0, 500, 1000, 2000, 3000] as const;

interface Props {
  readonly large: boolean;
  readonly onLarge: (large: boolean) => void;
  /** Over its windows. */
  readonly children?: ReactNode;
}

/**
 * The practice desk beside the score: drawn small where there is little room, and working all the same. It is much to
 * draw, and does not change with what is selected.
 */
export const DeskBeside = memo(function DeskBeside({ large, onLarge, children }: Props) {
  const dispatch = useAppDispatch();
  const surface = useRef<HTMLDivElement>(null);
  const room = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(room);
  const { active, slowness } = useAppSelector(selectDesk);
  useDesk(surface);
  const own = DESK_WIDTH[large ? 'large' : 'small'];
  const scale = width > 0 ? Math.min(1, width / own) : 1;
  const drawn = { width: width / scale, height: Math.min(height / scale, HIGHEST * Math.max(own, width)) };
  const front = DESK_WINDOWS.find(({ id }) => id === active);
  return (
    <Box aria-label={WORDS.desk}>
      <div className="bar">
        <ChoiceField
          label={WORDS.bring}
          value={front?.executable ?? ''}
          options={DESK_WINDOWS.filter(({ isDialog }) => !isDialog).map(({ id, name }) => [
            id as string,
            name,
          ])}
          onChange={(id) => dispatch(raiseWindow(id))}
        />
        <span className="fill" />
        <span>{WORDS.slowness}</span>
        <ChoiceField
          label={WORDS.slowness}
          value={String(slowness)}
          options={SLOW.map((ms) => [String(ms), WORDS.slow(ms)])}
          onChange={(ms) => dispatch(slownessChanged(Number(ms)))}
        />
        <Button
          variant="text"
          aria-label={large ? WORDS.smaller : WORDS.larger}
          title={large ? WORDS.smaller : WORDS.larger}
          onClick={() => onLarge(!large)}
        >
          {large ? <Minimize2 size={15} aria-hidden /> : <Maximize2 size={15} aria-hidden />}
        </Button>
      </div>
      <div ref={room} className="room">
        <div className="drawn" style={{ ...drawn, transform: `scale(${scale})` }}>
          <DeskWindows surface={surface} solo={!large}>
            {children}
          </DeskWindows>
        </div>
      </div>
    </Box>
  );
});
