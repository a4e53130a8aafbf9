import { spawnSync } from 'node:child_process';

const isRoot = process.getuid?.() === 0;

function installed(name) {
  const asked = spawnSync('dpkg-query', ['-W', '-f=${Status}', name], { encoding: 'utf8' });
  return asked.status === 0 && asked.stdout.includes('install ok installed');
}

/**
 * Makes sure that Debian packages are installed, as root or through sudo.
 * @param {string[]} names
 * @param {string} purpose told when something has to be installed
 */
export function ensureDebian(names, purpose) {
  const missing = names.filter((name) => !installed(name));
  if (missing.length === 0) return;
  console.error(`Installing ${missing.join(', ')} (${purpose})…`);
  const run = (args) => {
    const [command, ...rest] = isRoot
      ? ['apt-get', ...args]
      : ['sudo', 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args];
    return spawnSync(command, rest, {
      stdio: ['inherit', 2, 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  run(['update', '-qq']);
  const done = run(['install', '-y', '-qq', '--no-install-recommends', ...missing]);
  if (done.status !== 0) {
    throw new Error(
      `Debian's packages ${missing.join(', ')} could not be installed; install them by hand and try again`,
    );
  }
}
