/** Imports run one way: app → ui → words → core, app → server → words → core, workers → core, devices → core. */
const only = (from, allowed) => ({
  name: `${from}-imports`,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: `^src/(${[from, ...allowed].join('|')})/` },
});

/** Folders of the core, each of which may import those before it and none after it: so there is no circle of folders. */
const CORE = [
  ...[
    'codes',
    'units',
    'time',
    'drawing',
    'solver',
    'formula',
    'heat',
    'ferment',
    'lamination',
    'cutting',
    'shaping',
  ],
  ...['learning', 'bakery', 'process', 'record', 'climate', 'forecast', 'shopfloor', 'demand', 'schedule'],
  ...['diagnosis', 'exchange', 'recipe', 'wire', 'double', 'practice'],
];

const downwards = CORE.map((folder, i) => ({
  name: `core-${folder}-looks-up`,
  severity: 'error',
  from: { path: `^src/core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^src/core/', pathNot: `^src/core/(${CORE.slice(0, i + 1).join('|')})/` },
}));

export default {
  forbidden: [
    only('core', []),
    ...downwards,
    {
      name: 'core-folder-without-a-place',
      comment: 'A new folder of the core takes its place in the order above.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: `^src/core/((${CORE.join('|')})/|[a-z-]+\\.test\\.ts$)` },
      to: {},
    },
    only('ui', ['core', 'words']),
    only('words', ['core']),
    only('server', ['core', 'words', 'workers']),
    only('workers', ['core']),
    only('devices', ['core']),
    {
      name: 'truth-stays-hidden',
      comment:
        'What a simulated dough really is is for those who simulate; the bakery’s own screens and sums know the record alone.',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/(core/(double|practice)|devices)/|\\.test\\.tsx?$' },
      to: { path: '^src/core/double/' },
    },
    {
      name: 'core-is-pure',
      comment: 'The core knows the trade and small pure libraries; no React, no Next, no Node, no SQL.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot:
          'node_modules/(date-fns|@date-fns/tz|@cfworker/json-schema|ical\\.js|jsonc-parser|papaparse)/',
      },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
  },
};
