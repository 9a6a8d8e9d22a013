/** How high the dock is, also before it is read, so that nothing jumps: pixels. */
export const DOCK_HEIGHT = 208;
