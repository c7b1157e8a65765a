import { type Said, say } from '../said'
import type { SpecField } from '../spec-book'
import type { PageFinding } from './finding'
import { KINDS, type Label, labelsIn, type Topic } from './labels'
import { positionFindings } from './positions'
import { quantitiesIn, type Quantity } from './quantities'
import { tableFindings } from './tables'

export interface PageReading {
  findings: PageFinding[]
}

/** A label reaches its figure over so many characters: dotted lines of a table are as long. From memory. */
const REACH = 160
/** A valve’s clearance in mm, as engines have it: smaller or larger is another figure. From memory of the trade. */
const CLEARANCE_MM = { least: 0.01, most: 1 }

/** The page with its hyphenated line ends and odd spaces made plain; every character keeps its place. */
const plain = (page: string): string => page.replaceAll(/[\u00A0\u2009\u202F]/g, ' ').replaceAll('\r', ' ')

/** Where the paragraph, or the line, of a place begins. */
const paragraphOf = (page: string, at: number): number => page.lastIndexOf('\n\n', at) + 1
const lineOf = (page: string, at: number): number => page.lastIndexOf('\n', at - 1) + 1

const TORQUES: readonly Topic[] = ['locknut', 'cover', 'plug']
const LENGTHS: readonly Topic[] = ['plugGap', 'bore', 'stroke']

const isRole = (topic: Topic): boolean => topic === 'intake' || topic === 'exhaust'

class Reader {
  readonly page: string
  readonly quantities: Quantity[]
  readonly labels: Label[]
  readonly findings: PageFinding[] = []
  private readonly used = new Set<Label>()
  constructor(text: string) {
    this.page = plain(text)
    this.quantities = quantitiesIn(this.page)
    this.labels = labelsIn(this.page)
  }

