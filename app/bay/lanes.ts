import type { BayColumn } from '~~/core/job'
import type { BayCard, BayResponse } from '~~/shared/board'
import { t } from '../words'

/** A column of the Bay: a stage of the work, or a person's (null: nobody's yet). */
export interface Lane {
  key: string
  name: string
  empty: string
  personId?: number | null
  cards: BayCard[]
}

const STAGES: { key: BayColumn; name: string; empty: string }[] = [
  { key: 'cooling', name: t('page-bay.cooling'), empty: t('page-bay.nothing-is-cooling') },
  { key: 'ready', name: t('page-bay.ready'), empty: t('page-bay.nothing-waits') },
  { key: 'bench', name: t('common.on-the-bench'), empty: t('page-bay.the-bench-is-clear') },
  { key: 'prove', name: t('page-bay.to-prove'), empty: t('page-bay.nothing-to-prove') },
  { key: 'done', name: t('page-bay.done-today'), empty: t('page-bay.nothing-done-yet') },
]

export const isOpen = (card: BayCard): boolean => card.column !== 'done'

/** The board by the stages of the work; `columnOf` says where a card stands by now. */
export const lanesByStage = (cards: readonly BayCard[], columnOf: (card: BayCard) => BayColumn): Lane[] =>
  STAGES.map(stage => ({ ...stage, cards: cards.filter(c => columnOf(c) === stage.key) }))

/** The open work by the people who do it, and last what is nobody's yet. */
export function lanesByPerson({ cards, crew }: Pick<BayResponse, 'cards' | 'crew'>): Lane[] {
  const open = cards.filter(isOpen)
  return [
    ...crew.map(person => ({
      key: `p${person.id}`,
      name: person.name,
      empty: t('page-bay.nothing-yet-drag-a-card'),
      personId: person.id,
      cards: open.filter(c => c.assigned?.id === person.id),
    })),
    {
      key: 'nobody',
      name: t('common.unassigned'),
      empty: t('page-bay.all-are-assigned'),
      personId: null,
      cards: open.filter(c => c.assigned === null),
    },
  ]
}

/** Where a card is to go: whose it is then, and the card that follows it there. */
export interface Move {
  jobId: number
  personId: number | null
  beforeJobId: number | null
}

const orderWithout = (cards: readonly BayCard[], { jobId }: BayCard): string =>
  cards
    .filter(c => c.jobId !== jobId)
    .map(c => c.jobId)
    .join()

/**
 * What was meant when a lane's cards stand differently after one was let go: the card that came, or that has another
 * place, belongs to the lane's person, before the card that now follows it.
 * @returns null where the lane lost a card (the lane it came to says so), or nothing moved
 */
export function moveMeant(lane: Lane, cards: readonly BayCard[]): Move | null {
  if (cards.length < lane.cards.length) return null
  const first = cards.findIndex((c, i) => c.jobId !== lane.cards[i]?.jobId)
  if (first < 0) return null
  const came = cards.find(c => !lane.cards.some(o => o.jobId === c.jobId))
  const stands = cards[first]!
  const stood = lane.cards[first]!
  const card = came ?? (orderWithout(cards, stands) === orderWithout(lane.cards, stands) ? stands : stood)
  const after = cards[cards.findIndex(c => c.jobId === card.jobId) + 1]
  return {
    jobId: card.jobId,
    personId: lane.personId === undefined ? (card.assigned?.id ?? null) : lane.personId,
    beforeJobId: after?.jobId ?? null,
  }
}
