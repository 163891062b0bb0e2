/** Arrows run down only: web, server, cli -> core; inside the core each folder uses those above it. */
const ORDER = ['units', 'geometry', 'tile', 'surface', 'pattern', 'setout', 'cuts', 'takeoff', 'labour', 'programme', 'money'];

const downward = ORDER.map((folder, k) => ({
  name: `core-${folder}-uses-what-is-above-it`,
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/(${[...ORDER.slice(k + 1), 'planning', 'messages', 'formats'].join('|')})/|^core/(job/|plan\\.ts$)` },
}));

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    { name: 'core-is-pure', severity: 'error', from: { path: '^core/', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    {
      name: 'core-knows-few-packages',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: 'node_modules/',
        pathNot: 'node_modules/(zod|clipper2-ts|immer|papaparse|@types/papaparse|dxf-parser|fast-xml-parser|svgpath)/',
      },
    },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(web|server|cli|e2e)/' } },
    { name: 'web-does-not-reach-the-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|cli)/' } },
    { name: 'server-does-not-reach-the-web', severity: 'error', from: { path: '^(server|cli)/' }, to: { path: '^web/' } },
    {
      name: 'kinds-know-only-numbers',
      severity: 'error',
      from: { path: '^core/(pattern/kinds|surface/shapes|advice/rules)/' },
      to: { path: '^core/messages/' },
    },
    { name: 'nothing-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...downward,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.check.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['azulejo-source', 'import', 'require', 'node', 'default'] },
  },
};
