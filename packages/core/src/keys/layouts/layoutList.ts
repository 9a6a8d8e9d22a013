/**
 * The keys by which a keyboard is told from others, in the order of `plain` below; the data of each layout is a
 * file of its own, read when it is used.
 */
export const TELLING_KEYS: readonly string[] = [
  'Backquote',
  ...Array.from('1234567890', (digit) => `Digit${digit}`),
  'Minus',
  'Equal',
  ...Array.from('QWERTYUIOP', (letter) => `Key${letter}`),
  'BracketLeft',
  'BracketRight',
  'Backslash',
  ...Array.from('ASDFGHJKL', (letter) => `Key${letter}`),
  'Semicolon',
  'Quote',
  ...Array.from('ZXCVBNM', (letter) => `Key${letter}`),
  'Comma',
  'Period',
  'Slash',
  'IntlBackslash',
];

/** A layout that ships: what the telling keys type alone; a space for nothing, a dotted circle for a dead key. */
export interface LayoutEntry {
  readonly id: string;
  readonly name: string;
  /** What its keys print without a modifier, in the order of the United States keyboard. */
  readonly plain: string;
}

/**
 * The layouts that can be chosen. `plain` is what the keys print without a modifier, by which a layout is recognised
 * from what the browser tells.
 */
export const LAYOUTS: readonly LayoutEntry[] = [
  { id: 'us', name: 'English (United States)', plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./<" },
  {
    id: 'us-intl',
    name: 'English (United States, international)',
    plain: '◌1234567890-=qwertyuiop[]\\asdfghjkl;◌zxcvbnm,./\\',
  },
  { id: 'us-dvorak', name: 'English (Dvorak)', plain: "`1234567890[]',.pyfgcrl/=\\aoeuidhtns-;qjkxbmwvz<" },
  { id: 'us-colemak', name: 'English (Colemak)', plain: "`1234567890-=qwfpgjluy;[]\\arstdhneio'zxcvbkm,./-" },
  { id: 'gb', name: 'English (United Kingdom)', plain: "`1234567890-=qwertyuiop[]#asdfghjkl;'zxcvbnm,./\\" },
  { id: 'de', name: 'German', plain: '◌1234567890ß◌qwertzuiopü+#asdfghjklöäyxcvbnm,.-<' },
  { id: 'at', name: 'German (Austria)', plain: '◌1234567890ß◌qwertzuiopü+#asdfghjklöäyxcvbnm,.-<' },
  { id: 'ch-de', name: 'German (Switzerland)', plain: "§1234567890'◌qwertzuiopü◌$asdfghjklöäyxcvbnm,.-<" },
  { id: 'ch-fr', name: 'French (Switzerland)', plain: "§1234567890'◌qwertzuiopè◌$asdfghjkléàyxcvbnm,.-<" },
  { id: 'fr', name: 'French (AZERTY)', plain: '²&é"\'(-è_çà)=azertyuiop◌$*qsdfghjklmùwxcvbn,;:!<' },
  { id: 'fr-bepo', name: 'French (BÉPO)', plain: '$"«»()@+-/*=%bépoè◌vdljzwçauie,ctsrnmàyx.k\'qghfê' },
  { id: 'ca', name: 'French (Canada)', plain: '#1234567890-=qwertyuiop◌◌<asdfghjkl;◌zxcvbnm,.é«' },
  { id: 'be', name: 'Belgian', plain: '²&é"\'(§è!çà)-azertyuiop◌$µqsdfghjklmùwxcvbn,;:=<' },
  { id: 'es', name: 'Spanish', plain: "º1234567890'¡qwertyuiop◌+çasdfghjklñ◌zxcvbnm,.-<" },
  { id: 'latam', name: 'Spanish (Latin America)', plain: "|1234567890'¿qwertyuiop◌+}asdfghjklñ{zxcvbnm,.-<" },
  { id: 'pt', name: 'Portuguese', plain: "\\1234567890'«qwertyuiop+◌◌asdfghjklçºzxcvbnm,.-<" },
  { id: 'br', name: 'Portuguese (Brazil)', plain: "'1234567890-=qwertyuiop◌[]asdfghjklç◌zxcvbnm,.;\\" },
  { id: 'it', name: 'Italian', plain: "\\1234567890'ìqwertyuiopè+ùasdfghjklòàzxcvbnm,.-<" },
  { id: 'nl', name: 'Dutch', plain: '@1234567890/°qwertyuiop◌*<asdfghjkl+◌zxcvbnm,.-]' },
  { id: 'se', name: 'Swedish', plain: "§1234567890+◌qwertyuiopå◌'asdfghjklöäzxcvbnm,.-<" },
  { id: 'no', name: 'Norwegian', plain: "|1234567890+\\qwertyuiopå◌'asdfghjkløæzxcvbnm,.-<" },
  { id: 'dk', name: 'Danish', plain: "½1234567890+◌qwertyuiopå◌'asdfghjklæøzxcvbnm,.-<" },
  { id: 'fi', name: 'Finnish', plain: "§1234567890+◌qwertyuiopå◌'asdfghjklöäzxcvbnm,.-<" },
  { id: 'is', name: 'Icelandic', plain: "◌1234567890ö-qwertyuiopð'+asdfghjklæ◌zxcvbnm,.þ<" },
  { id: 'pl', name: 'Polish', plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./<" },
  { id: 'cz', name: 'Czech', plain: ';+ěščřžýáíé=◌qwertzuiopú)◌asdfghjklů§yxcvbnm,.-\\' },
  { id: 'sk', name: 'Slovak', plain: ';+ľščťžýáíé=◌qwertzuiopúäňasdfghjklô§yxcvbnm,.-\\' },
  { id: 'hu', name: 'Hungarian', plain: '0123456789öüóqwertzuiopőúűasdfghjkléáyxcvbnm,.-í' },
  { id: 'ro', name: 'Romanian', plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./\\" },
  { id: 'hr', name: 'Croatian', plain: "`1234567890'+qwertzuiopšđžasdfghjklčćyxcvbnm,.-<" },
  { id: 'tr', name: 'Turkish (Q)', plain: '"1234567890*-qwertyuıopğü,asdfghjklşizxcvbnmöç.<' },
  { id: 'tr-f', name: 'Turkish (F)', plain: '+1234567890/-fgğıodrnhpqwxuieaütkmlyşjövcçzsb.,<' },
  { id: 'gr', name: 'Greek', plain: "`1234567890-=;ςερτυθιοπ[]\\ασδφγηξκλ◌'ζχψωβνμ,./«" },
  { id: 'ru', name: 'Russian', plain: 'ё1234567890-=йцукенгшщзхъ\\фывапролджэячсмитьбю./' },
  { id: 'ua', name: 'Ukrainian', plain: "'1234567890-=йцукенгшщзхїґфівапролджєячсмитьбю./" },
  { id: 'il', name: 'Hebrew', plain: ";1234567890-=/'קראטוןםפ][\\שדגכעיחלךף,זסבהנמצתץ.<" },
  { id: 'jp', name: 'Japanese', plain: ' 1234567890-^qwertyuiop@[]asdfghjkl;:zxcvbnm,./<' },
  { id: 'kr', name: 'Korean', plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./<" },
];
