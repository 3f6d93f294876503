/** Arrows point one way: format <- core <- contract, outputs <- server, headless, web. */
/** Folders of the core from the ground up: each uses those before it, none after it. */
const FLOORS = [
  ['units', 'vector', 'numeric', 'memo', 'proximity'],
  ['findings', 'instruments'],
  ['rider'],
  ['stance'],
  ['steering'],
  ['frame'],
  ['joints'],
  ['bends', 'holes', 'plates', 'stock', 'tools'],
  ['cutting'],
  ['solid'],
  ['mass'],
  ['tipping'],
  ['seat'],
  ['clearance'],
  ['fixture'],
  ['checks'],
  ['work'],
  ['log'],
  ['plan'],
  ['start'],
  ['imports'],
];
const core = (folders) => `^packages/core/src/(${folders.join('|')})/`;
const floorRules = FLOORS.slice(0, -1).map((folders, floor) => ({
  name: `core-floor-${folders.join('-')}`,
  comment: 'A folder of the core uses those below it, and none above; see packages/core/README.md.',
  severity: 'error',
  from: { path: core(folders), pathNot: '\\.test\\.ts$' },
  to: { path: core(FLOORS.slice(floor + 1).flat()) },
}));

const never = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    ...floorRules,
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    never('format-knows-nobody', '^packages/format/', '^(apps|packages/(core|contract|outputs))/'),
    never('core-knows-the-format-only', '^packages/core/', '^(apps|packages/(contract|outputs))/'),
    never('contract-knows-core-only', '^packages/contract/', '^(apps|packages/outputs)/'),
    never('outputs-know-core-only', '^packages/outputs/', '^(apps|packages/contract)/'),
    never('server-not-web', '^apps/server/', '^apps/(web|headless)/'),
    never('web-not-server', '^apps/web/', '^apps/(server|headless)/'),
    {
      name: 'core-is-pure',
      comment: 'Format and core compute: no Node, no browser, no framework.',
      severity: 'error',
      from: { path: '^packages/(core|format)/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(node:|fs$|path$)|node_modules/(react|@nestjs|@mikro-orm|express|three|d3)' },
    },
    {
      name: 'only-through-the-face',
      comment: 'Other packages use a package through its index.',
      severity: 'error',
      from: { path: '^(apps|packages)/([^/]+)/' },
      to: { path: '^packages/([^/]+)/src/(?!index\\.ts$)', pathNot: '^packages/$2/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules|dist' },
    exclude: { path: '/dist/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['development', 'import', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
    tsConfig: { fileName: 'tsconfig.base.json' },
  },
};
