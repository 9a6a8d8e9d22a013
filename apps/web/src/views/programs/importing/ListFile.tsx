import { LIST_LIMIT } from '@nimble-lever/core/programs';
import type { RefObject } from 'react';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';

interface Props {
  /** Clicked to choose a file. */
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly onList: (text: string, name: string) => void;
}

/** A file with a list of commands, chosen from this computer. */
export function ListFile({ inputRef, onList }: Props) {
  const { sayWrong } = useSay();
  const read = async (file: File) => {
    // Checked before it is read: a film chosen by mistake must not fill the memory.
    if (file.size > LIST_LIMIT) return sayWrong(WORDS.fileTooLarge(file.name));
    onList(await file.text(), file.name);
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
