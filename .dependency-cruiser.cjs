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
/** Folders of the web application likewise. */
const WEB_FLOORS = [
  ['api', 'edits', 'parts'],
  ['door', 'keeping', 'lists'],
  ['editor'],
  ['charts', 'planning', 'sheet'],
  ['frame', 'ledger', 'readings', 'space'],
  ['handles', 'instruments', 'shop'],
  ['files'],
  ['stations'],
  ['shell', 'workshop'],
];
const floorRules = (name, root, floors) => {
  const on = (folders) => `^${root}/(${folders.join('|')})/`;
  return floors.slice(0, -1).map((folders, floor) => ({
    name: `${name}-floor-${folders.join('-')}`,
    comment: `A folder uses those below it, and none above; see ${root.replace(/\/src$/, '')}/README.md.`,
    severity: 'error',
    from: { path: on(folders), pathNot: '\\.test\\.ts$' },
    to: { path: on(floors.slice(floor + 1).flat()) },
  }));
};

const never = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    ...floorRules('core', 'packages/core/src', FLOORS),
    ...floorRules('web', 'apps/web/src', WEB_FLOORS),
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
