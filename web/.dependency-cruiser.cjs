/** The shape of the front end, held by the build. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'features-by-their-index',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/', pathNot: ['^src/features/$1/', '^src/features/[^/]+/index\\.ts$'] },
    },
    {
      name: 'app-uses-features-by-their-index',
      severity: 'error',
      from: { path: '^src/(app|realtime)/' },
      to: { path: '^src/features/', pathNot: '^src/features/[^/]+/index\\.ts$' },
    },
    {
      name: 'shared-knows-no-feature',
      severity: 'error',
      from: { path: '^src/(shared|theme)/' },
      to: { path: '^src/(features|app|realtime)/' },
    },
    {
      name: 'models-only-think',
      severity: 'error',
      from: { path: '/model/' },
      to: { path: 'node_modules/(react|@mui|@tanstack)|shared/api/(client|queries)' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
  },
};
