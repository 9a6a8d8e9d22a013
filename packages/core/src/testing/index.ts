export { arbitraryShortcut } from './arbitraryBinding.ts';
export { arbitraryEdit, editBetween } from './arbitraryEdit.ts';
export { arbitraryEvents, arbitraryHappenings, type Happens } from './arbitraryEvents.ts';
export { arbitrarySetup } from './arbitrarySetup.ts';
export { arbitraryScenario, checkAgainstSlow, checkInvariants, type Scenario } from './invariants.ts';
export { type Tried, tryOut } from './replay.ts';
export { type RunWithEdits, runAll } from './runAll.ts';
export { placesOf, smallSetup } from './smallRig.ts';
export { type BoundRow, bound, events, played, run, short } from './timeline.ts';
