// Derives the keyboard layouts from Debian's xkb-data into packages/core/src/keys/layouts/xkb: a file each, with the
// characters of every writing key and the space bar on four levels (plain, Shift, AltGr, both), as far as its right Alt
// key reaches them. A dead key is its combining mark on a dotted circle. Needs Debian's xkb-data, libxkbcommon-tools and x11proto-dev.
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ensureDebianPackage } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { quiet } from './lib/run.mjs';
import { main, Stop } from './lib/say.mjs';

/** Our id, xkb's layout and variant, and what people call it. */
const LAYOUTS = [
  ['us', 'us', '', 'English (United States)'],
  ['us-intl', 'us', 'intl', 'English (United States, international)'],
  ['us-dvorak', 'us', 'dvorak', 'English (Dvorak)'],
  ['us-colemak', 'us', 'colemak', 'English (Colemak)'],
  ['gb', 'gb', '', 'English (United Kingdom)'],
  ['de', 'de', '', 'German'],
  ['at', 'at', '', 'German (Austria)'],
  ['ch-de', 'ch', '', 'German (Switzerland)'],
  ['ch-fr', 'ch', 'fr', 'French (Switzerland)'],
  ['fr', 'fr', '', 'French (AZERTY)'],
  ['fr-bepo', 'fr', 'bepo', 'French (BÉPO)'],
  ['ca', 'ca', '', 'French (Canada)'],
  ['be', 'be', '', 'Belgian'],
  ['es', 'es', '', 'Spanish'],
  ['latam', 'latam', '', 'Spanish (Latin America)'],
  ['pt', 'pt', '', 'Portuguese'],
  ['br', 'br', '', 'Portuguese (Brazil)'],
  ['it', 'it', '', 'Italian'],
  ['nl', 'nl', '', 'Dutch'],
  ['se', 'se', '', 'Swedish'],
  ['no', 'no', '', 'Norwegian'],
  ['dk', 'dk', '', 'Danish'],
  ['fi', 'fi', '', 'Finnish'],
  ['is', 'is', '', 'Icelandic'],
  ['pl', 'pl', '', 'Polish'],
  ['cz', 'cz', '', 'Czech'],
  ['sk', 'sk', '', 'Slovak'],
  ['hu', 'hu', '', 'Hungarian'],
  ['ro', 'ro', '', 'Romanian'],
  ['hr', 'hr', '', 'Croatian'],
  ['tr', 'tr', '', 'Turkish (Q)'],
  ['tr-f', 'tr', 'f', 'Turkish (F)'],
  ['gr', 'gr', '', 'Greek'],
  ['ru', 'ru', '', 'Russian'],
  ['ua', 'ua', '', 'Ukrainian'],
  ['il', 'il', '', 'Hebrew'],
  ['jp', 'jp', '', 'Japanese'],
  ['kr', 'kr', '', 'Korean'],
  ['us-altgr-intl', 'us', 'altgr-intl', 'English (United States, international with AltGr)'],
  ['us-colemak-dh', 'us', 'colemak_dh', 'English (Colemak-DH)'],
  ['us-workman', 'us', 'workman', 'English (Workman)'],
  ['us-dvp', 'us', 'dvp', 'English (Programmer Dvorak)'],
  ['ie', 'ie', '', 'Irish'],
  ['ca-multix', 'ca', 'multix', 'Canadian (CSA)'],
  ['de-neo', 'de', 'neo', 'German (Neo)'],
  ['de-bone', 'de', 'bone', 'German (Bone)'],
  ['fr-afnor', 'fr', 'afnor', 'French (AZERTY, AFNOR)'],
  ['fr-oss', 'fr', 'oss', 'French (AZERTY, alternative)'],
  ['latam-deadtilde', 'latam', 'deadtilde', 'Spanish (Latin America, dead tilde)'],
  ['es-cat', 'es', 'cat', 'Catalan'],
  ['lt', 'lt', '', 'Lithuanian'],
  ['lv', 'lv', '', 'Latvian'],
  ['ee', 'ee', '', 'Estonian'],
  ['si', 'si', '', 'Slovenian'],
  ['bg', 'bg', '', 'Bulgarian'],
  ['bg-phonetic', 'bg', 'phonetic', 'Bulgarian (phonetic)'],
  ['rs', 'rs', '', 'Serbian (Cyrillic)'],
  ['rs-latin', 'rs', 'latin', 'Serbian (Latin)'],
  ['mk', 'mk', '', 'Macedonian'],
  ['ro-std', 'ro', 'std', 'Romanian (standard)'],
  ['cz-qwerty', 'cz', 'qwerty', 'Czech (QWERTY)'],
  ['sk-qwerty', 'sk', 'qwerty', 'Slovak (QWERTY)'],
  ['gr-polytonic', 'gr', 'polytonic', 'Greek (polytonic)'],
  ['by', 'by', '', 'Belarusian'],
  ['kz', 'kz', '', 'Kazakh'],
  ['ge', 'ge', '', 'Georgian'],
  ['am', 'am', '', 'Armenian'],
  ['ara', 'ara', '', 'Arabic'],
  ['ir', 'ir', '', 'Persian'],
  ['in', 'in', '', 'Hindi'],
  ['th', 'th', '', 'Thai'],
  ['vn', 'vn', '', 'Vietnamese'],
  ['tw', 'tw', '', 'Chinese (Taiwan)'],
  ['cn', 'cn', '', 'Chinese'],
  // What the same layouts have on a Mac.
  ['us-mac', 'us', 'mac', 'English (United States, Mac)'],
  ['gb-mac', 'gb', 'mac', 'English (United Kingdom, Mac)'],
  ['de-mac', 'de', 'mac', 'German (Mac)'],
  ['at-mac', 'at', 'mac', 'German (Austria, Mac)'],
  ['ch-de-mac', 'ch', 'de_mac', 'German (Switzerland, Mac)'],
  ['ch-fr-mac', 'ch', 'fr_mac', 'French (Switzerland, Mac)'],
  ['fr-mac', 'fr', 'mac', 'French (AZERTY, Mac)'],
  ['it-mac', 'it', 'mac', 'Italian (Mac)'],
  ['nl-mac', 'nl', 'mac', 'Dutch (Mac)'],
  ['pt-mac', 'pt', 'mac', 'Portuguese (Mac)'],
  ['se-mac', 'se', 'mac', 'Swedish (Mac)'],
  ['no-mac', 'no', 'mac', 'Norwegian (Mac)'],
  ['fi-mac', 'fi', 'mac', 'Finnish (Mac)'],
  ['is-mac', 'is', 'mac', 'Icelandic (Mac)'],
  ['jp-mac', 'jp', 'mac', 'Japanese (Mac)'],
];

