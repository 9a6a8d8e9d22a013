import { demoSetup, type Setup } from '../setup/index.ts';

/** The demo as it was before there were pages, and a pad that has only those. */
export function demoBeforePages(): Setup {
  const demo = demoSetup();
  const pages = new Set(demo.pages.map(({ id }) => id));
  const isOld = (key: string) => !pages.has(key.split('/')[0] ?? '') && !key.includes('/six-pad/');
  const profiles = Object.entries(demo.profiles).map(([id, profile]) => {
    const bindings = Object.entries(profile.bindings).filter(([key]) => isOld(key));
    return [id, { ...profile, bindings: Object.fromEntries(bindings) }] as const;
  });
  return {
    ...demo,
    devices: demo.devices.filter(({ id }) => id !== 'six-pad'),
    pages: [],
    profiles: Object.fromEntries(profiles),
  };
}
