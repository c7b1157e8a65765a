import { spawn, spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { StopWithWords } from './say.mjs'

/** Waits for a program to end well. */
const ended = (child, called) =>
  new Promise((resolve, reject) => {
    child.once('error', reject)
    child.once('exit', code => (code === 0 ? resolve() : reject(new StopWithWords(`“${called}” ended with ${code}.`))))
  })

/** Runs a command to its end, its output shown. */
export const command = (name, args, options = {}) =>
  ended(spawn(name, args, { stdio: 'inherit', ...options }), `${name} ${args.join(' ')}`)

export const exists = name => spawnSync('sh', ['-c', `command -v ${name}`], { stdio: 'ignore' }).status === 0

/**
 * Runs one of our own errands, which says in words what it refuses. It is bundled first: four hundred files, each
 * translated and opened by itself, take twice as long. Nothing is written: whoever may read these files may run them.
 */
export async function errand(root, script, env) {
  const { build } = await import('esbuild')
  const { outputFiles } = await build({
    entryPoints: [join(root, 'scripts', script)],
    write: false,
    outdir: root,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    sourcemap: 'inline',
    logLevel: 'error',
  })
  const child = spawn(process.execPath, ['--enable-source-maps', '--input-type=module', '-'], {
    cwd: root,
    stdio: ['pipe', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  })
  // one that ended before it was told all is told about by its exit
  child.stdin.on('error', () => {})
  child.stdin.end(outputFiles[0].text)
  await ended(child, script).catch(() => {
    throw new StopWithWords('')
  })
}