/** The combining marks that dead keys stand for. */
const DEAD = {
  grave: '\u0300',
  acute: '\u0301',
  circumflex: '\u0302',
  tilde: '\u0303',
  perispomeni: '\u0342',
  macron: '\u0304',
  breve: '\u0306',
  abovedot: '\u0307',
  diaeresis: '\u0308',
  abovering: '\u030a',
  doubleacute: '\u030b',
  caron: '\u030c',
  cedilla: '\u0327',
  ogonek: '\u0328',
  belowdot: '\u0323',
  belowcomma: '\u0326',
  hook: '\u0309',
  horn: '\u031b',
  stroke: '\u0335',
  psili: '\u0313',
  dasia: '\u0314',
  iota: '\u0345',
  doublegrave: '\u030f',
  invertedbreve: '\u0311',
  belowmacron: '\u0331',
  belowcircumflex: '\u032d',
  belowtilde: '\u0330',
  belowdiaeresis: '\u0324',
  belowring: '\u0325',
  belowbreve: '\u032e',
  voiced_sound: '\u3099',
  semivoiced_sound: '\u309a',
};

/** Where the layouts' files are written, and where X.Org keeps the names of characters. */
const TARGET = path.join(ROOT, 'packages/core/src/keys/layouts/xkb');
const KEYSYMS = '/usr/include/X11/keysymdef.h';

