import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { expect, it } from 'vitest'

/** What jobs and specs keep as it was told, and what the practice hand says of itself. */
const KEPT = [
  ...['Spark plug', 'Rocker cover', 'Gray to brown', 'Black or wet', 'White, blistered', 'Not looked at'],
  ...['Practice bench, invented', 'Owner told; booked in for it'],
]

const root = new URL('.', import.meta.url).pathname
function filesIn(path: string): string[] {
  if (path.endsWith('.ts')) return [path]
  return readdirSync(join(root, path), { withFileTypes: true }).flatMap(entry =>
    entry.isDirectory() || (entry.name.endsWith('.ts') && !entry.name.endsWith('.test.ts'))
      ? filesIn(join(path, entry.name))
      : [],
  )
}

/** Strings of a file that read like a sentence: a capital and several words, or several words and a full stop. */
function sentencesIn(path: string): string[] {
  const file = ts.createSourceFile(path, readFileSync(join(root, path), 'utf8'), ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const look = (node: ts.Node): void => {
    // what is thrown is read by whoever wrote it wrong
    if (ts.isThrowStatement(node) || ts.isClassDeclaration(node)) return
    const text = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? node.getText().slice(1, -1)
        : ''
    if (/^[A-Z“][^]*[a-z] [a-z]|[a-z] [a-z]+[.?!]$/.test(text) && !KEPT.includes(text)) found.push(`${path}: ${text}`)
    ts.forEachChild(node, look)
  }
  look(file)
  return found
}

it('the core holds no sentence: it says facts, which words/ has the sentences for', () => {
  expect(filesIn('.').flatMap(sentencesIn)).toEqual([])
})
