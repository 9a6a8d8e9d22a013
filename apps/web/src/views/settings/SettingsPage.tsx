import Autocomplete from '@mui/material/Autocomplete';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import type { Platform } from '@nimble-lever/core/keys';
import { LAYOUTS, LAYOUTS_BY_NAME, type LayoutEntry } from '@nimble-lever/core/keys/layouts/list';
import { chooseLayout, choosePlatform } from '../../app/keyboard/keyboard.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Card } from '../../pieces/Card.tsx';
import { DrawnKeyboard } from '../../pieces/DrawnKeyboard.tsx';
import { Keycap } from '../../pieces/Keycap.tsx';
import { KeepingCard } from './KeepingCard.tsx';
import { PairedCard } from './PairedCard.tsx';
import { StartCard } from './StartCard.tsx';
import { StorageCard } from './StorageCard.tsx';
import { TypingCard } from './TypingCard.tsx';
import { WORDS } from './words.ts';

const Page = styled('div')({ height: '100%', overflow: 'auto', padding: '20px 24px' });
const Fields = styled('div')({ display: 'grid', gridTemplateColumns: '320px 200px', gap: 12 });
const Samples = styled('div')({ display: 'flex', flexWrap: 'wrap', gap: 8, alignItems: 'center' });

/** Shows what the chosen platform and layout make of shortcuts: letters, arrows, brackets, two steps. */
const SAMPLES = ['Ctrl+Z', 'Ctrl+Shift+S', 'Alt+ArrowLeft', 'Meta+Space', '[', 'Ctrl+K, Ctrl+S'];

/** Which keyboard this is, whose edits are made here, and what waits to be dealt with. */
export function SettingsPage() {
  const dispatch = useAppDispatch();
  const { platform, layoutId, layout } = useAppSelector((state) => state.keyboard);
  return (
    <Page>
      <Card aria-labelledby="keyboard-settings">
        <h2 id="keyboard-settings">{WORDS.keyboard}</h2>
        <p>{WORDS.about}</p>
        <Fields>
          <Autocomplete
            options={LAYOUTS_BY_NAME}
            value={LAYOUTS.find(({ id }) => id === layoutId) ?? (LAYOUTS[0] as LayoutEntry)}
            getOptionLabel={({ name }) => name}
            getOptionKey={({ id }) => id}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            disableClearable
            size="small"
            onChange={(_event, choice) => void dispatch(chooseLayout(choice.id))}
            // So many layouts are searched, not scrolled through.
            renderInput={(params) => <TextField {...params} label={WORDS.layout} />}
          />
          <TextField
            select
            size="small"
            label={WORDS.platform}
            value={platform}
            sx={{ '& .MuiSelect-select': { paddingLeft: '14px' } }}
            onChange={({ target }) => dispatch(choosePlatform(target.value as Platform))}
          >
            {(['windows', 'mac', 'linux'] as const).map((choice) => (
              <MenuItem key={choice} value={choice}>
                {WORDS.platforms[choice]}
              </MenuItem>
            ))}
          </TextField>
        </Fields>
        <Samples>
          {WORDS.sample}
          {SAMPLES.map((shortcut) => (
            <Keycap key={shortcut} shortcut={shortcut} />
          ))}
        </Samples>
        <h3>{layout ? WORDS.drawn : WORDS.reading}</h3>
        <DrawnKeyboard pressed={new Set()} onKey={null} whole={false} />
      </Card>
      <TypingCard />
      <KeepingCard />
      <StorageCard />
      <PairedCard />
      <StartCard />
    </Page>
  );
}
