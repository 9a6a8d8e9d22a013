import type { LucideIcon } from 'lucide-react';
import { useEffect, useState } from 'react';
import { FACE_ICONS } from './faceIcons.ts';

/** Read when the first icon is shown that is not among the usual ones: all two thousand are a file of their own. */
let reading: Promise<typeof import('./allIcons.ts')> | null = null;
let read: typeof import('./allIcons.ts') | null = null;

/** Reads all icons with their synonyms, once. */
export async function readAllIcons(): Promise<typeof import('./allIcons.ts')> {
  reading ??= import('./allIcons.ts');
  try {
    read = await reading;
  } catch (error) {
    // A file that did not come may come the next time.
    reading = null;
    throw error;
  }
  return read;
}

/** An icon by its name; undefined where there is none, and until it has been read. */
export function useIcon(name: string | null): LucideIcon | undefined {
  const usual = name === null ? undefined : FACE_ICONS[name]?.icon;
  const [all, setAll] = useState(() => read);
  const isUnread = name !== null && usual === undefined && all === null;
  useEffect(() => {
    if (!isUnread) return;
    let wanted = true;
    readAllIcons().then(
      (found) => wanted && setAll(found),
      // Without its icon a face is still told by its label.
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [isUnread]);
  return usual ?? (name === null ? undefined : all?.iconNamed(name));
}
