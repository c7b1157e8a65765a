import { say } from '../../said'
import type { Happening } from '../events'
import type { PlugEnd } from '../outcomes'
import { NOT_LOOKED_AT, plugGapOf, plugItem, plugsOf, servedWords } from '../plugs'
import { itemWords, PLUG } from '../strip-down'
import type { JobView } from '../view'
import { withReason } from './keys'
import { key, type Worded } from './thing'

/** How a plug looks, as the job keeps it, and what that says. */
const LOOKS = [
  ['Gray to brown', 'gray-to-brown'],
  ['Black or wet', 'black-or-wet'],
  ['White, blistered', 'white-blistered'],
  [NOT_LOOKED_AT, 'not-looked-at'],
] as const

/** The plugs of which the same is still asked, where there is more than one: they are answered alike by one key. */
function othersAlike({ pin, state }: JobView, item: string, told: Record<string, unknown>): { also?: string[] } {
  const also = plugsOf(pin.spec.engine).filter(p => p !== item && !(p in told) && state.cameOff.includes(p))
  return also.length ? { also } : {}
}

/** How a plug looks; which one, where there are several. */
export function plugThing(view: JobView, item: string): Worded {
  const { plugGap } = view.pin.spec.engine
  const alike = othersAlike(view, item, view.state.plugLooks)
  return {
    label: say('plug.label'),
    instruction: item === PLUG ? say('plug') : say('plug.one', { item: itemWords(item) }),
    stage: { kind: 'list' },
    why: [say('plug.why'), plugGap ? say('plug.gap', { gap: plugGap }) : '', servedWords(view.pin, item)],
    keys: [
      ...LOOKS.map(([look, id]) => ({
        ...key(say(`plug.${id}`), say(`plug.${id}.help`), {
          type: 'plug-read',
          payload: { look, ...plugItem(item) },
        }),
        ...(id === 'not-looked-at' ? {} : { drawing: `plug ${id}` as const }),
      })),
      ...(alike.also
        ? [
            key(say('plug.all-brown', { count: alike.also.length + 1 }), say('plug.all-brown.help'), {
              type: 'plug-read',
              payload: { look: LOOKS[0][0], ...plugItem(item), ...alike },
            }),
          ]
        : []),
    ],
  }
}

/** Its gap: right as it was, set, or a new plug; which one, where there are several. */
export function plugGapThing(view: JobView, item: string): Worded {
  const gap = plugGapOf(view.pin.spec.engine)!
  const alike = othersAlike(view, item, view.state.plugGaps)
  const answer = (was: PlugEnd): Happening => ({
    type: 'plug-gap',
    payload: { ...plugItem(item), was, ...(was === 'right' ? {} : { leftMm: gap.setMm }) },
  })
  return {
    label: say('plug.label'),
    instruction:
      item === PLUG
        ? say('plug-gap', { gap: gap.text })
        : say('plug-gap.one', { item: itemWords(item), gap: gap.text }),
    stage: { kind: 'list' },
    why: [say('plug-gap.why'), servedWords(view.pin, item)],
    keys: [
      key(say('key.gap-right'), say('key.gap-right.help', { gap: gap.text }), answer('right')),
      key(say('key.gap-set'), say('key.gap-set.help', { gap: gap.text }), answer('set')),
      key(say('key.plug-new'), say('key.plug-new.help', { gap: gap.text }), answer('new')),
      key(say('key.gap-measured'), say('key.type-it'), null, 'plug-gap'),
      ...(alike.also
        ? [
            key(say('key.gaps-right', { count: alike.also.length + 1 }), say('key.gap-right.help', { gap: gap.text }), {
              type: 'plug-gap',
              payload: { ...plugItem(item), was: 'right', ...alike },
            }),
          ]
        : [withReason(say('key.not-done'))]),
    ],
  }
}
