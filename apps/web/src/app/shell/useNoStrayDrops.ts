import { useEffect } from 'react';

/** A file that is let go beside what takes it does nothing: a browser would leave the page for it. */
export function useNoStrayDrops(): void {
  useEffect(() => {
    const keep = (event: DragEvent) => {
      if (event.defaultPrevented || !event.dataTransfer?.types.includes('Files')) return;
      event.preventDefault();
      event.dataTransfer.dropEffect = 'none';
    };
    window.addEventListener('dragover', keep);
    window.addEventListener('drop', keep);
    return () => {
      window.removeEventListener('dragover', keep);
      window.removeEventListener('drop', keep);
    };
  }, []);
}
