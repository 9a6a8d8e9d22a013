import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { dropFile } from '../droppedFile.ts';

/** Where files are taken in. */
const FILES = '/vault?tab=files';

/**
 * A file that is let go beside what takes it: a browser would leave the page for it. One that may hold a set-up is looked
 * at in the Vault, any other does nothing.
 */
export function useNoStrayDrops(): void {
  const navigate = useNavigate();
  useEffect(() => {
    const isStray = (event: DragEvent) =>
      !event.defaultPrevented && event.dataTransfer?.types.includes('Files') === true;
    const keep = (event: DragEvent) => {
      if (!isStray(event)) return;
      event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      if (!isStray(event)) return;
      event.preventDefault();
      const [file] = event.dataTransfer?.files ?? [];
      if (!file || !/\.(json|zip)$/i.test(file.name)) return;
      dropFile(file);
      void navigate(FILES);
    };
    window.addEventListener('dragover', keep);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', keep);
      window.removeEventListener('drop', drop);
    };
  }, [navigate]);
}
