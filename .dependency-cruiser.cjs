/*
 * The house, from the ground up. A folder may use those named beside it and nothing else of ours; whatever
 * it names stands above it in this list, so that arrows run downward only. See CONTRIBUTING.md.
 */
const GROUND = ['core/maths', 'core/optics', 'core/words'];
const KIT = [
  'core/kit/records',
  'core/kit/fields',
  'core/kit/checks',
  'core/kit',
  'core/kit/starter',
];
const HALO = ['core/halo', 'core/frame'];
const RIG = [
  'core/rig/train',
  'core/rig',
  'core/rig/judged',
  'core/rig/report',
  'core/rig/readings',
  'core/rig/search',
];
const MEASURE = ['core/measure/file', 'core/measure/light', 'core/measure/fit', 'core/measure'];
const CARD = ['core/card', 'core/card/paper'];
const EXCHANGE = ['json', 'csv', 'lensfun', 'framing-list', 'links'].map(
  (format) => `core/exchange/${format}`,
);
const CORE = [
  ...GROUND,
  ...KIT,
  ...HALO,
  ...RIG,
  'core/sweep',
  'core/choose',
  'core/converters',
  'core/framing',
  'core/guides',
  ...CARD,
  ...MEASURE,
  'core/bench-camera',
  'core/correction',
  ...EXCHANGE,
  'core/demo',
];

/** Folders of one list, each with what all of them may use and those of the list before it. */
const upward = (folders, mayUse) =>
  folders.map((name, i) => [name, [...mayUse, ...folders.slice(0, i)]]);
const BELOW_RIG = [...GROUND, ...KIT, ...HALO];
const BELOW_ROOMS = [...BELOW_RIG, ...RIG];

const HOUSE = [
  ['core/maths', []],
  ['core/optics', ['core/maths']],
  ['core/words', ['core/maths', 'core/optics']],
  ...upward(KIT, GROUND),
  ...upward(HALO, [...GROUND, ...KIT]),
  ...upward(RIG, BELOW_RIG),
  ['core/sweep', BELOW_ROOMS],
  ['core/choose', [...BELOW_ROOMS, 'core/sweep']],
  ['core/converters', [...BELOW_ROOMS, 'core/sweep']],
  ['core/framing', BELOW_ROOMS],
  ['core/guides', BELOW_ROOMS],
  ...upward(CARD, [...BELOW_ROOMS, 'core/sweep']),

  // Measuring knows no rig and not the camera it is tried on.
  ['core/measure/file', GROUND],
  ['core/measure/light', [...GROUND, 'core/measure/file']],
  ['core/measure/fit', [...GROUND, 'core/halo', 'core/measure/file', 'core/measure/light']],
  [
    'core/measure',
    [...GROUND, ...KIT, 'core/halo', 'core/measure/file', 'core/measure/light', 'core/measure/fit'],
  ],
  // The simulated camera shares no formula with the fit or the halo: it can try them.
  ['core/bench-camera', [...GROUND, ...KIT, 'core/measure/file']],
  ['core/correction', [...BELOW_ROOMS, ...MEASURE]],
  ...upward(EXCHANGE, [...BELOW_ROOMS, 'core/sweep', 'core/framing', 'core/guides', ...CARD]),
  // The demo is data.
  ['core/demo', [...GROUND, ...KIT]],

  // What only Node can do stays out of the browser.
  ['node', CORE],
  // Doors to the core for heavy work.
  ['workers', CORE],
  // The service worker stands for itself.
  ['offline', []],
  ['store', [...CORE, 'workers']],
  ['ui', CORE],
  ['gear', [...CORE, 'store', 'ui']],
  ['shell', [...CORE, 'workers', 'offline', 'store', 'ui', 'gear']],
  ['rooms', [...CORE, 'workers', 'store', 'ui', 'gear', 'shell']],
  ['cli', [...CORE, 'node']],
  ['api', [...CORE, 'node']],
];

const PATHS = new Map(
  HOUSE.map(([name]) => {
    // Folders inside it that the list does not name are rooms of its own.
    const inner = HOUSE.flatMap(([other]) =>
      other.startsWith(`${name}/`) ? [other.slice(name.length + 1).split('/')[0]] : [],
    );
    return [name, inner.length > 0 ? `^src/${name}/(?!(${inner.join('|')})/)` : `^src/${name}/`];
  }),
);
const OURS = '^(src|app|tests|scripts)/';

const rules = HOUSE.map(([name, mayUse], i) => {
  const below = HOUSE.slice(0, i).map(([lower]) => lower);
  for (const used of mayUse)
    if (!below.includes(used)) throw new Error(`${name} may not use ${used}: it is not below it`);
  return {
    name: `${name.replaceAll('/', '-')}-uses-what-is-below`,
    severity: 'error',
    comment: `src/${name} may use ${mayUse.join(', ') || 'nothing else of ours'}`,
    // Tests may reach for the demo and for the tests' own helpers.
    from: { path: PATHS.get(name), pathNot: '\\.test\\.tsx?$' },
    to: { path: OURS, pathNot: [name, ...mayUse].map((used) => PATHS.get(used)).join('|') },
  };
});

const INTERFACE =
  '^(react|react-dom|next|dexie|dexie-react-hooks|styled-components|recharts|comlink|zustand|react-aria-components|lucide-react)$';

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...rules,
    {
      name: 'every-file-has-its-place',
      severity: 'error',
      comment: 'a folder of src that is not in the list above',
      from: { path: '^src/', pathNot: [...PATHS.values()].join('|') },
      to: {},
    },
    ...CORE.map((name) => ({
      name: `${name.replaceAll('/', '-')}-has-one-face`,
      severity: 'error',
      comment: `others may use of src/${name} what its index names; generated files stand for themselves`,
      from: { path: '^(src|app)/', pathNot: PATHS.get(name) },
      to: { path: PATHS.get(name), pathNot: `^src/${name}/(index\\.ts$|generated/)` },
    })),
    {
      name: 'core-has-no-interface',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: `node_modules/(${INTERFACE.slice(2, -2)})/` },
    },
    {
      name: 'rooms-do-not-reach-into-rooms',
      severity: 'error',
      from: { path: '^src/rooms/([^/]+)/' },
      to: { path: '^src/rooms/([^/]+)/', pathNot: '^src/rooms/$1/' },
    },
    {
      name: 'routes-hold-no-logic',
      severity: 'error',
      comment: 'app opens rooms, answers by api, and dresses the page',
      from: { path: '^app/' },
      to: { path: '^src/', pathNot: '^src/(rooms|shell|ui|api)/|^src/core/kit/records/index' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.next/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
