#!/usr/bin/env node
// npm run service -- install | uninstall | status | print: Wembric starts with the computer and again whenever it ends.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { homedir, userInfo } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { exists } from './setup/commands.mjs'
import { run, say, StopWithWords } from './setup/say.mjs'
import { NAME, unitFor } from './setup/systemd.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const words = process.argv.slice(2)
const todo = words.find(word => !word.startsWith('--'))
/** For the whole computer, by root; or for this account alone. */
const system = words.includes('--system') || process.getuid?.() === 0
const user = words.find(word => word.startsWith('--user='))?.slice(7) ?? process.env.SUDO_USER ?? userInfo().username
const folder = system ? '/etc/systemd/system' : join(homedir(), '.config/systemd/user')
const file = join(process.env.WEMBRIC_UNITS ?? folder, NAME)
const unit = () =>
  unitFor({
    root,
    node: process.execPath,
    data: resolve(root, process.env.WEMBRIC_DATA ?? '.data'),
    env: process.env,
    lan: words.includes('--lan'),
    user: system ? user : null,
  })

const systemctl = (...args) => {
  const all = system ? args : ['--user', ...args]
  const { status } = spawnSync('systemctl', all, { stdio: 'inherit' })
  if (status !== 0) throw new StopWithWords(`“systemctl ${all.join(' ')}” failed. What it said stands above.`)
}
/** Whether systemd runs this computer. */
const isRun = () => existsSync('/run/systemd/system') && exists('systemctl')

const ERRANDS = {
  print: () => process.stdout.write(unit()),
  install() {
    mkdirSync(dirname(file), { recursive: true })
    // passwords may be among its settings: for its owner's eyes alone, also where it was there before
    rmSync(file, { force: true })
    writeFileSync(file, unit(), { mode: 0o600 })
    if (!isRun())
      throw new StopWithWords(
        `systemd does not run this computer. The unit lies in ${file}, but nothing starts it. Let what starts your programs run this line, for example with “@reboot” in crontab -e:\n\n  cd ${root} && WEMBRIC_LOG=json npm start >> wembric.log 2>&1`,
      )
    systemctl('daemon-reload')
    systemctl('enable', '--now', NAME)
    if (!system) spawnSync('loginctl', ['enable-linger', user], { stdio: 'ignore' })
    say(
      `Wembric runs as a service now, and starts with the computer. Its log: journalctl ${system ? '' : '--user '}-u ${NAME} -f`,
    )
  },
  uninstall() {
    if (isRun() && existsSync(file)) systemctl('disable', '--now', NAME)
    rmSync(file, { force: true })
    if (isRun()) systemctl('daemon-reload')
    say('Wembric is no service any more. The data stay where they are.')
  },
  status() {
    if (!isRun()) throw new StopWithWords('systemd does not run this computer: there is no service.')
    spawnSync('systemctl', [...(system ? [] : ['--user']), 'status', '--no-pager', NAME], { stdio: 'inherit' })
  },
}

run(async () => {
  if (!ERRANDS[todo ?? ''])
    throw new StopWithWords(
      'say what to do: npm run service -- install | uninstall | status | print (with --system for the whole computer, --lan for phones in the shop)',
    )
  ERRANDS[todo]()
})
