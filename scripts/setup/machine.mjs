import { existsSync, statfsSync } from 'node:fs'
import { dirname } from 'node:path'
import { command, exists } from './commands.mjs'
import { say, StopWithWords } from './say.mjs'

const PACKAGES = {
  'mariadbd': 'mariadb-server',
  'mariadb-install-db': 'mariadb-server',
  'rsync': 'rsync',
  'ip': 'iproute2',
  'lsof': 'lsof',
  'mariadb-dump': 'mariadb-client',
  'mariadb': 'mariadb-client',
  'chromium-headless-shell': 'chromium-headless-shell',
  'pdftotext': 'poppler-utils',
  'firefox-esr': 'firefox-esr',
  'WebKitWebDriver': 'webkit2gtk-driver',
  'Xvfb': 'xvfb',
  'soffice': 'libreoffice-calc-nogui',
  'ssconvert': 'gnumeric',
}
const LEAST_FREE_BYTES = 500e6

/** Sees to it that these programs are there, by the Debian package that has them. */
export async function ensurePrograms(names) {
  const missing = [...new Set(names.filter(name => !exists(name)).map(name => PACKAGES[name]))]
  if (missing.length === 0) return
  const install = `apt-get install -y --no-install-recommends ${missing.join(' ')}`
  if (process.getuid?.() !== 0 || !exists('apt-get'))
    throw new StopWithWords(`${missing.join(' and ')} must be installed first. Type: sudo ${install}`)
  say(`installing ${missing.join(', ')} …`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const quiet = { env, stdio: ['ignore', 'ignore', 'inherit'] }
  await command('apt-get', ['update', '-qq'], quiet)
  await command('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], quiet)
}

/** The folder itself, or the nearest above it that is there. */
const nearest = folder => (existsSync(folder) || dirname(folder) === folder ? folder : nearest(dirname(folder)))

/** Stops with words when there is less room where a folder lies, or will lie, than the database and a build want. */
export function ensureRoom(wanted, leastBytes = LEAST_FREE_BYTES) {
  const folder = nearest(wanted)
  const { bavail, bsize } = statfsSync(folder)
  if (bavail * bsize < leastBytes)
    throw new StopWithWords(
      `only ${Math.round((bavail * bsize) / 1e6)} MB are free at ${folder}; 500 MB are needed. Free some space, then start again.`,
    )
}
