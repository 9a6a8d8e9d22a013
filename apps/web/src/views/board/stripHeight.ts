/** How high the devices above the matrix are, drawn large and small: pixels. */
export const STRIP = { large: 98, small: 44 } as const;
