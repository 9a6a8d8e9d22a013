import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { freeId } from '@nimble-lever/core/devices';
import { LIST_FILES, type ListFile, writeList } from '@nimble-lever/core/programs';
import type { Command, Program } from '@nimble-lever/core/setup';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { saveFile } from '../../../app/saveFile.ts';
import { WORDS } from '../words.ts';

/** How each file is called behind the dot, and what it is (IANA media types). */
const FILES = {
  csv: ['csv', 'text/csv'],
  markdown: ['md', 'text/markdown'],
  json: ['json', 'application/json'],
} as const satisfies Record<ListFile, readonly [string, string]>;

interface Props extends Pick<Program, 'name' | 'keysBy'> {
  readonly commands: readonly Command[];
}

/** A program's commands as a file to keep. */
export function ExportButton({ name, keysBy, commands }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const save = (file: ListFile) => {
    setAnchor(null);
    const [ending, type] = FILES[file];
    const called = freeId(name, new Set(), 'commands');
    saveFile(`${called}.${ending}`, writeList({ name, keysBy }, commands, file), type);
  };
  return (
    <>
      <Button
        endIcon={<ChevronDown size={15} aria-hidden />}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        disabled={commands.length === 0}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {WORDS.export}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {LIST_FILES.map((file) => (
          <MenuItem key={file} onClick={() => save(file)}>
            {WORDS.files[file]}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
