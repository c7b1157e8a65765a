import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { expect, it } from 'vitest'
import { pages } from '~~/words/en/groups/pages'
import { panels } from '~~/words/en/groups/panels'
import { practice } from '~~/words/en/groups/practice'
import { specBook } from '~~/words/en/groups/spec-book'
import type { WordGroup } from './words'

const ROOT = resolve(import.meta.dirname, '..')
const GROUPS: Record<WordGroup, object> = { pages, panels, practice, 'spec-book': specBook }
/** Where a name is told; some are told in two groups. */
const groupsOf = new Map<string, WordGroup[]>()
for (const [group, words] of Object.entries(GROUPS))
  for (const name of Object.keys(words)) groupsOf.set(name, [...(groupsOf.get(name) ?? []), group as WordGroup])
/** What is loaded with every page. */
const SHELL = [
  'app/app.vue',
  'app/layouts/default.vue',
  'app/middleware/session.global.ts',
  'app/plugins/parts.client.ts',
]

const fileOf = (path: string) =>
  [path, `${path}.ts`, `${path}.vue`, join(path, 'index.ts')].find(f => existsSync(f) && statSync(f).isFile())
/** A clause that brings in types alone leaves nothing behind. */
const isTypes = (clause: string) =>
  clause.startsWith('type ') || /^\{(?:\s*type [\w$]+(?: as \w+)?,?)+\s*\}/.test(clause.replaceAll(/\s+/g, ' '))

/** A file and all that it needs, as their texts. */
function withAllItNeeds(file: string, seen = new Map<string, string>()): Map<string, string> {
  if (seen.has(file) || file.startsWith(join(ROOT, 'words')) || file === join(ROOT, 'app/words.ts')) return seen
  const text = readFileSync(file, 'utf8')
  seen.set(file, text)
  const needed = [
    ...[...text.matchAll(/^(?:import|export) ([^'";]*?) from '([^']+)'/gm)]
      .filter(([, c]) => !isTypes(c!))
      .map(m => m[2]!),
    ...[...text.matchAll(/import\('([^']+)'\)/g)].map(m => m[1]!),
  ]
  for (const from of needed) {
    const base = from.startsWith('~~/')
      ? join(ROOT, from.slice(3))
      : from.startsWith('.') && resolve(dirname(file), from)
    const to = base && fileOf(base)
    if (to) withAllItNeeds(to, seen)
  }
  return seen
}
/** Words by name, and those whose name is put together from its beginning, with the groups that have them. */
function groupsSaid(texts: Iterable<string>): Map<string, WordGroup[]> {
  const said = new Map<string, WordGroup[]>()
  for (const text of texts) {
    for (const [, name] of text.matchAll(/'([\w-]+(?:\.[\w-]+)+)'/g)) {
      const groups = groupsOf.get(name!)
      if (groups) said.set(name!, groups)
    }
    for (const [, start] of text.matchAll(/`([a-z-]+\.[a-z.-]*)\$\{/g))
      for (const [name, groups] of groupsOf) if (name.startsWith(start!)) said.set(name, groups)
  }
  return said
}

const PAGES = readdirSync(join(ROOT, 'app/pages'), { recursive: true, encoding: 'utf8' }).filter(f =>
  f.endsWith('.vue'),
)

it.each(PAGES)('%s fetches the words that it says', page => {
  const all = withAllItNeeds(join(ROOT, 'app/pages', page))
  const fetched = /definePageMeta\(\{[^}]*words: \[([^\]]*)\]/.exec(all.get(join(ROOT, 'app/pages', page))!)?.[1] ?? ''
  // what is fetched later brings its words along
  const later = [...all.values()]
    .flatMap(text => [...text.matchAll(/fetchWords\(\[([^\]]*)\]\)/g)].map(m => m[1]!))
    .join()
  const said = groupsSaid(all.values())
  const fetchedHere = `${fetched},${later}`
  expect([...said].filter(([, groups]) => !groups.some(g => fetchedHere.includes(`'${g}'`)))).toEqual([])
})
it('what is around a page says nothing that a page would have to fetch', () => {
  const around = SHELL.flatMap(file => [...withAllItNeeds(join(ROOT, file)).values()])
  expect(groupsSaid(around)).toEqual(new Map())
})
it('what is noted of a row in a file is told by the page that shows it, not by the server that reads it', () => {
  const reading = ['file.ts', 'read-all.ts'].map(f =>
    readFileSync(join(ROOT, 'server/services/spec-import', f), 'utf8'),
  )
  const noted = reading.flatMap(text => [...text.matchAll(/say\('(import\.[\w-]+)'/g)].map(([, name]) => name!))
  expect(noted.length).toBeGreaterThan(4)
  expect(noted.filter(name => !(name in specBook))).toEqual([])
})
