import { LIST_LIMIT } from '@nimble-lever/core/programs';
import type { RefObject } from 'react';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';

interface Props {
  /** Clicked to choose a file. */
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly onText: (text: string, name: string) => void;
  /** The largest that is taken, in bytes. */
  readonly most?: number;
}

/** A text file, chosen from this computer: a list of commands, a set-up. */
export function TextFile({ inputRef, onText, most = LIST_LIMIT }: Props) {
  const { sayWrong } = useSay();
  const read = async (file: File) => {
    // Checked before it is read: a film chosen by mistake must not fill the memory.
    if (file.size > most) return sayWrong(WORDS.fileTooLarge(file.name, most));
    onText(await file.text(), file.name);
  };
  return (
    <input
      ref={inputRef}
      type="file"
      hidden
      accept=".json,.csv,.tsv,.md,.txt,.html,.htm"
      aria-label={WORDS.chooseFile}
      onChange={({ target }) => {
        const [file] = target.files ?? [];
        // The same file can be chosen again after it was mended.
        target.value = '';
        if (file) void read(file).catch(() => sayWrong(WORDS.fileUnread(file.name)));
      }}
    />
  );
}
