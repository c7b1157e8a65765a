#!/usr/bin/env node
// Part of npm test: the largest files, the longest lines, the words of each language and what a browser fetches for
// the Bench, so that none grows unseen.
import { execFileSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import { buildSync } from 'esbuild'

/** No file of the product is longer; lowered when the longest is split. */
const MOST_LINES = 370
/** Sentences, addresses and patterns may be longer than a line: not more than there are; lowered when some go. */
const MOST_COLUMNS = 120
const MOST_WIDE = 57
const SHOWN = 5
/** What a browser fetches for a language, gzipped. */
const MOST_WORDS_KB = 47
/** What it may fetch until the Bench asks its first question, its worker among it: gzipped, and in so many requests. */
const MOST_BENCH_KB = 350
const MOST_BENCH_FILES = 15

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const files = execFileSync('git', ['-C', root, 'ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' })
  .split('\n')
  .filter(name => /^(core|shared|server|app|evaluation)\/.*\.(ts|vue|css)$/.test(name) && !name.endsWith('.test.ts'))
  .map(name => ({ name, lines: readFileSync(join(root, name), 'utf8').split('\n') }))
const bySize = files.sort((a, b) => b.lines.length - a.lines.length)
const longest = files
  .flatMap(({ name, lines }) => lines.map((line, i) => ({ at: `${name}:${i + 1}`, length: line.length })))
  .sort((a, b) => b.length - a.length)

console.log(
  `Largest files: ${bySize
    .slice(0, SHOWN)
    .map(f => `${f.name} ${f.lines.length}`)
    .join(', ')}`,
)
console.log(
  `Longest lines: ${longest
    .slice(0, SHOWN)
    .map(l => `${l.at} ${l.length}`)
    .join(', ')}`,
)
const wide = longest.filter(l => l.length > MOST_COLUMNS)
console.log(`Lines over ${MOST_COLUMNS} columns, sentences and addresses: ${wide.length}`)
if (wide.length > MOST_WIDE) {
  console.error(`More than ${MOST_WIDE} lines over ${MOST_COLUMNS} columns. Break what is no sentence.`)
  process.exitCode = 1
}
const over = bySize.filter(f => f.lines.length > MOST_LINES)
if (over.length) {
  console.error(`Over ${MOST_LINES} lines: ${over.map(f => f.name).join(', ')}. Split them by concept.`)
  process.exitCode = 1
}

/** The sentences of a language alone: what they are about is fetched with the pages. */
const wordsKb = language => {
  const { outputFiles } = buildSync({
    entryPoints: [join(root, `words/${language}/groups/everywhere.ts`)],
    bundle: true,
    minify: true,
    format: 'esm',
    write: false,
    external: ['../../core/*', '../../../core/*', '../../../../core/*'],
  })
  return gzipSync(outputFiles[0].contents).length / 1000
}
const words = ['en', 'es'].map(language => ({ language, kb: wordsKb(language) }))
console.log(`Words of the Bench, gzipped: ${words.map(w => `${w.language} ${w.kb.toFixed(1)} kB`).join(', ')}`)
const heavy = words.filter(w => w.kb > MOST_WORDS_KB)
if (heavy.length) {
  console.error(`Over ${MOST_WORDS_KB} kB of words: ${heavy.map(w => w.language).join(', ')}.`)
  process.exitCode = 1
}

const folder = join(root, '.output/public/_nuxt')
const built = new Map(
  readdirSync(folder)
    .filter(name => name.endsWith('.js'))
    .map(name => [name, readFileSync(join(folder, name), 'utf8')]),
)
const neededBy = text =>
  [...text.matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)].map(([, to]) => to).filter(to => built.has(to))

/** Built files that need one another, as a way round: the application waits for itself, and never starts. */
function circle() {
  const done = new Set()
  const way = []
  const visit = name => {
    if (way.includes(name)) return [...way.slice(way.indexOf(name)), name]
    if (done.has(name)) return null
    way.push(name)
    for (const to of neededBy(built.get(name))) {
      const found = visit(to)
      if (found) return found
    }
    way.pop()
    done.add(name)
    return null
  }
  for (const name of built.keys()) {
    const found = visit(name)
    if (found) return found
  }
  return null
}
const round = circle()
if (round) {
  console.error(`Files that need one another: ${round.join(' → ')}. Name their parts in scripts/setup/chunks.ts.`)
  process.exitCode = 1
}

/** What a browser fetches until the Bench asks its first question, gzipped, as the built files name each other. */
function benchFiles() {
  const found = new Map()
  const follow = name => {
    if (found.has(name)) return
    const text = built.get(name)
    found.set(name, gzipSync(text).length / 1000)
    for (const to of neededBy(text)) follow(to)
  }
  const named = start => [...built.keys()].filter(name => name.startsWith(start))
  for (const start of ['entry.', 'bench.', 'everywhere.en.', 'advice-']) {
    const [name] = named(start)
    if (!name) throw new Error(`No file ${start}… among the built ones`)
    follow(name)
  }
  return [...found].sort((a, b) => b[1] - a[1])
}
const bench = benchFiles()
const benchKb = bench.reduce((sum, [, kb]) => sum + kb, 0)
console.log(
  `The Bench’s JavaScript, gzipped: ${benchKb.toFixed(0)} kB in ${bench.length} files:`,
  bench.map(([name, kb]) => `${name.split('.')[0]} ${kb.toFixed(0)}`).join(', '),
)
if (benchKb > MOST_BENCH_KB || bench.length > MOST_BENCH_FILES) {
  console.error(`Over ${MOST_BENCH_KB} kB or ${MOST_BENCH_FILES} files. What has the Bench come to need?`)
  process.exitCode = 1
}
