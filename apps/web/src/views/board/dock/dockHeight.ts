/** How high the dock is: pixels. It is as high before it is read, so that nothing jumps; its edge moves it. */
export const DOCK = { least: 176, usual: 228, most: 420 } as const;
