/** Under which a slider's last value is kept: by its control, and by the way where it slides two. */
export function sliderKey(key: string, axis: 'up' | 'across'): string {
  return axis === 'up' ? key : `${key}/across`;
}
