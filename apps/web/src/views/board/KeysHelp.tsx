import Dialog from '@mui/material/Dialog';
import { styled } from '@mui/material/styles';
import { Cap, Keycap } from '../../pieces/Keycap.tsx';
import { WORDS } from './words.ts';

const List = styled('dl')({
  display: 'grid',
  gridTemplateColumns: 'auto 1fr',
  gap: '8px 20px',
  margin: 0,
  padding: '4px 20px 20px',
  fontSize: 13,
  '& dt': { display: 'flex', gap: 4, justifyContent: 'flex-end' },
  '& dd': { margin: 0 },
});
const Title = styled('h2')({ margin: 0, padding: '16px 20px 8px', fontSize: 15, fontWeight: 650 });

const ROWS: readonly (readonly [keys: readonly string[], words: string])[] = [
  [['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'], WORDS.help.move],
  [['Home', 'End'], WORDS.help.ends],
  [['PageUp', 'PageDown'], WORDS.help.pages],
  [['P', 'Shift+P'], WORDS.help.devicePages],
  [['Enter'], WORDS.help.choose],
  [['R'], WORDS.help.record],
  [['Escape'], WORDS.help.leave],
  [['Delete'], WORDS.help.inherit],
  [['Ctrl+C', 'Ctrl+V'], WORDS.help.copy],
  [['T'], WORDS.help.triggers],
  [['Ctrl+Z', 'Ctrl+Shift+Z'], WORDS.help.undo],
  [['Ctrl+K'], WORDS.help.find],
  [['?'], WORDS.help.keys],
];

/** The keys of the Board. */
export function KeysHelp({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="keys-help">
      <Title id="keys-help">{WORDS.help.title}</Title>
      <List>
        {ROWS.map(([keys, words]) => (
          <div key={words} style={{ display: 'contents' }}>
            <dt>
              {keys.map((key) =>
                key === '?' ? <Cap key={key}>?</Cap> : <Keycap key={key} shortcut={key} />,
              )}
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </List>
    </Dialog>
  );
}