  /** The last label before a figure that can have such a figure, within its reach; what ends a statement ends it. */
  private before(q: Quantity): Label | null {
    const from = Math.max(paragraphOf(this.page, q.start), q.start - REACH)
    const label = this.labels.findLast(l => l.end <= q.start && l.start >= from && KINDS[l.topic].includes(q.kind))
    if (!label) return null
    const gap = this.page.slice(label.end, q.start)
    // a sentence that has ended says nothing of the next
    return /[.;!?]["”)]?\s+\p{Lu}/u.test(gap) && !/\.{3}/.test(gap) ? null : label
  }
  /** “0.10 mm (intake)”, “0.10 mm IN, 0.15 mm EX”. */
  private behind(q: Quantity): Label | null {
    const end = q.also.at(-1)?.end ?? q.end
    const label = this.labels.find(
      l => l.start >= end && /^\)?\s*\(\s*$|^\)?[^\S\n]*$/.test(this.page.slice(end, l.start)),
    )
    return label && /^(?:\s*[,.;)]|\s*$|\s+(?:and|y)\b)/m.test(this.page.slice(label.end)) ? label : null
  }

  /** Where the line of a place begins; one that breaks a figure from its unit is one with the line above. */
  private line(at: number): number {
    const start = lineOf(this.page, at)
    const broken = this.quantities.find(q => q.start < start && q.end > start)
    return broken ? lineOf(this.page, broken.start) : start
  }

  /** What the words before a role say that it is the role of: the valves’ clearance, something else, or nothing. */
  private topicOf(role: Label): 'clearance' | 'else' | null {
    const line = this.line(role.start)
    const topic = this.labels.findLast(
      l =>
        (l.topic === 'clearance' || l.topic === 'else') &&
        l.end <= role.start &&
        l.start >= paragraphOf(this.page, role.start),
    )
    if (!topic) return null
    if (topic.topic === 'clearance') return 'clearance'
    if (topic.start >= line) return 'else'
    // a list of the two that a narrow column breaks: “guide clearance IN 0.010–0.037 mm” and below it “EX …”
    const above = lineOf(this.page, line - 1)
    const pair =
      !role.full &&
      topic.start >= above &&
      this.labels.some(l => isRole(l.topic) && l.topic !== role.topic && l.start >= topic.end && l.end <= line)
    return pair && this.page.slice(line, role.start).trim() === '' ? 'else' : null
  }

  private put(field: SpecField, q: Quantity, doubts: Said[] = [], text = q.written): void {
    const end = q.also.at(-1)?.end ?? q.end
    this.findings.push({
      field,
      text,
      start: q.start,
      end,
      doubts: [...(q.guessed ? [say('page.guessed', { text: this.page.slice(q.start, q.end) })] : []), ...doubts],
    })
  }

  /** Two units of one figure that are not the same figure. */
  private mismatch(q: Quantity): Said[] {
    const odd = q.also.find(a => Math.abs(a.lo - q.lo) > slack(q, a) || Math.abs(a.hi - q.hi) > slack(q, a))
    return odd ? [say('page.units-differ', { one: q.written, other: odd.written })] : []
  }

  private clearance(q: Quantity, label: Label): void {
    const trailing = this.behind(q)
    const named = trailing && (isRole(trailing.topic) || trailing.topic === 'both')
    // what stands before a figure and is not spoken for comes before what stands behind it without brackets
    const own = isRole(label.topic) && !this.used.has(label) && this.page.slice(label.end, q.start).length < 60
    const bracketed = trailing !== null && /\(\s*$/.test(this.page.slice(q.end, trailing.start))
    const role = named && (bracketed || !own) ? trailing : label
    if (role.topic === 'else' || this.used.has(role)) return
    if (this.topicOf(role) === 'else') return
    if (q.kind === 'bare' || q.lo < CLEARANCE_MM.least || q.hi > CLEARANCE_MM.most) return
    this.used.add(role)
    const said = this.topicOf(role) === 'clearance' || role.full || role.topic === 'clearance' || role.topic === 'both'
    const doubts = [
      ...this.mismatch(q),
      ...(said ? [] : [say('page.no-topic')]),
      ...(role.topic === 'clearance' ? [say('page.no-valve')] : []),
    ]
    const roles = role.topic === 'intake' || role.topic === 'exhaust' ? [role.topic] : (['intake', 'exhaust'] as const)
    for (const each of roles) {
      this.put(each, q, doubts)
      const also = q.also.find(a => (a.unit === 'mm') !== (q.unit === 'mm'))
      if (also) this.put(`${each}Also`, also)
    }
  }

  private one(q: Quantity): void {
    const label = this.before(q)
    if (q.kind === 'length' || q.kind === 'bare') {
      const trailing = this.behind(q)
      if (label?.topic === 'boreStroke' || this.isBoreStroke(q, label)) return
      if (label && LENGTHS.includes(label.topic) && q.kind === 'length') {
        if (this.used.has(label)) return
        this.used.add(label)
        if (label.topic === 'plugGap') this.put('plugGap', q)
        else this.put(label.topic as SpecField, q, this.mismatch(q), q.written)
        return
      }
      if (label ?? trailing) this.clearance(q, (label ?? trailing)!)
    } else if (q.kind === 'torque' && label && TORQUES.includes(label.topic) && !this.used.has(label)) {
      this.used.add(label)
      this.put(label.topic as SpecField, q, this.mismatch(q))
    } else if (q.kind === 'temperature' && label?.topic === 'cold' && !this.used.has(label)) {
      this.used.add(label)
      this.put('coldLimit', q, this.mismatch(q))
    }
  }
  private isBoreStroke(q: Quantity, label: Label | null): boolean {
    return label?.topic === 'stroke' && /[x×]\s*$/.test(this.page.slice(0, q.start)) && q.kind === 'length'
  }

  /** “Bore x stroke: 54.7 x 57.8 mm”: the unit stands once. */
  private boreAndStroke(): void {
    for (const label of this.labels.filter(l => l.topic === 'boreStroke')) {
      const [bore, stroke] = this.quantities.filter(q => q.start >= label.end && q.start < label.end + REACH)
      if (!bore || !stroke || !/^\s*[x×*]\s*$/.test(this.page.slice(bore.end, stroke.start))) continue
      if (stroke.kind !== 'length') continue
      this.put('bore', bore, [], bore.kind === 'length' ? bore.written : `${bore.written} ${stroke.unit}`)
      this.put('stroke', stroke)
    }
  }

  /** “IN/EX 0.10/0.15 mm”: two roles with a stroke between them, and two figures. */
  private pairs(): void {
    for (const label of this.labels.filter(l => l.topic === 'both' && this.page.slice(l.start, l.end).includes('/'))) {
      const [a, b] = this.quantities.filter(q => q.start >= label.end && q.start < label.end + REACH)
      if (!a || !b || b.kind !== 'length' || !/^\s*\/\s*$/.test(this.page.slice(a.end, b.start))) continue
      this.used.add(label)
      this.put('intake', a, [], a.kind === 'length' ? a.written : `${a.written} ${b.unit}`)
      this.put('exhaust', b)
    }
  }

  /** Months and use after which the valves are looked at: of the valves, or of nothing else in the same statement. */
  private intervals(): void {
    for (const q of this.quantities.filter(each => each.kind === 'use' || each.kind === 'months')) {
      const from = Math.max(0, q.start - REACH)
      const statement = this.page
        .slice(from, q.start)
        .split(/\n\n|[.;!?]\s+(?=\p{Lu})|\.\n/u)
        .at(-1)!
      const offset = q.start - statement.length
      const words = this.labels.filter(l => l.start >= offset && l.end <= q.start)
      const every = words.findLast(l => l.topic === 'every' || l.topic === 'first')
      if (!every) continue
      const line = lineOf(this.page, q.start)
      const near = words.filter(l => l.start >= line || l.topic === 'clearance')
      const about = near.findLast(l => l.topic === 'clearance' || l.topic === 'else')
      if (about?.topic === 'else') continue
      const doubts = about ? [] : this.leads(q) ? [] : [say('page.no-topic')]
      if (q.kind === 'months') this.put('months', q, doubts, String(q.lo))
      else {
        const first = every.topic === 'first' || (words.some(l => l.topic === 'first') && !this.useBefore(q, offset))
        this.put(first && every.topic !== 'every' ? 'firstUse' : 'use', q, doubts, String(q.lo))
      }
    }
  }
  private useBefore = (q: Quantity, offset: number): boolean =>
    this.quantities.some(o => o.kind === 'use' && o.start >= offset && o.end <= q.start)
  /** Whether the line above is of the valves and its figures are of use: what follows goes on from it. */
  private leads(q: Quantity): boolean {
    const line = lineOf(this.page, q.start)
    const above = lineOf(this.page, Math.max(0, line - 1))
    return (
      this.labels.some(l => l.topic === 'clearance' && l.start >= above && l.end <= line) ||
      this.findings.some(
        f => ['use', 'firstUse'].includes(f.field) && f.start >= above && f.end <= line && f.doubts.length === 0,
      )
    )
  }

  read(): PageFinding[] {
    this.boreAndStroke()
    this.pairs()
    for (const q of this.quantities) this.one(q)
    this.intervals()
    this.findings.push(
      ...tableFindings(this.page, this.labels, this.quantities),
      ...positionFindings(this.page, this.labels, this.quantities),
    )
    return unanimous(this.findings).sort((a, b) => a.start - b.start)
  }
}

