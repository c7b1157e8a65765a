#!/usr/bin/env node
// The types of the application, and of what its templates print: no tool checks the latter, and a fact that nobody told
// would stand on the screen as it is, and so would a choice by its name in the code ('abandoned'). In a copy of the tree
// each {{ … }} goes through a function that takes words and figures alone, and no names of choices but
// units. Lines stay the same, so that a message points at the right one.
import { spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const copy = mkdtempSync(join(tmpdir(), 'wembric-types-'))
const LEFT_OUT = new Set(['.git', '.data', '.output', 'node_modules', 'test-results', 'docs'])
const files = folder =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter(e => e.isFile())
    .map(e => join(e.parentPath, e.name))

try {
  for (const name of readdirSync(root))
    if (!LEFT_OUT.has(name)) cpSync(join(root, name), join(copy, name), { recursive: true })
  symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'))
  for (const file of files(join(copy, '.nuxt')).filter(f => f.endsWith('.json')))
    writeFileSync(file, readFileSync(file, 'utf8').replaceAll(root, copy))
  for (const file of files(join(copy, 'app')).filter(f => f.endsWith('.vue'))) {
    const text = readFileSync(file, 'utf8')
    const [from, to] = [text.indexOf('<template>'), text.lastIndexOf('</template>')]
    if (from < 0) continue
    const shown = text.slice(from, to).replaceAll(/\{\{([^]*?)\}\}/g, '{{ $shown($1) }}')
    writeFileSync(file, text.slice(0, from) + shown + text.slice(to))
  }
  writeFileSync(
    join(copy, 'app/shown.d.ts'),
    `/** Names of choices that are the same in every language. */
type Sign = '' | '+' | '−' | '✓' | ' mm' | ' thou' | ' N' | '0 thou' | \`/\${string}\`
type Unit = 'mm' | 'thou' | 'in' | 'km' | 'h' | 'N·m' | 'lbf·in' | 'lbf·ft' | 'English' | 'Español'
type Plain<T> = T extends string ? (string extends T ? T : never) : T extends number | null | undefined ? T : never
type Words<T> = T extends Unit | Sign ? T : Plain<T>
declare module 'vue' {
  interface ComponentCustomProperties {
    $shown: <T>(value: T & Words<T>) => string
  }
}
export {}
`,
  )
  const { status } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/vue-tsc/bin/vue-tsc.js'), '-p', '.nuxt/tsconfig.app.json', '--noEmit'],
    {
      cwd: copy,
      stdio: 'inherit',
    },
  )
  process.exitCode = status ?? 1
} finally {
  rmSync(copy, { recursive: true, force: true })
}
