export {
  arbitraryEdit,
  arbitraryEvents,
  arbitrarySetup,
  arbitraryShortcut,
  placesOf,
} from './arbitraries.ts';