/** How far two units of one figure may lie apart: half of the last digit that each is printed to. */
function slack(a: Quantity, b: Quantity): number {
  const digit = (q: Quantity): number => {
    const places = Math.max(...[...q.written.matchAll(/[.,](\d+)/g)].map(m => m[1]!.length), 0)
    const unit = q.lo === 0 ? 1 : q.lo / Math.max(1e-9, Number(/[\d.,]+/.exec(q.written)![0].replace(',', '.')))
    return 10 ** -places * (q.form === 'tolerance' || q.kind === 'temperature' ? 1 : Math.abs(unit))
  }
  const rough = a.kind === 'temperature' ? 1.2 : a.form === 'tolerance' ? 2 : 0.75
  return rough * Math.max(digit(a), digit(b)) + 1e-9
}

/** The same figure twice is one; two figures for one field are both kept, and each says so. */
function unanimous(all: PageFinding[]): PageFinding[] {
  const kept: PageFinding[] = []
  for (const finding of all)
    if (!kept.some(k => k.field === finding.field && k.text === finding.text)) kept.push(finding)
  return kept.map(finding => {
    const others = kept.filter(k => k.field === finding.field && k !== finding)
    return others.length === 0
      ? finding
      : { ...finding, doubts: [...finding.doubts, say('page.another', { figures: others.map(o => o.text) })] }
  })
}

/**
 * What a page of a manual states of valves, torques, intervals and marks: each figure with the words it is from and its
 * doubts. Nothing is filled in for anybody.
 * @param text the page as pasted, or as a camera read it; English or Spanish
 */
export const readPage = (text: string): PageReading => ({ findings: new Reader(text).read() })
