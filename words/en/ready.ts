import type { Engine, Role } from '../../core/engine'
import type { Tell, Text } from '../../core/said'
import { formatMeter, type MeterUnit } from '../../core/units'
import { count, within } from './grammar'

type PlugLife = NonNullable<Engine['plugLife']>
const lifeWords = ({ use, months }: PlugLife, unit: MeterUnit): string =>
  [use !== null && formatMeter(use, unit), months !== null && count(months, 'month')].filter(Boolean).join(' or ')
interface Served {
  date: string
  use: number | null
  months: number
  unit: MeterUnit
  life: PlugLife | null
  over: boolean
}

interface Celsius {
  celsius: number
}

/** The Ready step: right machine, right spec, cold, safe, and what comes off. */
export const ready = {
  'machine.label': 'Right machine',
  'machine': ({ machine }: { machine: string }) => `Is this the ${machine}?`,
  'machine.why': ({ model, tag }: { model: string; tag: string }) =>
    `Check the plate and the tag: ${model}, tag ${tag}.`,
  'key.yes': 'Yes',
  'key.yes.machine': 'plate and tag match',
  'key.yes.spec': 'no later bulletin known',

  'spec.label': 'Right spec',
  'spec': 'Is this the right spec?',
  'spec.why': ({ revision, source }: { revision: number; source: string }) =>
    `Revision ${revision}: ${source}. If a later bulletin gives other figures, those count.`,

  'ready-card.label': 'Getting ready',
  'ready-card': 'Uncheck what isn’t done yet',
  'ready-card.why': 'What stays checked goes on the sheet as your word. What you uncheck is asked next.',
  'key.all-so': 'Everything checked is done',
  'key.all-so.help': 'it goes on the sheet',
  'key.one-by-one': 'Ask me one at a time',
  'key.one-by-one.help': 'nothing is confirmed yet',
  'ready-line.machine': ({ machine }: { machine: string }) => `This is the ${machine}; plate and tag match`,
  'ready-line.spec': ({ revision }: { revision: number }) =>
    `Revision ${revision} is the right spec; no later bulletin known`,
  'ready-line.cold': 'Cold: parked overnight, 12 h or more',
  'ready-line.safe': 'It can’t start: plug wire off and grounded, key out, fuel off, firmly on its stand',
  'ready-line.off': ({ item }: { item: Text }, tell: Tell) => `Off: ${within(tell(item))}`,
  'ready-line.valves': 'Intake and exhaust found on the head',

  'draft.label': 'Draft spec',
  'draft': 'No lead has approved this spec',
  'draft.why': 'Ask a lead to approve it. Or continue and say why: the sheet will show it.',

  'figure.label': 'Two figures',
  'figure': ({ role }: { role: Role }) => `Which figure is right for the ${role}?`,
  'figure.why': ({ own, others }: { own: Text; others: readonly Text[] }, tell: Tell) =>
    `The source gives ${tell(own)}, or ${others.map(tell).join(', or ')}. A lead decides, and says why.`,
  'key.settle-it': 'Settle it',
  'key.settle-it.help': 'a lead’s choice, with a reason',
  'key.continue.with-own': 'with the spec’s own; say why',

  'warm.label': 'Warm engine',
  'warm': 'How warm is the head?',
  'warm.not-warm': ({ celsius }: Celsius) => `${celsius} °C is not warm.`,
  'warm.why': ({ fromC }: { fromC: number }) =>
    `This source sets clearances hot: run it until it is warm all through, ${fromC} °C or more at the head, as the manual says. Watch out for hot parts.`,

  'cold.label': 'Cold engine',
  'cold': 'How cold is the engine?',
  'cold.over': ({ celsius, limitC }: Celsius & { limitC: number }) =>
    `${celsius} °C is over the ${limitC} °C limit. Clearances set warm come out wrong.`,
  'cold.not-long-enough': ({ hours, limitC }: { hours: number; limitC: number }) =>
    `${hours.toFixed(1)} h parked is less than 4 h. Measure the head, or wait until it is under ${limitC} °C.`,
  'cold.why': ({ limitC }: { limitC: number }) =>
    `Clearances are set cold: head under ${limitC} °C, or parked 4 hours or more.`,
  'key.measure-head': 'Measure the head',
  'key.measure-head.help': 'type the temperature',
  'key.parked-overnight': 'Parked overnight',
  'key.parked-overnight.help': '12 h or more',
  'key.parked-4h': 'Parked 4 h or more',
  'key.parked-4h.help': 'not run since',
  'key.type-hours': 'Type the hours',
  'key.type-hours.help': 'since it last ran',

  'safe.label': 'Safe',
  'safe': 'Make sure it can’t start',
  'safe.why':
    'Plug wire off and grounded, key out, fuel off; stand and chocks firm; clean around the cover and the plug.',
  'key.all-done': 'All done',
  'key.all-done.help': 'it can’t start',

  'off.label': 'Access',
  'off.plug': 'Remove the spark plug',
  'off.cover': 'Remove the valve cover',
  'off.item': ({ item }: { item: string }) => `Remove: ${item}`,
  'off.why': 'Into the labeled tray; note odd bolt lengths. List here whatever you put into the engine, rags too.',
  'off.plug.why':
    'Pull the wire by its boot and clean around the plug first. ' +
    'Cover the hole: nothing may fall in. List here whatever you put in.',
  'off.cover.why': ({ pattern }: { pattern: string }) =>
    `Loosen the bolts ${pattern || 'crosswise'}, a little at a time. Put a rag under it; look for dents.`,
  'key.off': 'It’s off',
  'key.off.help': 'in the tray',
  'key.stays-on': 'It stays on',
  'key.removed-else': 'Removed something else',
  'key.removed-else.help': 'add it to the list',
  'key.put-in': 'Put something in',
  'key.put-in.help': 'rag, tape, cap',

  'plug.label': 'Plug',
  'plug': 'What does the plug look like?',
  'plug.why': 'Light gray to brown is good; anything else is worth telling the owner.',
  'plug.gap': ({ gap }: { gap: string }) => `Gap ${gap}.`,
  'plug.gray-to-brown': 'Gray to brown',
  'plug.gray-to-brown.help': 'burning well',
  'plug.black-or-wet': 'Black or wet',
  'plug.black-or-wet.help': 'rich, oil or weak spark',
  'plug.white-blistered': 'White, blistered',
  'plug.white-blistered.help': 'lean or hot',
  'plug.not-looked-at': 'Not looked at',
  'plug.not-looked-at.help': 'no claim made',
  'plug.all-brown': ({ count }: { count: number }) => `All ${count} gray to brown`,
  'plug.all-brown.help': 'each one was looked at',
  'plug.life': ({ life, unit }: { life: PlugLife; unit: MeterUnit }) =>
    `Service life ${lifeWords(life, unit)}; nothing on record of when this one was new.`,
  'plug.served': ({ date, use, months, unit, life, over }: Served) => {
    const since = use === null ? `${count(months, 'month')} ago` : `${formatMeter(use, unit)} ago`
    const service = life ? ` Service life ${lifeWords(life, unit)}${over ? ': it is over, put a new one in' : ''}.` : ''
    return `New on ${date}, ${since}.${service}`
  },
  'plug-gap': ({ gap }: { gap: string }) => `Is the plug’s gap ${gap}?`,
  'plug-gap.one': ({ item, gap }: { item: Text; gap: string }, tell: Tell) => `${tell(item)}: is the gap ${gap}?`,
  'plug-gap.why':
    'Measure with a wire gauge; a flat blade reads too small on a worn electrode. Bend the outer one only.',
  'key.gap-right': 'Right as it is',
  'key.gap-right.help': ({ gap }: { gap: string }) => `measured, ${gap}`,
  'key.gap-set': 'Set to it',
  'key.gap-set.help': ({ gap }: { gap: string }) => `bent to ${gap}`,
  'key.plug-new': 'New plug',
  'key.plug-new.help': ({ gap }: { gap: string }) => `checked to ${gap}`,
  'key.gap-measured': 'Set; the old gap was …',
  'key.gaps-right': ({ count }: { count: number }) => `All ${count} right`,

  'valves.label': 'Which valve is which',
  'valves': 'Find intake and exhaust on the head',
  'valves.why': 'Intake is on the carburetor side, exhaust on the muffler side.',
  'key.found-both': 'Found both',
  'key.found-both.help': 'as drawn',
  'key.not-as-drawn': 'Not as drawn',

  'part.cover': 'Valve cover',
  'part.plug': 'Spark plug',
  'spec-change.refused':
    'It changes marks, cam, valves or cylinders, on which rests what was seen here. Abandon this job and open a new one to work by it.',
}
