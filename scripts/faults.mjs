#!/usr/bin/env node
// npm run faults: injects faults on loopback, bounded, and prints what came of them. docs/reliability.md says what is
// promised.
// -- --answers=10000 --malformed=10000 --rounds=29 --listeners=1000 --seed=1; 0 leaves a part out.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { command } from './setup/commands.mjs'
import { ensurePrograms } from './setup/machine.mjs'
import { ensureBuild, ensurePackages } from './setup/packages.mjs'
import { run, say } from './setup/say.mjs'
import { demoTemplate, withServers } from './setup/test-servers.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const given = (name, other) => Number(process.argv.find(a => a.startsWith(`--${name}=`))?.split('=')[1] ?? other)
/** Seven kinds of browser fault a round. */
const rounds = given('rounds', 29)

run(async () => {
  await ensurePrograms(['mariadbd', 'mariadb-install-db', 'chromium-headless-shell'])
  await ensurePackages(root)
  await ensureBuild(root)
  const template = await demoTemplate(root)
  const scratch = mkdtempSync(join(tmpdir(), 'wembric-faults-'))
  try {
    await withServers(root, template.data, 1, ([server]) =>
      command('npx', ['tsx', 'scripts/faults/index.ts'], {
        cwd: root,
        env: {
          ...process.env,
          ...server.env,
          WEMBRIC_FAULTS: JSON.stringify({
            data: join(scratch, 'data'),
            answers: given('answers', 10_000),
            malformed: given('malformed', 10_000),
            listeners: given('listeners', 1000),
            seed: given('seed', 1),
          }),
        },
      }),
    )
    if (rounds === 0) return
    say(`${rounds} rounds of browser faults …`)
    await withServers(root, template.data, 2, servers =>
      command('npx', ['playwright', 'test', 'faults', '--project', 'browser', '--reporter', 'line'], {
        cwd: root,
        env: {
          ...process.env,
          WEMBRIC_FAULT_ROUNDS: String(rounds),
          WEMBRIC_TEST_WORKERS: '2',
          WEMBRIC_TEST_SERVERS: JSON.stringify(servers.map(s => s.env)),
        },
      }),
    )
  } finally {
    template.remove()
    rmSync(scratch, { recursive: true, force: true })
  }
})
