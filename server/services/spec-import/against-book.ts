import sameData from 'fast-deep-equal'
import { inNotationOf } from '../../../core/exchange'
import { say, type Text } from '../../../core/said'
import { compareSpecs } from '../../../core/spec-book'
import type { ModelRow } from '../../../shared/spec-book'
import type { StoredRow } from '../../repositories/spec-imports'
import type { FileRow } from './file'

const orNone = (value: Text | number | null): Text =>
  typeof value === 'number' ? String(value) : value || say('spec-says.none')
const changed = (line: Text, before: Text | number | null, after: Text | number | null): Text =>
  say('spec-change.line', { line, before: orNone(before), after: orNone(after) })

/** What a row would do to the book as it is. */
export function againstBook(row: FileRow, known: ModelRow | undefined): StoredRow {
  const { rowNo, title, notes } = row
  if (!row.model) return { rowNo, state: 'problem', title, modelId: null, content: null, notes }
  const model = known ? { ...row.model, engine: inNotationOf(known.engine, row.model.engine) } : row.model
  const { engine: _, ...named } = model
  const renamed =
    known && (Object.keys(named) as (keyof typeof named)[]).filter(f => f !== 'key' && known[f] !== named[f])
  const changes: Text[] = known
    ? [
        ...compareSpecs(known.engine, model.engine)
          .filter(l => l.change !== 'same')
          .map(l => changed(l.name, l.before.value, l.after.value)),
        ...renamed!.map(field => changed(say('spec-line.of-model', { field }), known[field], named[field])),
      ]
    : []
  const would = !known ? 'new' : sameData(known.engine, model.engine) && renamed!.length === 0 ? 'same' : 'changed'
  const doubts = notes.filter(n => n.doubt)
  const state = would !== 'same' && doubts.length > 0 ? 'problem' : would
  return {
    rowNo,
    state,
    title,
    modelId: known?.id ?? null,
    content: { model: known ? { ...model, key: known.key } : model, would, answered: [], changes },
    notes: would === 'same' ? [] : notes,
  }
}
