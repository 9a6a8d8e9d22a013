import { askEarly } from './app/setup/early.ts';

// A file of its own, a kilobyte, which is here long before the page.
askEarly();
