#!/usr/bin/env node
// npm test: from a fresh clone to every check, on two processors at once. Stops at the first that fails.
// --only=browser and the like run one part; what follows -- goes to its program.
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { runLanes } from './setup/lanes.mjs'
import { ensurePrograms, ensureRoom } from './setup/machine.mjs'
import { ensureBuild, ensurePackages } from './setup/packages.mjs'
import { run, say, StopWithWords } from './setup/say.mjs'
import { demoTemplate, withServers } from './setup/test-servers.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const only = process.argv.find(a => a.startsWith('--only='))?.slice(7)
/** Not a check of the product: pictures of its views, or what its work costs a hand. */
const apart = ['screenshots', 'effort'].find(name => process.argv.includes(`--${name}`))
const more = process.argv.includes('--') ? process.argv.slice(process.argv.indexOf('--') + 1) : []
/** One more than processors: a browser waits half of its time. */
const BROWSERS = 3
/** A test of the server waits for one, for programs, for patience: two files at once, each at a server of its own. */
const SERVERS = 2

const bin = (name, ...args) => ['node', [join(root, 'node_modules', ...name.split('/')), ...args]]
const eslint = [
  'eslint/bin/eslint.js',
  '.',
  '--max-warnings',
  '0',
  '--cache',
  '--cache-location',
  'node_modules/.cache/eslint/',
]
const vitest = (...projects) =>
  bin('vitest/vitest.mjs', 'run', ...projects.flatMap(project => ['--project', project]), ...more)

/** The built application, made once: whoever needs it first begins, the other lane waits. */
let building = null
const built = () => (building ??= ensureBuild(root))
let template = null
const demo = async () => {
  await built()
  return (await (template ??= demoTemplate(root))).data
}
/** Each worker finds its own server by its number. */
const inTurn = servers => ({
  WEMBRIC_TEST_SERVERS: JSON.stringify(servers.map(s => ({ ...s.env, WEMBRIC_TEST_DATA: s.data }))),
})

const browser = project => async exec => {
  const given = await demo()
  await withServers(root, given, project === 'browser' ? BROWSERS : 1, servers =>
    exec(...bin('@playwright/test/cli.js', 'test', ...more, '--project', project), {
      ...inTurn(servers),
      WEMBRIC_TEST_WORKERS: String(servers.length),
      WEMBRIC_TEST_TEMPLATE: given,
    }),
  )
}

const PARTS = {
  'format': exec => exec(...bin('prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '--cache', '.')),
  'lint': exec => exec(...bin(...eslint)),
  'types': async exec => {
    for (const project of [
      'core',
      'tests',
      '.nuxt/tsconfig.server.json',
      '.nuxt/tsconfig.shared.json',
      '.nuxt/tsconfig.node.json',
    ])
      await exec(...bin('typescript-native/bin/tsc', '-p', project, '--noEmit'))
    // the application’s types, and what its templates print
    await exec('node', [join(root, 'scripts/types-of-templates.mjs')])
  },
  'imports': exec =>
    exec(
      ...bin(
        'dependency-cruiser/bin/dependency-cruise.mjs',
        ...['--config', '.dependency-cruiser.cjs', 'core', 'shared', 'server', 'app'],
      ),
    ),
  'sizes': async exec => {
    await built()
    await exec('node', [join(root, 'scripts/sizes.mjs')])
  },
  'dead-code': exec => exec(...bin('knip/bin/knip.js')),
  'core': exec => exec(...vitest('core', 'app')),
  'build': () => built(),
  'server': async exec => {
    const given = await demo()
    await withServers(root, given, SERVERS, servers =>
      exec(...vitest('server'), { ...inTurn(servers), WEMBRIC_TEST_TEMPLATE: given }),
    )
  },
  // the main job in two other browser engines
  'engines': async exec => withServers(root, await demo(), 1, ([server]) => exec(...vitest('engines'), server.env)),
  'browser': browser('browser'),
}
const part = name => ({ name, work: PARTS[name] })

/**
 * Whichever lane is through first takes the last part of the other. The server's tests wait for programs most of their
 * time: they go beside the browsers, and what keeps two processors busy by itself comes last.
 */
const LANES = [
  ['build', 'browser'],
  ['format', 'lint', 'types', 'imports', 'sizes', 'dead-code', 'server', 'core', 'engines'],
]
const lanes = () => {
  if (apart) return [[part('build'), { name: apart, work: browser(apart) }]]
  if (!only) return LANES.map(lane => lane.map(part))
  return [[...(['server', 'engines', 'browser'].includes(only) ? ['build'] : []), only].map(part)]
}

run(async () => {
  if (only && !PARTS[only])
    throw new StopWithWords(
      `--only=${only} is not a part of the tests. Choose one of: ${Object.keys(PARTS).join(', ')}.`,
    )
  const from = Date.now()
  // ended from outside, the servers under test end too
  const end = new AbortController()
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => end.abort())
  ensureRoom(root)
  await ensurePrograms([
    'mariadbd',
    'mariadb-install-db',
    'chromium-headless-shell',
    'pdftotext',
    'firefox-esr',
    'WebKitWebDriver',
    'Xvfb',
    'soffice',
    'ssconvert',
  ])
  await ensurePackages(root)
  try {
    await runLanes(
      [[{ name: 'prepare', work: exec => exec(...bin('nuxt/bin/nuxt.mjs', 'prepare', '--logLevel', 'silent')) }]],
      {
        cwd: root,
        env: { NUXT_TELEMETRY_DISABLED: '1' },
        ended: end.signal,
      },
    )
    const count = await runLanes(lanes(), { cwd: root, env: { NUXT_TELEMETRY_DISABLED: '1' }, ended: end.signal })
    if (end.signal.aborted) throw new StopWithWords('ended from outside.')
    say(`${count} parts passed, ${Math.round((Date.now() - from) / 1000)} s in all`)
  } finally {
    ;(await template?.catch(() => null))?.remove()
  }
})