await main(async () => {
  ensureDebianPackage('xkb-data', () => existsSync('/usr/share/X11/xkb/symbols/us'));
  ensureDebianPackage('libxkbcommon-tools', () => existsSync('/usr/bin/xkbcli'));
  ensureDebianPackage('x11proto-dev', () => existsSync(KEYSYMS));
  const { KEY_TABLE } = await import('../packages/core/src/keys/keyTable.ts');
  const codes = new Map(
    KEY_TABLE.filter(({ kind, code, linux }) => linux && (kind === 'writing' || code === 'Space')).map(
      ({ code, linux }) => [linux.code + 8, code],
    ),
  );
  mkdirSync(TARGET, { recursive: true });
  const characters = readKeysyms();
  for (const [id, layout, variant, name] of LAYOUTS) {
    const keymap = compile(layout, variant);
    const rows = keysOf(keymap, codes, characters).map(
      ([code, levels]) => `    ${JSON.stringify(code)}: ${JSON.stringify(levels)}`,
    );
    const text = `{\n  "id": ${JSON.stringify(id)},\n  "name": ${JSON.stringify(name)},\n  "xkb": ${JSON.stringify([layout, variant])},\n  "keys": {\n${rows.join(',\n')}\n  }\n}\n`;
    writeFileSync(path.join(TARGET, `${id}.json`), text);
  }
  copyFileSync('/usr/share/doc/xkb-data/copyright', path.join(TARGET, 'COPYRIGHT'));
  console.log(`${LAYOUTS.length} layouts written.`);
});

/** A layout compiled by `xkbcli` (libxkbcommon), which knows all the rules of its description. */
function compile(layout, variant) {
  const asked = ['compile-keymap', '--layout', layout, ...(variant ? ['--variant', variant] : [])];
  const compiled = quiet('xkbcli', asked);
  if (!compiled.ok) throw new Stop(`xkbcli cannot compile ${layout} ${variant}:\n${compiled.output}`);
  return compiled.output;
}

/** Characters by keysym name, from the comments of keysymdef.h. */
function readKeysyms() {
  const found = new Map();
  const pattern = /^#define XK_(\w+)\s+0x[0-9a-f]+\s*\/\*[( ]U\+([0-9A-F]{4,6})/gm;
  for (const [, name, point] of readFileSync(KEYSYMS, 'utf8').matchAll(pattern)) {
    found.set(name, String.fromCodePoint(Number.parseInt(point, 16)));
  }
  return found;
}

/** The levels of each key we know, in the order of the key table; keys without characters are left out. */
function keysOf(keymap, codes, characters) {
  const keycodes = new Map();
  for (const [, name, code] of keymap.matchAll(/^\s*<(\w+)>\s*=\s*(\d+);/gm))
    keycodes.set(name, Number(code));
  const found = new Map();
  const reached = levelsByAltGr(keymap);
  for (const [, name, body] of keymap.matchAll(/^\s*key <(\w+)>\s*\{([^}]*)\}/gm)) {
    const code = codes.get(keycodes.get(name));
    const symbols = /symbols\[(?:Group)?1\]\s*=\s*\[([^\]]*)\]/.exec(body) ?? /\[([^\]]*)\]/.exec(body);
    if (!code || !symbols) continue;
    const all = symbols[1].split(',').map((symbol) => characterOf(symbol.trim(), characters));
    const levels = [0, 1, ...reached].map((level) => all[level] ?? '');
    while (levels.at(-1) === '') levels.pop();
    if (levels.length > 0) found.set(code, levels);
  }
  return [...codes.values()].filter((code) => found.has(code)).map((code) => [code, found.get(code)]);
}

/** The levels that the right Alt key reaches: the third and fourth, on some layouts the fifth and sixth, or none. */
function levelsByAltGr(keymap) {
  const [, symbol] = /^\s*key <RALT>\s*\{[^}]*?=\s*\[\s*([A-Za-z]\w*)/m.exec(keymap) ?? [];
  if (symbol === 'ISO_Level3_Shift') return [2, 3];
  return symbol === 'ISO_Level5_Shift' ? [4, 5] : [];
}

/** The character of a symbol; a dead key as a dotted circle with its mark, as Unicode shows combining marks. */
function characterOf(symbol, characters) {
  if (symbol.startsWith('dead_')) {
    const mark = DEAD[symbol.slice(5)];
    return mark ? `\u25cc${mark}` : '';
  }
  const unicode = /^U([0-9A-F]{4,6})$/.exec(symbol);
  if (unicode) return String.fromCodePoint(Number.parseInt(unicode[1], 16));
  return characters.get(symbol) ?? '';
}
