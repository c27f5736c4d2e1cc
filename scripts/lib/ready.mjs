/** Makes a fresh machine ready: packages, what the tests need from Debian, the built program. */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bin, must, run } from './run.mjs';

const LOCK = 'package-lock.json';
const INSTALLED = 'node_modules/.wandering-halo-lock';

const digest = (text) => createHash('sha256').update(text).digest('hex');

/** Installs the packages of the lock file, unless they already are. */
export async function readyPackages() {
  const wanted = digest(readFileSync(LOCK));
  if (existsSync(INSTALLED) && readFileSync(INSTALLED, 'utf8') === wanted) return;
  console.log('Installing packages…');
  await must('Installing packages', 'npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    quiet: true,
  });
  writeFileSync(INSTALLED, wanted);
}

const DEBIAN = [
  { file: '/usr/bin/chromium', name: 'chromium' },
  { file: '/usr/bin/chromedriver', name: 'chromium-driver' },
  { file: '/usr/bin/exiftool', name: 'libimage-exiftool-perl' },
  { file: '/usr/share/lensfun/version_1', name: 'liblensfun-data-v1' },
  { file: '/usr/include/lensfun/lensfun.h', name: 'liblensfun-dev' },
  { file: '/usr/bin/gcc', name: 'gcc' },
  { file: '/usr/include/stdio.h', name: 'libc6-dev' },
  { file: '/usr/bin/pdftotext', name: 'poppler-utils' },
];

/** Installs what the tests need from Debian, where it is absent and allowed. */
export async function readyDebian() {
  const missing = DEBIAN.filter(({ file }) => !existsSync(file)).map(({ name }) => name);
  if (missing.length === 0) return;
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  console.log(`Installing ${missing.join(', ')}…`);
  const apt = (args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return run(command, rest, { quiet: true, env: { DEBIAN_FRONTEND: 'noninteractive' } });
  };
  await apt(['update']);
  const { code } = await apt(['install', '-y', '--no-install-recommends', ...missing]);
  if (code !== 0) {
    console.error(`The tests need the Debian packages ${missing.join(', ')}; please install them.`);
    process.exit(1);
  }
}

const SOURCES = [
  'app',
  'src',
  'public',
  'proxy.ts',
  'next.config.ts',
  'tsconfig.json',
  'scripts/lib/offline.mjs',
  LOCK,
];
const BUILT = '.next/wandering-halo-sources';
/** Written with the build, from what it holds. */
const SERVICE_WORKER = 'public/sw.js';

function files(path) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => files(join(path, name)));
}

function sourcesDigest() {
  const hash = createHash('sha256');
  for (const file of SOURCES.flatMap(files)) {
    if (!/\.test\.tsx?$/.test(file) && file !== SERVICE_WORKER)
      hash.update(file).update(readFileSync(file));
  }
  return hash.digest('hex');
}

/** Builds the program, unless it is built from just these sources. */
export async function readyBuild() {
  const wanted = sourcesDigest();
  const isBuilt = existsSync(BUILT) && readFileSync(BUILT, 'utf8') === wanted;
  if (isBuilt && existsSync(SERVICE_WORKER)) return;
  console.log('Building the program…');
  await must('The build', bin('next'), ['build'], { quiet: true });
  // It bundles with a package, which a fresh machine has by now.
  const { writeServiceWorker } = await import('./offline.mjs');
  await writeServiceWorker();
  writeFileSync(BUILT, wanted);
}
