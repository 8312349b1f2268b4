// Who may import whom, type imports included. Everything under src that a room does not name is forbidden to it.
const MAY = {
  core: ['core'],
  print: ['core', 'print'],
  devices: ['core/colour', 'core/raster', 'devices'],
  workers: ['core', 'print', 'workers'],
  watch: ['watch'],
  data: ['core', 'watch', 'data'],
  studio: ['core', 'watch', 'data', 'workers', 'print', 'studio'],
  jobs: ['studio', 'data', 'watch', 'jobs'],
  ui: ['core', 'ui'],
  cli: ['core', 'workers', 'print', 'devices', 'cli'],
  demo: ['core', 'studio', 'data', 'print', 'devices', 'demo'],
  app: ['core', 'studio', 'print', 'data', 'jobs', 'ui', 'workers', 'watch', 'app'],
};

// The folders of core, lowest first: each may use those before it and itself. A folder that stands in none may not be.
const CORE = [
  'geometry',
  'colour',
  'fitting',
  'raster',
  'drawing',
  'vision',
  'sheet',
  'exercise',
  'bands',
  'mixing',
  'planning',
  'capture',
  'tones',
  'scale',
  'notan',
  'painting',
  'reference',
  'correction',
  'critique',
  'kinds',
  'record',
  'grading',
  'look',
  'formats',
  'finder',
  'handout',
];

// Reasoned exceptions: file, what it may reach besides, why.
const EXCEPTIONS = [
  ['^src/workers/practice/', '^src/devices/', 'the practice camera and reader of the demo'],
  ['^src/workers/protocol', '^src/devices/', 'types of what they are asked'],
  ['^src/demo/kinds', '^src/workers/practice/', 'type of what the practice camera is asked'],
  [
    '^src/ui/',
    '^src/(workers/browser/(bench-|masses-|correction-)?protocol|studio/(views|hand-in/pile|hand-in/looks)|data/schema/)',
    'types of what a page hands down',
  ],
  ['^src/studio/practice/', '^src/devices/', 'type of a painting plan'],
];

const PACKAGES_OF_CORE =
  'zod|papaparse|date-fns|@date-fns/tz|polygon-clipping|ml-matrix|ml-levenberg-marquardt|d3-contour|@techstark/opencv-js';
const TESTS = '[.]test[.]tsx?$';
const error = { severity: 'error' };

module.exports = {
  forbidden: [
    ...Object.entries(MAY).map(([room, may]) => ({
      ...error,
      name: `${room}-imports-only-what-it-may`,
      from: {
        path: `^src/${room}/`,
        pathNot: [TESTS, ...EXCEPTIONS.map(([from]) => from).filter((f) => f.startsWith(`^src/${room}/`))],
      },
      to: { path: '^src/', pathNot: may.map((m) => `^src/${m}/`) },
    })),
    ...EXCEPTIONS.map(([from, also], i) => ({
      ...error,
      name: `exception-${i + 1}`,
      from: { path: from, pathNot: TESTS },
      to: { path: '^src/', pathNot: [...MAY[from.split('/')[1]].map((m) => `^src/${m}/`), also] },
    })),
    ...CORE.map((folder, level) => ({
      ...error,
      name: `core-${folder}-uses-only-what-is-below-it`,
      from: { path: `^src/core/${folder}/`, pathNot: TESTS },
      to: { path: '^src/core/', pathNot: CORE.slice(0, level + 1).map((below) => `^src/core/${below}/`) },
    })),
    {
      ...error,
      name: 'core-has-only-folders-with-a-level',
      from: { path: '^src/core/', pathNot: CORE.map((folder) => `^src/core/${folder}/`) },
      to: {},
    },
    {
      ...error,
      name: 'core-uses-few-packages',
      from: { path: '^src/core/', pathNot: TESTS },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core', 'unknown', 'undetermined'],
        pathNot: `node_modules/(${PACKAGES_OF_CORE})`,
      },
    },
    { ...error, name: 'no-circles', from: { path: '^(src|bench|e2e)/', pathNot: TESTS }, to: { circular: true } },
  ],
  options: {
    tsConfig: { fileName: require('node:path').join(__dirname, 'tsconfig.json') },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'node', 'default'] },
  },
};
