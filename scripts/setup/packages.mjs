import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { command } from './commands.mjs'
import { say } from './say.mjs'

/** Of names below the root and contents: a moved or copied folder is the same. */
const digest = (root, files) =>
  files
    .reduce((hash, file) => hash.update(relative(root, file)).update(readFileSync(file)), createHash('sha256'))
    .digest('hex')
const readOr = (file, other) => (existsSync(file) ? readFileSync(file, 'utf8') : other)

function filesUnder(path) {
  if (!existsSync(path)) return []
  if (!statSync(path).isDirectory()) return [path]
  return readdirSync(path)
    .sort()
    .flatMap(name => filesUnder(join(path, name)))
}

/** Installs the packages of the lockfile, unless these very ones are there. */
export async function ensurePackages(root) {
  const wanted = digest(root, [join(root, 'package-lock.json')])
  const note = join(root, 'node_modules/.wembric-lock')
  if (readOr(note, '') === wanted) return
  say('installing packages …')
  await command('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root })
  writeFileSync(note, wanted)
}

const SOURCES = [
  'core',
  'words',
  'shared',
  'server',
  'app',
  'public',
  'nuxt.config.ts',
  'scripts/setup/chunks.ts',
  'package-lock.json',
]

/** Builds the application, unless it was built from these very sources. */
export async function ensureBuild(root) {
  const wanted = digest(
    root,
    SOURCES.flatMap(source => filesUnder(join(root, source))).filter(file => !file.endsWith('.test.ts')),
  )
  const note = join(root, '.output/wembric-sources')
  if (readOr(note, '') === wanted) return
  say('building (about a minute) …')
  await command('npx', ['nuxt', 'build', '--logLevel', 'silent'], {
    cwd: root,
    env: { ...process.env, NODE_ENV: 'production', NUXT_TELEMETRY_DISABLED: '1' },
  })
  writeFileSync(note, wanted)
}
