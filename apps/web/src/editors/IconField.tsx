import Autocomplete from '@mui/material/Autocomplete';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { FACE_ICONS } from '../pieces/icons/faceIcons.ts';
import { findIcons, type IconEntry, iconWords } from '../pieces/icons/iconNames.ts';
import { readAllIcons, useIcon } from '../pieces/icons/useIcon.ts';
import { WORDS } from './words.ts';

const Option = styled('li')({ display: 'flex', gap: 10, alignItems: 'center', fontSize: 13 });

/** So many are listed at once; typing finds the others. */
const MOST_LISTED = 80;

/** The icons that are used most, under their own names, then all others; with what they are looked for by. */
function entriesOf(synonyms: Readonly<Record<string, string>>, icon: string | null): readonly IconEntry[] {
  const usual = Object.entries(FACE_ICONS).map(([name, { name: words }]) => ({ name, words }));
  const others = Object.keys(synonyms)
    // One that an earlier or later version knows is still told by its name.
    .concat(icon === null || synonyms[icon] !== undefined ? [] : [icon])
    .filter((name) => !FACE_ICONS[name])
    .map((name) => ({ name, words: iconWords(name) }));
  return [...usual, ...others].map((entry) => ({ ...entry, synonyms: synonyms[entry.name] ?? '' }));
}

/** Before the list is read. */
const NO_SYNONYMS: Readonly<Record<string, string>> = {};

/** An icon by its name; null for none. */
interface Props {
  readonly icon: string | null;
  readonly disabled?: boolean;
  readonly onChange: (icon: string | null) => void;
}

/** One of all icons, found by its name or a word for it, or none. */
export function IconField({ icon, disabled = false, onChange }: Props) {
  const [synonyms, setSynonyms] = useState(NO_SYNONYMS);
  const [failed, setFailed] = useState(false);
  const entries = useMemo(() => entriesOf(synonyms, icon), [synonyms, icon]);
  const chosen = entries.find(({ name }) => name === icon);
  const Chosen = useIcon(icon);
  const read = () => {
    if (synonyms !== NO_SYNONYMS) return;
    readAllIcons().then(
      ({ SYNONYMS }) => {
        setFailed(false);
        setSynonyms(SYNONYMS);
      },
      () => setFailed(true),
    );
  };
  return (
    <Autocomplete
      options={entries}
      value={icon}
      disabled={disabled}
      size="small"
      autoHighlight
      selectOnFocus
      getOptionLabel={({ words }) => words}
      getOptionValue={({ name }) => name}
      filterOptions={(options, { inputValue }) =>
        // The chosen one's own name is no search: it is there when the list opens.
        [...findIcons(options, inputValue === chosen?.words ? '' : inputValue, MOST_LISTED)]
      }
      noOptionsText={failed ? WORDS.iconsFailed : WORDS.noSuchIcon}
      onOpen={read}
      onChange={(_event, next) => onChange(next)}
      renderOption={({ key, ...props }, { name, words }) => (
        <Option key={key} {...props}>
          <IconShown name={name} /> {words}
        </Option>
      )}
      renderInput={(params) => (
        <TextField
          {...params}
          placeholder={WORDS.noIcon}
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps.htmlInput, 'aria-label': WORDS.icon, maxLength: 40 },
            input: {
              ...params.slotProps.input,
              startAdornment: Chosen ? <Chosen size={16} aria-hidden style={{ marginLeft: 4 }} /> : null,
            },
          }}
        />
      )}
    />
  );
}

function IconShown({ name }: { readonly name: string }) {
  const Icon = useIcon(name);
  return Icon ? <Icon size={16} aria-hidden /> : <span style={{ width: 16 }} />;
}
