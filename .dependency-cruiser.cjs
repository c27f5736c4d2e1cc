/* The house: arrows run downward only. See CONTRIBUTING.md. */
const layer = (name, from, forbidden, comment) => ({
  name,
  severity: 'error',
  comment,
  // Tests may reach for the demo and for the tests' own helpers.
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: forbidden },
});

const INTERFACE =
  '^(react|react-dom|next|dexie|dexie-react-hooks|styled-components|recharts|comlink|zustand|react-aria-components|lucide-react)$';

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
    layer(
      'core-stands-alone',
      '^src/core/',
      '^(app|src/(rooms|shell|ui|store|workers|cli|api)|tests)/',
      'core knows nothing above it',
    ),
    {
      name: 'core-has-no-interface',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: `node_modules/(${INTERFACE.slice(2, -2)})/` },
    },
    layer(
      'ui-knows-no-room',
      '^src/ui/',
      '^(app|src/(rooms|shell|cli|api))/',
      'controls serve rooms, not the other way round',
    ),
    layer(
      'store-knows-no-screen',
      '^src/store/',
      '^(app|src/(rooms|shell|ui|cli|api))/',
      'the store has no screens',
    ),
    layer(
      'workers-are-doors',
      '^src/workers/',
      '^(app|src/(rooms|shell|ui|store|cli|api))/',
      'workers open on core alone',
    ),
    layer(
      'cli-and-api-use-core',
      '^src/(cli|api)/',
      '^(app|src/(rooms|shell|ui|store))/',
      'command line and API call core',
    ),
    layer(
      'node-serves-cli-and-api',
      '^src/(core|ui|store|shell|rooms|workers)/',
      '^src/node/',
      'what only Node can do stays out of the browser',
    ),
    layer(
      'shell-knows-no-room',
      '^src/shell/',
      '^(app|src/(rooms|cli|api))/',
      'what every room shares knows none of them',
    ),
    layer('rooms-know-no-route', '^src/rooms/', '^(app|src/(cli|api))/', 'routes open rooms'),
    {
      name: 'rooms-do-not-reach-into-rooms',
      severity: 'error',
      from: { path: '^src/rooms/([^/]+)/' },
      to: { path: '^src/rooms/([^/]+)/', pathNot: '^src/rooms/$1/' },
    },
    // Inside core: exchange, demo, sweep, choose > rig > frame > halo > kit > optics.
    layer(
      'optics-at-the-bottom',
      '^src/core/optics/',
      '^src/core/(kit|halo|frame|rig|exchange|demo)/',
      '',
    ),
    layer(
      'kit-above-optics',
      '^src/core/kit/',
      '^src/core/(halo|frame|rig|sweep|choose|exchange|demo)/',
      '',
    ),
    layer(
      'halo-above-kit',
      '^src/core/halo/',
      '^src/core/(frame|rig|sweep|choose|exchange|demo)/',
      '',
    ),
    layer(
      'frame-above-halo',
      '^src/core/frame/',
      '^src/core/(rig|sweep|choose|exchange|demo)/',
      '',
    ),
    layer('rig-above-frame', '^src/core/rig/', '^src/core/(sweep|choose|exchange|demo)/', ''),
    layer(
      'measure-above-halo',
      '^src/core/measure/',
      '^src/core/(frame|rig|sweep|choose|exchange|demo|bench-camera)/',
      'measuring does not know the camera it is tried on',
    ),
    layer(
      'the-camera-shares-no-formula',
      '^src/core/bench-camera/',
      '^src/core/(halo|frame|rig|sweep|choose|exchange|demo)/',
      'the simulated camera knows pixels and kit alone',
    ),
    layer('demo-is-data', '^src/core/demo/', '^src/core/(exchange|sweep|choose|rig|frame)/', ''),
    layer('exchange-knows-no-demo', '^src/core/exchange/', '^src/core/demo/', ''),
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
