/**
 * Writes public/sw.js: the service worker with the list of all that it keeps. Run after `next build`, whose files
 * it lists.
 */
import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';

/** All files below a folder, as paths from it. */
const filesBelow = (folder, at = '') =>
  readdirSync(join(folder, at), { withFileTypes: true }).flatMap((entry) => {
    const path = at ? `${at}/${entry.name}` : entry.name;
    return entry.isDirectory() ? filesBelow(folder, path) : [path];
  });

/** Folders of app with a page of their own: the rooms. */
export const pages = () =>
  readdirSync('app')
    .filter((name) => statSync(join('app', name)).isDirectory())
    .filter((name) => readdirSync(join('app', name)).includes('page.tsx'))
    .map((name) => `/${name}`);

/** Pictures, the manifest and the schemas, which the program serves by name. */
const NAMED = [
  '/icon.svg',
  '/manifest.webmanifest',
  '/schema/workspace.json',
  '/schema/rig.json',
  '/schema/lens.json',
];

/** Version of the records, as the program states it. */
function recordsVersion() {
  const [, version] =
    /RECORDS_VERSION = (\d+)/.exec(readFileSync('src/core/kit/records/version.ts', 'utf8')) ?? [];
  if (!version) throw new Error('the version of the records is not told');
  return Number(version);
}

/** The bundler lists a worker's source beside its code; only the code is ever asked for. */
const isAsked = (path) => !path.endsWith('.ts') && !path.endsWith('.map');

export async function writeServiceWorker() {
  const built = filesBelow('.next/static').filter(isAsked).sort();
  const shown = filesBelow('public').filter((path) => path !== 'sw.js');
  const digest = createHash('sha256').update(readFileSync('.next/BUILD_ID'));
  for (const path of built) digest.update(path).update(readFileSync(join('.next/static', path)));
  const buildId = readFileSync('.next/BUILD_ID', 'utf8').trim();
  const kept = {
    builtAt: Math.round(statSync('.next/BUILD_ID').mtimeMs),
    records: recordsVersion(),
    ownFile: `/_next/static/${encodeURI(buildId)}/_buildManifest.js`,
    version: digest.digest('hex').slice(0, 16),
    pages: pages(),
    files: [
      ...built.map((path) => `/_next/static/${encodeURI(path)}`),
      ...shown.map((path) => `/${path}`),
      ...NAMED,
    ],
    first: '/bench',
  };
  mkdirSync('public', { recursive: true });
  await build({
    entryPoints: ['src/offline/serviceWorker.ts'],
    outfile: 'public/sw.js',
    bundle: true,
    minify: true,
    legalComments: 'none',
    target: 'es2022',
    define: { KEPT: JSON.stringify(kept) },
  });
}
