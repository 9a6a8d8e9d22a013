import { ON_MAC } from './onMac.ts';

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
  {
    id: 'us-altgr-intl',
    name: 'English (United States, international with AltGr)',
    plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./\\",
  },
  {
    id: 'us-colemak-dh',
    name: 'English (Colemak-DH)',
    plain: "`1234567890-=qwfpbjluy;[]\\arstgmneio'xcdvzkh,./z",
  },
  { id: 'us-workman', name: 'English (Workman)', plain: "`1234567890-=qdrwbjfup;[]\\ashtgyneoi'zxmcvkl,./<" },
  {
    id: 'us-dvp',
    name: 'English (Programmer Dvorak)',
    plain: "$&[{}(=*)+]!#;,.pyfgcrl/@\\aoeuidhtns-'qjkxbmwvz<",
  },
  { id: 'ie', name: 'Irish', plain: "`1234567890-=qwertyuiop[]#asdfghjkl;'zxcvbnm,./\\" },
  { id: 'ca-multix', name: 'Canadian (CSA)', plain: '/1234567890-=qwertyuiop◌çàasdfghjkl;èzxcvbnm,.éù' },
  { id: 'de-neo', name: 'German (Neo)', plain: '◌1234567890-◌xvlcwkhgfqß◌ uiaeosnrtdyüöäpzbm,.j ' },
  { id: 'de-bone', name: 'German (Bone)', plain: '◌1234567890-◌jduaxphlmwß◌ ctieobnrsgqfvüäöyz,.k ' },
  {
    id: 'fr-afnor',
    name: 'French (AZERTY, AFNOR)',
    plain: "@àéèê()‘’«»'◌azertyuiop-+*qsdfghjklm/wxcvbn.,:;<",
  },
  {
    id: 'fr-oss',
    name: 'French (AZERTY, alternative)',
    plain: '²&é"\'(-è_çà)=azertyuiop◌$*qsdfghjklmùwxcvbn,;:!<',
  },
  {
    id: 'latam-deadtilde',
    name: 'Spanish (Latin America, dead tilde)',
    plain: "|1234567890'¿qwertyuiop◌+}asdfghjklñ{zxcvbnm,.-<",
  },
  { id: 'es-cat', name: 'Catalan', plain: "º1234567890'¡qwertyuiop◌+çasdfghjklñ◌zxcvbnm,.-<" },
  { id: 'lt', name: 'Lithuanian', plain: "`ąčęėįšųū„“-žqwertyuiop[]\\asdfghjkl;'zxcvbnm,./–" },
  { id: 'lv', name: 'Latvian', plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./<" },
  { id: 'ee', name: 'Estonian', plain: "◌1234567890+◌qwertyuiopüõ'asdfghjklöäzxcvbnm,.-<" },
  { id: 'si', name: 'Slovenian', plain: "¸1234567890'+qwertzuiopšđžasdfghjklčćyxcvbnm,.-<" },
  { id: 'bg', name: 'Bulgarian', plain: '(1234567890-.,уеишщксдзц;„ьяаожгтнвмчюйъэфхпрлбѝ' },
  {
    id: 'bg-phonetic',
    name: 'Bulgarian (phonetic)',
    plain: "ч1234567890-=явертъуиопшщюасдфгхйкл;'зьцжбнм,./ѝ",
  },
  { id: 'rs', name: 'Serbian (Cyrillic)', plain: "`1234567890'+љњертзуиопшђжасдфгхјклчћжџцвбнм,.-<" },
  { id: 'rs-latin', name: 'Serbian (Latin)', plain: "`1234567890'+qwertzuiopšđžasdfghjklčćyxcvbnm,.-<" },
  { id: 'mk', name: 'Macedonian', plain: '◌1234567890-=љњертѕуиопшѓжасдфгхјклчќзџцвбнм,./<' },
  { id: 'ro-std', name: 'Romanian (standard)', plain: '„1234567890-=qwertyuiopăîâasdfghjklșțzxcvbnm,./\\' },
  { id: 'cz-qwerty', name: 'Czech (QWERTY)', plain: ';+ěščřžýáíé=◌qwertyuiopú)◌asdfghjklů§zxcvbnm,.-\\' },
  { id: 'sk-qwerty', name: 'Slovak (QWERTY)', plain: ';+ľščťžýáíé=◌qwertyuiopúäňasdfghjklô§zxcvbnm,.-\\' },
  {
    id: 'gr-polytonic',
    name: 'Greek (polytonic)',
    plain: '`1234567890-=;ςερτυθιοπ◌◌\\ασδφγηξκλ◌◌ζχψωβνμ,./«',
  },
  { id: 'by', name: 'Belarusian', plain: "ё1234567890-=йцукенгшўзх'\\фывапролджэячсмітьбю./" },
  { id: 'kz', name: 'Kazakh', plain: '("әіңғ,.үұқөһйцукенгшщзхъ\\фывапролджэячсмитьбю№<' },
  { id: 'ge', name: 'Georgian', plain: "„1234567890-=ქწერტყუიოპ[]\\ასდფგჰჯკლ;'ზხცვბნმ,./«" },
  { id: 'am', name: 'Armenian', plain: '՝ֆձ֊,։՞․՛)օէղճփբսմուկըթծց»ջվգեանիտհպրժդչյզլքխշռ?' },
  { id: 'ara', name: 'Arabic', plain: 'ذ1234567890-=ضصثقفغعهخحجد\\شسيبلاتنمكطئءؤرﻻىةوزظ|' },
  { id: 'ir', name: 'Persian', plain: '‍۱۲۳۴۵۶۷۸۹۰-=ضصثقفغعهخحجچ\\شسیبلاتنمکگظطزرذدپو./<' },
  { id: 'in', name: 'Hindi', plain: 'ॊ१२३४५६७८९०-ृौैाीूबहगदजड़ॉोे्िुपरकतचटॆंमनवलस,.य<' },
  { id: 'th', name: 'Thai', plain: '_ๅ/-ภถุึคตจขชๆไำพะัีรนยบลฃฟหกดเ้่าสวงผปแอิืทมใฝ<' },
  { id: 'vn', name: 'Vietnamese', plain: "`ăâêộ̀̉̃́đ-₫qwertyuiopươ\\asdfghjkl;'zxcvbnm,./<" },
  { id: 'tw', name: 'Chinese (Taiwan)', plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./<" },
  { id: 'cn', name: 'Chinese', plain: "`1234567890-=qwertyuiop[]\\asdfghjkl;'zxcvbnm,./<" },
];

/**
 * Every layout that ships, in an order that never changes, as devices' memories name layouts by their numbers in it: new
 * ones are put at the end.
 */
export const LAYOUT_IDS: readonly string[] = [...LAYOUTS.map(({ id }) => id), ...Object.values(ON_MAC)];

/** The layouts in the order of their names, as they are chosen from. */
export const LAYOUTS_BY_NAME: readonly LayoutEntry[] = LAYOUTS.toSorted((a, b) => (a.name < b.name ? -1 : 1));
