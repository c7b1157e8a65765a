import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'

const zipped = (file: string): number => gzipSync(readFileSync(file)).length
const kb = (bytes: number): string => `${(bytes / 1024).toFixed(0)} KB`

/**
 * The scripts that a page asks for at its start, as the built files name each other: entry and what it imports, and a
 * page's own.
 */
function loaded(folder: string, isWanted: (text: string) => boolean): number {
  const files = new Map(
    readdirSync(folder)
      .filter(f => f.endsWith('.js'))
      .map(f => [f, readFileSync(join(folder, f), 'utf8')]),
  )
  const seen = new Set<string>()
  const follow = (name: string) => {
    const text = files.get(name)
    if (text === undefined || seen.has(name)) return
    seen.add(name)
    for (const [, to] of text.matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)) follow(to!)
  }
  for (const [name, text] of files) if (isWanted(text)) follow(name)
  return [...seen].reduce((sum, name) => sum + zipped(join(folder, name)), 0)
}

/** JavaScript of the Bench page, gzipped, against an empty page of the same stack built beside it. */
export function benchPageSize(): void {
  const root = process.cwd()
  const empty = mkdtempSync(join(tmpdir(), 'wembric-empty-'))
  try {
    mkdirSync(join(empty, 'app/pages'), { recursive: true })
    for (const name of ['nuxt.config.ts', 'package.json', 'tsconfig.json', 'app/theme', 'app/assets', 'public'])
      cpSync(join(root, name), join(empty, name), { recursive: true })
    symlinkSync(join(root, 'node_modules'), join(empty, 'node_modules'))
    writeFileSync(join(empty, 'app/app.vue'), '<template><NuxtPage /></template>\n')
    writeFileSync(join(empty, 'app/pages/index.vue'), '<template><main>empty-page-mark</main></template>\n')
    execFileSync('npx', ['nuxt', 'build', '--logLevel', 'silent'], {
      cwd: empty,
      stdio: 'ignore',
      env: { ...process.env, NODE_ENV: 'production' },
    })
    const entry = (text: string) =>
      text.includes('createSSRApp') || /\bmount\(["']#__nuxt/.test(text) || text.includes('__nuxt')
    const bench = loaded(
      join(root, '.output/public/_nuxt'),
      text => entry(text) || text.includes('This job cannot be shown'),
    )
    const bare = loaded(join(empty, '.output/public/_nuxt'), text => entry(text) || text.includes('empty-page-mark'))
    console.warn(
      `JavaScript of the Bench page, gzipped: ${kb(bench)}; of an empty page of the same stack: ${kb(bare)}; ratio ${(bench / bare).toFixed(2)}`,
    )
  } catch (error) {
    console.warn(`The empty page could not be built: ${(error as Error).message.slice(0, 200)}`)
  } finally {
    rmSync(empty, { recursive: true, force: true })
  }
}
