/** What a layout is on a Mac, where that is another one: by its id, the id of that. */
export const ON_MAC: Readonly<Record<string, string>> = {
  us: 'us-mac',
  gb: 'gb-mac',
  de: 'de-mac',
  at: 'at-mac',
  'ch-de': 'ch-de-mac',
  'ch-fr': 'ch-fr-mac',
  fr: 'fr-mac',
  it: 'it-mac',
  nl: 'nl-mac',
  pt: 'pt-mac',
  se: 'se-mac',
  no: 'no-mac',
  fi: 'fi-mac',
  is: 'is-mac',
  jp: 'jp-mac',
};
