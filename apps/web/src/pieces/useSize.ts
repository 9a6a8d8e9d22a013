import { type RefObject, useLayoutEffect, useState } from 'react';

/** How large something is drawn. */
export interface Size {
  /** Pixels, of what is inside the padding. */
  readonly width: number;
  readonly height: number;
}

/** The size of an element, kept up to date; 0 × 0 before it is drawn. */
export function useSize(element: RefObject<Element | null>): Size {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  useLayoutEffect(() => {
    if (!element.current) return;
    const sized = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    sized.observe(element.current);
    return () => sized.disconnect();
  }, [element]);
  return size;
}
