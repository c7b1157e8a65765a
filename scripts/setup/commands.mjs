import { spawn, spawnSync } from 'node:child_process'
import { StopWithWords } from './say.mjs'

/** Runs a command to its end, its output shown. */
export function command(name, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(name, args, { stdio: 'inherit', ...options })
    child.once('error', reject)
    child.once('exit', code =>
      code === 0 ? resolve() : reject(new StopWithWords(`“${name} ${args.join(' ')}” ended with ${code}.`)),
    )
  })
}

export const exists = name => spawnSync('sh', ['-c', `command -v ${name}`], { stdio: 'ignore' }).status === 0

/** Runs one of our own errands, which says in words what it refuses. */
export async function errand(root, script, env) {
  await command('node', [`${root}/node_modules/tsx/dist/cli.mjs`, `${root}/scripts/${script}`], {
    cwd: root,
    env: { ...process.env, ...env },
  }).catch(() => {
    throw new StopWithWords('')
  })
}
