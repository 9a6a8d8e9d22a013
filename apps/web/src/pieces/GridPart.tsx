import type { ComponentProps } from 'react';

/**
 * A row, head or cell of a grid or table: a plain box with the role it is given, as its parts are placed by hand. Styled by
 * the grid as a whole; a styled part each took a third of the time until the first cells were seen.
 */
export function GridPart(props: ComponentProps<'div'>) {
  return <div {...props} />;
}
