/**
 * Arrows run down only: web, server, cli -> core. Inside the core each room uses those before it in this list, and so do the
 * rooms of the setout and of the plan among themselves.
 */
const CORE = [
  ...['units', 'geometry', 'tile', 'surface', 'pattern', 'setout', 'cuts', 'takeoff', 'labour', 'zones', 'programme', 'money'],
  ...['madeUp', 'job', 'site', 'plan', 'advice', 'plan.ts', 'compare', 'messages', 'formats', 'samples', 'balance', 'stories'],
];
/** What has no room of its own. */
const FOR_ALL = ['tolerances.ts', 'result.ts', 'issueCodes.ts', 'memory.ts', 'oncePer.ts'];
const SETOUT = ['coursing', 'drift', 'choice', 'place', 'fields', 'edges', 'tally', 'trial', 'search', 'tell', 'lines'];
const PLAN = ['planned.ts', 'prepare', 'groups', 'share', 'layout'];
const ADVICE = ['harm.ts', 'finding.ts', 'rules/surface', 'rules/job', 'registry.ts'];

const TEST = '\\.test\\.ts$';
const inRoom = (room) => (room.endsWith('.ts') ? `${room.replace('.', '\\.')}$` : `${room}/`);

/** What is in a room uses nothing of the rooms after it, by value or by type. */
const oneWayDown = (house, rooms) =>
  rooms.slice(0, -1).map((room, k) => ({
    name: `${house.replaceAll('/', '-')}-${room}-uses-what-is-before-it`,
    severity: 'error',
    from: { path: `^${house}/${inRoom(room)}`, pathNot: TEST },
    to: {
      path: `^${house}/(${rooms
        .slice(k + 1)
        .map(inRoom)
        .join('|')})`,
    },
  }));

/** Whatever lies in a house has its place in the order. */
const allInOrder = (house, rooms) => ({
  name: `${house.replaceAll('/', '-')}-has-no-other-rooms`,
  severity: 'error',
  from: {},
  to: { path: `^${house}/`, pathNot: [TEST, ...rooms.map((room) => `^${house}/${inRoom(room)}`)] },
});

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
        pathNot: 'node_modules/(zod|clipper2-ts|immer|papaparse|@types/papaparse|dxf-parser|fast-xml-parser|svgpath|devalue)/',
      },
    },
    {
      name: 'site-and-papers-speak-every-language',
      severity: 'error',
      from: { path: '^(server/exports|web/steps/site)/', pathNot: TEST },
      to: { path: '^core/messages/(en|de)/' },
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
    ...oneWayDown('core', CORE),
    ...oneWayDown('core/setout', SETOUT),
    ...oneWayDown('core/plan', PLAN),
    ...oneWayDown('core/advice', ADVICE),
    allInOrder('core', [...CORE, ...FOR_ALL]),
    allInOrder('core/setout', SETOUT),
    allInOrder('core/plan', PLAN),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.check.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['azulejo-source', 'import', 'require', 'node', 'default'] },
  },
};
