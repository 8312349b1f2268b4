// Who may import whom. Each room names what it may use; everything else under src is forbidden to it.
const MAY = {
  core: ['core'],
  print: ['core', 'print'],
  devices: ['core/colour', 'core/raster', 'devices'],
  workers: ['core', 'print', 'workers'],
  data: ['core', 'data'],
  studio: ['core', 'data', 'workers', 'print', 'studio'],
  jobs: ['studio', 'data', 'jobs'],
  ui: ['core', 'ui'],
  cli: ['core', 'workers', 'print', 'devices', 'cli'],
  demo: ['core', 'studio', 'data', 'print', 'devices', 'demo'],
  app: ['core', 'studio', 'print', 'data', 'jobs', 'ui', 'workers', 'app'],
};

// Type-only or otherwise reasoned exceptions: file, what it may reach, why.
const EXCEPTIONS = [
  ['^src/workers/practice-', '^src/devices/', 'the practice camera and reader of the demo'],
  ['^src/demo/kinds', '^src/workers/practice-task', 'type of what the practice camera is asked'],
  ['^src/workers/protocol', '^src/workers/', 'types'],
  [
    '^src/ui/',
    '^src/(workers/browser/(bench-|masses-)?protocol|studio/(views|pile|looks)|data/schema)',
    'types of what a page hands down',
  ],
  ['^src/studio/practice', '^src/devices/', 'type of a painting plan'],
];

const PACKAGES_OF_CORE =
  'zod|papaparse|date-fns|@date-fns/tz|polygon-clipping|ml-matrix|ml-levenberg-marquardt|d3-contour|@techstark/opencv-js';

module.exports = {
  forbidden: [
    ...Object.entries(MAY).map(([room, may]) => ({
      name: `${room}-imports-only-what-it-may`,
      severity: 'error',
      from: {
        path: `^src/${room}/`,
        pathNot: ['[.]test[.]tsx?$', ...EXCEPTIONS.map(([from]) => from).filter((f) => f.startsWith(`^src/${room}/`))],
      },
      to: { path: '^src/', pathNot: may.map((m) => `^src/${m}/`) },
    })),
    ...EXCEPTIONS.map(([from, also], i) => {
      const room = from.split('/')[1];
      return {
        name: `exception-${i + 1}`,
        severity: 'error',
        from: { path: from, pathNot: '[.]test[.]tsx?$' },
        to: { path: '^src/', pathNot: [...MAY[room].map((m) => `^src/${m}/`), also] },
      };
    }),
    {
      name: 'core-uses-few-packages',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '[.]test[.]tsx?$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core', 'unknown', 'undetermined'],
        pathNot: `node_modules/(${PACKAGES_OF_CORE})`,
      },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: { pathNot: '[.]test[.]tsx?$' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    tsConfig: { fileName: require('node:path').join(__dirname, 'tsconfig.json') },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'node', 'default'] },
  },
};
