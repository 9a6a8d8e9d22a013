const core = (...names) => names.map((name) => `packages/core/src/${name}`);
const server = (...names) => names.map((name) => `apps/server/src/${name}`);
const web = (...names) => names.map((name) => `apps/web/src/${name}`);

/** Of core: what stands in the middle of `packages/core/src` and any folder of it may use. */
const [ROOT_FILES] = core('[a-zA-Z]+\\.ts');
const ALL_OF_CORE = core(
  'keys',
  'devices',
  'drawing',
  'setup',
  'resolve',
  'engine',
  'macros',
  'memory',
  'review',
  'formats',
  'words',
  'programs',
  'pages',
  'panels',
  'desks',
  'vault',
);
const PAGE = ['react', 'react-dom', 'react-redux', 'react-router', '@mui', '@reduxjs', 'lucide-react', 'zod'];

/**
 * Who may import whom, as docs/architecture.md draws it: a room, the rooms it may import besides itself, and the npm
 * packages (`node:` for what Node.js has). The first row that fits a file is its room. Tests may import more.
 */
export const ROOMS = [
  [ROOT_FILES, [], []],
  [core('keys')[0], [ROOT_FILES], ['zod']],
  [core('devices')[0], [ROOT_FILES, ...core('keys')], ['zod', 'fastest-levenshtein']],
  [core('drawing')[0], [], []],
  [core('setup')[0], [ROOT_FILES, ...core('keys', 'devices')], ['zod']],
  [core('resolve')[0], [ROOT_FILES, ...core('keys', 'devices', 'setup')], ['zod']],
  [core('engine')[0], [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve')], ['zod']],
  [core('macros')[0], [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve', 'engine')], ['date-fns']],
  [core('memory')[0], [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve')], []],
  [core('review')[0], [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve', 'engine')], []],
  [
    core('formats')[0],
    [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve', 'engine')],
    ['zod', 'jsonc-parser'],
  ],
  [
    core('words')[0],
    [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve', 'engine', 'macros', 'memory', 'formats')],
    ['zod'],
  ],
  [
    core('programs')[0],
    [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve', 'formats', 'words')],
    ['htmlparser2', 'papaparse', 'zod'],
  ],
  [
    core('vault')[0],
    [ROOT_FILES, ...core('devices', 'setup', 'formats', 'words', 'programs')],
    ['fflate', 'papaparse', 'zod'],
  ],
  [core('pages')[0], [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve')], []],
  [core('panels')[0], [ROOT_FILES, ...core('devices', 'drawing', 'setup', 'pages')], []],
  [
    core('desks')[0],
    [ROOT_FILES, ...core('keys', 'devices', 'setup', 'resolve', 'engine', 'words')],
    ['zod'],
  ],
  [core('testing')[0], [ROOT_FILES, ...ALL_OF_CORE], ['fast-check']],
  ['packages/session/src', [ROOT_FILES, ...ALL_OF_CORE], []],

  [server('config.ts')[0], [], ['zod', 'node:']],
  [
    server('pictures')[0],
    [...ALL_OF_CORE, ...server('store', 'problem')],
    // It forks our own program; nothing else of the server starts another.
    ['saxes', 'sharp', 'zod', 'node:', 'child_process'],
  ],
  [server('database')[0], ALL_OF_CORE, ['typeorm', 'reflect-metadata']],
  [server('store')[0], [...ALL_OF_CORE, ...server('database')], ['pg', 'pino', 'typeorm', 'zod', 'node:']],
  [server('problem')[0], [...ALL_OF_CORE, ...server('store')], ['pino', 'zod']],
  [
    server('worker')[0],
    [...ALL_OF_CORE, ...server('database', 'store', 'pictures', 'problem')],
    ['pino', 'zod', 'tsx', 'node:'],
  ],
  [server('access')[0], [...ALL_OF_CORE, ...server('problem', 'worker')], ['express', 'zod', 'node:']],
  [
    server('live')[0],
    [...ALL_OF_CORE, ...server('access', 'problem', 'worker')],
    ['pino', 'ws', 'zod', 'node:'],
  ],
  [
    server('routes')[0],
    [...ALL_OF_CORE, ...server('access', 'problem', 'worker')],
    ['express', 'zod', 'node:'],
  ],
  [
    server('http')[0],
    [...ALL_OF_CORE, ...server('access', 'config.ts', 'problem', 'worker', 'routes')],
    ['express', 'express-static-gzip', 'helmet', 'pino', 'pino-http', 'node:'],
  ],
  [
    server('testing')[0],
    [...ALL_OF_CORE, ...server('config.ts', 'database', 'server.ts', 'store'), 'scripts/lib'],
    ['fast-check', 'pg', 'pino', 'typeorm', 'node:'],
  ],
  [
    'apps/server/src',
    server('access', 'config.ts', 'http', 'live', 'routes', 'store', 'worker', 'problem'),
    ['pino', 'zod', 'node:'],
  ],

  [
    'apps/cli/src',
    [...ALL_OF_CORE, 'packages/session/src', 'scripts/lib/places.mjs', 'scripts/lib/starters.mjs'],
    ['ws', 'node:'],
  ],

  [web('workers')[0], [ROOT_FILES, ...ALL_OF_CORE], ['zod']],
  [web('pieces')[0], [ROOT_FILES, ...ALL_OF_CORE], [...PAGE, 'chart.js', 'virtual:icon-nodes']],
  [
    web('app')[0],
    [ROOT_FILES, ...ALL_OF_CORE, 'packages/session/src', ...web('pieces', 'workers')],
    [...PAGE, 'fuse.js', 'qrcode'],
  ],
  [web('practice')[0], [ROOT_FILES, ...ALL_OF_CORE, 'packages/session/src', ...web('pieces', 'app')], PAGE],
  [web('editors')[0], [ROOT_FILES, ...ALL_OF_CORE, ...web('pieces', 'app')], [...PAGE, '@dnd-kit']],
  // A view imports no other view.
  ...[
    'addDevice',
    'board',
    'lend',
    'macros',
    'panels',
    'programs',
    'rehearse',
    'rig',
    'settings',
    'vault',
  ].map((view) => [
    `apps/web/src/views/${view}`,
    [ROOT_FILES, ...ALL_OF_CORE, ...web('pieces', 'app', 'practice', 'editors', 'workers')],
    [...PAGE, '@tanstack', 'chart.js', 'fflate'],
  ]),
  // A page of its own, which must be light: of the app it takes what has no state.
  [
    web('panel')[0],
    [...core('desks', 'devices'), ...web('pieces', 'app/theme', 'app/strictZod.ts')],
    ['react', 'react-dom', 'zod', '@fontsource-variable'],
  ],
  // Another one, for browsers that may not come in yet.
  [
    web('pair')[0],
    [...core('desks'), ...web('app/theme', 'app/strictZod.ts', 'app/browserName.ts')],
    ['react', 'react-dom', 'zod', '@fontsource-variable'],
  ],
  ['apps/web/src', web('app', 'practice', 'views'), [...PAGE, '@fontsource-variable']],
];
