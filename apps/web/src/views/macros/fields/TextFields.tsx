import Button from '@mui/material/Button';
import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { FIELD_KINDS, USUAL_FIELDS } from '@nimble-lever/core/macros';
import { menuText } from '@nimble-lever/core/words';
import { useRef } from 'react';
import { useDraft } from '../../../app/useDraft.ts';
import { WORDS } from '../words.ts';

/** Why what stands in a field is not taken. */
function Wrong({ children }: { readonly children: string }) {
  return (
    <FormHelperText error role="alert" sx={{ m: 0 }}>
      {children}
    </FormHelperText>
  );
}

/** Text of one line or several; Enter with Shift is a new line. */
export function TextField({
  text,
  onChange,
}: {
  readonly text: string;
  readonly onChange: (text: string) => void;
}) {
  const draft = useDraft(text, (typed) => typed !== '' && onChange(typed));
  const input = useRef<HTMLTextAreaElement>(null);
  // Where the caret is, in place of what is selected.
  const insert = (field: string) => {
    const { selectionStart, selectionEnd, value } = input.current ?? {
      selectionStart: 0,
      selectionEnd: 0,
      value: text,
    };
    onChange(`${value.slice(0, selectionStart)}${field}${value.slice(selectionEnd)}`);
  };
  return (
    <>
      <OutlinedInput
        {...draft}
        inputRef={input}
        multiline
        maxRows={5}
        fullWidth
        error={draft.value === ''}
        inputProps={{ 'aria-label': WORDS.addKinds.text, maxLength: 2000, spellCheck: false }}
        sx={{ padding: '6px 10px', '& textarea': { padding: 0 } }}
      />
      {draft.value === '' && <Wrong>{WORDS.noText}</Wrong>}
      <div className="line">
        <span>{WORDS.insert}</span>
        {FIELD_KINDS.map((kind) => (
          <Button key={kind} title={USUAL_FIELDS[kind]} onClick={() => insert(USUAL_FIELDS[kind])}>
            {WORDS.fieldKinds[kind]}
          </Button>
        ))}
      </div>
    </>
  );
}

/** The words from a menu down to its item. */
export function PathField({
  path,
  onChange,
}: {
  readonly path: readonly string[];
  readonly onChange: (path: readonly string[]) => void;
}) {
  const read = (text: string) => text.split('›').map((word) => word.trim());
  const draft = useDraft(menuText(path), (text) => {
    const words = read(text);
    if (words.every((word) => word !== '')) onChange(words);
  });
  const isWrong = read(draft.value).some((word) => word === '');
  return (
    <>
      <OutlinedInput
        {...draft}
        fullWidth
        error={isWrong}
        placeholder={WORDS.pathHint}
        inputProps={{ 'aria-label': WORDS.path, title: WORDS.path, maxLength: 400, spellCheck: false }}
      />
      {isWrong && <Wrong>{WORDS.wrongPath}</Wrong>}
    </>
  );
}

/** Why the step is there. */
export function NoteField({
  note,
  onChange,
}: {
  readonly note: string | null;
  readonly onChange: (note: string | null) => void;
}) {
  const draft = useDraft(note ?? '', (text) => onChange(text.trim() === '' ? null : text.trim()));
  return (
    <OutlinedInput
      {...draft}
      fullWidth
      placeholder={WORDS.noteHint}
      inputProps={{ 'aria-label': WORDS.note, maxLength: 300 }}
    />
  );
}
