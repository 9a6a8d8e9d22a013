import { styled } from '@mui/material/styles';
import { displayShortcut, joinParts, type Platform, parseSteps } from '@nimble-lever/core/keys';
import { MapPin } from 'lucide-react';
import { Fragment, useContext } from 'react';
import { KeyboardContext } from './keyboard.ts';

const Place = styled('span')({
  display: 'inline-flex',
  alignItems: 'baseline',
  '& svg': { alignSelf: 'flex-start', marginLeft: 1 },
});

/**
 * A shortcut in our notation, as the person's platform and keyboard write it; steps are parted by commas. A key that is
 * meant by its place has a mark. Text that is no shortcut is shown as it is.
 */
export function Keys({ shortcut }: { readonly shortcut: string }) {
  const { platform, legends } = useContext(KeyboardContext);
  const steps = parseSteps(shortcut);
  if (!steps.ok) return shortcut;
  return steps.value.map((step, i) => {
    const parts = displayShortcut(step, platform, legends);
    const isPlace = step.key?.kind === 'place';
    return (
      // biome-ignore lint/suspicious/noArrayIndexKey: a step is its place in the row.
      <Fragment key={i}>
        {i > 0 && ', '}
        {isPlace ? <AtPlace parts={parts} platform={platform} /> : joinParts(parts, platform)}
      </Fragment>
    );
  });
}

/** A shortcut whose key stands in braces, drawn with a mark instead of them. */
function AtPlace({ parts, platform }: { readonly parts: readonly string[]; readonly platform: Platform }) {
  const bare = parts.map((part, i) => (i === parts.length - 1 ? part.slice(1, -1) : part));
  return (
    <Place title={PLACE_MEANS}>
      {joinParts(bare, platform)}
      <MapPin size={9} aria-label={BY_PLACE} role="img" />
    </Place>
  );
}

const BY_PLACE = 'by place';
const PLACE_MEANS = 'The key at this place, whatever is printed on it on another keyboard';
