/** Imports run one way: app → ui → core, app → server → core, workers → core, devices → core. */
const only = (from, allowed) => ({
  name: `${from}-imports`,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: `^src/(${[from, ...allowed].join('|')})/` },
});

export default {
  forbidden: [
    only('core', []),
    only('ui', ['core']),
    only('server', ['core', 'workers']),
    only('workers', ['core']),
    only('devices', ['core']),
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
