import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import OutlinedInput from '@mui/material/OutlinedInput';
import Popover from '@mui/material/Popover';
import { styled } from '@mui/material/styles';
import type { MacroEstimate } from '@nimble-lever/core/macros';
import { type Macro, MOST_STEPS, type Setup } from '@nimble-lever/core/setup';
import { ChevronDown, Play, Square } from 'lucide-react';
import { useState } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { NumberField } from '../../pieces/NumberField.tsx';
import { setMacro } from './macroEdits.ts';
import { timeBetween, wholeTime } from './times.ts';
import { WORDS } from './words.ts';

const Box = styled('header')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  flexWrap: 'wrap',
  gap: 8,
  minHeight: 52,
  padding: '8px 16px',
  borderBottom: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& .name': { flex: '1 1 150px', minWidth: 120 },
  '& .name input': { fontSize: 15, fontWeight: 650, padding: '4px 8px' },
  '& .name .MuiOutlinedInput-notchedOutline': { borderColor: 'transparent' },
  '& .acts': { display: 'flex', gap: 8 },
  '& .time': { flex: 'none', fontSize: 12, color: vars?.palette.text.secondary },
}));
const Settings = styled('div')({
  width: 320,
  padding: 16,
  display: 'flex',
  flexDirection: 'column',
  gap: 10,
  '& .line': { display: 'flex', alignItems: 'center', gap: 8, fontSize: 12, justifyContent: 'space-between' },
});

interface Props {
  readonly setup: Setup;
  readonly macro: Macro;
  readonly times: MacroEstimate;
  /** Whether it is being tried. */
  readonly trying: boolean;
  /** The step that trying can begin with. */
  readonly from: string | null;
  readonly onTry: (speed: 'full' | 'half' | 'steps', from: string | null) => void;
  readonly onStop: () => void;
}

/** What the macro is called, how long it takes, how it runs; and trying it. */
export function MacroHeader({ setup, macro, times, trying, from, onTry, onStop }: Props) {
  const dispatch = useAppDispatch();
  const [settings, setSettings] = useState<HTMLElement | null>(null);
  const [more, setMore] = useState<HTMLElement | null>(null);
  const draft = useDraft(macro.name, (text) => {
    if (text.trim() !== '') dispatch(setMacro(macro, { name: text.trim() }));
  });
  const set = (fields: Readonly<Record<string, unknown>>) => dispatch(setMacro(macro, fields));
  return (
    <Box>
      <OutlinedInput
        {...draft}
        className="name"
        error={draft.value.trim() === ''}
        inputProps={{ 'aria-label': WORDS.name, maxLength: 60, spellCheck: false }}
      />
      <span className="time" title={timeBetween(times.total ?? times.round)}>
        {wholeTime(times)}
      </span>
      <Button
        aria-haspopup="dialog"
        endIcon={<ChevronDown size={14} aria-hidden />}
        onClick={({ currentTarget }) => setSettings(currentTarget)}
      >
        {macro.run === 'times' ? WORDS.runsTimes(macro.times) : WORDS.runKinds[macro.run]}
      </Button>
      <Popover
        open={settings !== null}
        anchorEl={settings}
        onClose={() => setSettings(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Settings role="dialog" aria-label={WORDS.settings}>
          <div className="line">
            <span>{WORDS.program}</span>
            <ChoiceField
              label={WORDS.program}
              value={macro.program ?? ''}
              options={[['', WORDS.ofNone], ...setup.programs.map(({ id, name }) => [id, name] as const)]}
              onChange={(program) => set({ program: program === '' ? null : program })}
            />
          </div>
          <div className="line">
            <ChoiceField
              label={WORDS.runs}
              value={macro.run}
              options={(['times', 'held', 'toggle'] as const).map((run) => [run, WORDS.runKinds[run]])}
              onChange={(run) => set({ run })}
            />
            {macro.run === 'times' && (
              <NumberField
                label={WORDS.times}
                value={macro.times}
                min={1}
                max={MOST_STEPS}
                onChange={(count) => set({ times: count })}
              />
            )}
          </div>
          {macro.run !== 'toggle' && (
            <ChoiceField
              label={WORDS.again}
              value={macro.again}
              options={(['ignore', 'restart', 'queue'] as const).map((again) => [again, WORDS.agains[again]])}
              onChange={(again) => set({ again })}
            />
          )}
          <div className="line" title={WORDS.paceMeans}>
            <span>{WORDS.pace}</span>
            <NumberField
              label={WORDS.pace}
              value={macro.pace}
              min={0}
              max={2000}
              unit={WORDS.ms}
              onChange={(pace) => set({ pace })}
            />
          </div>
          <FormControlLabel
            title={WORDS.goesOnMeans}
            control={
              <Checkbox
                size="small"
                checked={macro.goesOn}
                onChange={({ target }) => set({ goesOn: target.checked })}
              />
            }
            label={WORDS.goesOn}
          />
        </Settings>
      </Popover>
      <span className="acts">
        <Button disabled={macro.steps.length === 0} onClick={() => onTry('steps', from)}>
          {WORDS.stepOn}
        </Button>
        {trying ? (
          <Button
            variant="contained"
            startIcon={<Square size={12} fill="currentColor" aria-hidden />}
            title={WORDS.stopMeans}
            onClick={onStop}
          >
            {WORDS.stop}
          </Button>
        ) : (
          <Button
            variant="contained"
            disabled={macro.steps.length === 0}
            startIcon={<Play size={12} fill="currentColor" aria-hidden />}
            onClick={() => onTry('full', null)}
          >
            {WORDS.tryIt}
          </Button>
        )}
        <Button
          aria-label={WORDS.tryMore}
          title={WORDS.tryMore}
          aria-haspopup="menu"
          disabled={macro.steps.length === 0 || trying}
          sx={{ minWidth: 30, px: 0.5 }}
          onClick={({ currentTarget }) => setMore(currentTarget)}
        >
          <ChevronDown size={14} aria-hidden />
        </Button>
      </span>
      <Menu anchorEl={more} open={more !== null} onClose={() => setMore(null)}>
        <MenuItem
          onClick={() => {
            setMore(null);
            onTry('half', null);
          }}
        >
          {WORDS.tryHalf}
        </MenuItem>
        <MenuItem
          disabled={from === null}
          onClick={() => {
            setMore(null);
            onTry('full', from);
          }}
        >
          {WORDS.tryFrom}
        </MenuItem>
      </Menu>
    </Box>
  );
}
