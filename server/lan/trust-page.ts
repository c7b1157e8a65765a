import { createHash } from 'node:crypto'
import { say } from '../../core/said'
import type { trust } from '../../words/en/screens/trust'
import { spoken, t, tell } from '../words'
import { drawnScreen, drawnWindow, type Line } from './drawings'
import type { House } from './house'

type Word = keyof typeof trust
const told = (word: Word): string => tell(say(word))
interface Kind {
  name: Word
  /** How a browser of this kind names itself. */
  agent: RegExp
  file: string
  steps: [words: Word, drawing: string][]
  home: [words: Word, drawing: string]
}
const phone = (...lines: Line[]) => drawnScreen(lines)
const KINDS: Kind[] = [
  {
    name: 'trust.iphone',
    agent: /iPhone|iPad|Macintosh.*Mobile/,
    file: '/wembric.mobileconfig',
    steps: [
      ['trust.iphone-1', phone('text', 'text', 'button', 'text')],
      ['trust.iphone-2', phone('text', 'tap', 'text', 'text', 'text')],
      ['trust.iphone-3', phone('top-button', 'text', 'text', 'text')],
      ['trust.iphone-4', phone('text', 'text', 'on', 'text')],
    ],
    home: ['trust.iphone-home', phone('text', 'text', 'text', 'text', 'share')],
  },
  {
    name: 'trust.android',
    agent: /Android/,
    file: '/wembric.crt',
    steps: [
      ['trust.android-1', phone('text', 'text', 'button', 'text')],
      ['trust.android-2', phone('search', 'text', 'text', 'text')],
      ['trust.android-3', phone('text', 'tap', 'text', 'button')],
      ['trust.android-4', phone('text', 'text', 'file', 'text')],
    ],
    home: ['trust.android-home', phone('dots', 'text', 'tap', 'text')],
  },
  {
    name: 'trust.computer',
    agent: /Windows|Macintosh|Linux|CrOS/,
    file: '/wembric.crt',
    steps: [
      ['trust.computer-1', drawnWindow(['text', 'button'])],
      ['trust.computer-2', drawnWindow(['file', 'text', 'on'])],
      ['trust.computer-3', drawnWindow(['search', 'file'])],
    ],
    home: ['trust.computer-home', drawnWindow(['top-button', 'text'])],
  },
]

/** Looks every two seconds whether the browser now trusts the address, without asking it for anything of the shop. */
const checkScript = (address: string): string => `
const look = async () => {
  try {
    await fetch(${JSON.stringify(`${address}/api/health/live`)}, { mode: 'no-cors', cache: 'no-store' })
  } catch {
    return void setTimeout(look, 2000)
  }
  document.documentElement.dataset.trusted = 'yes'
}
look()`

const STYLE = `
:root { font: 18px/1.45 system-ui, sans-serif; color: #1c1a16; background: #f3efe4 }
body { max-width: 38rem; margin: 0 auto; padding: 1rem 1.1rem 3rem }
h1 { font-size: 1.6rem; line-height: 1.2; margin: .6rem 0 }
h2 { font-size: 1.15rem }
a.do, summary { display: block; padding: .8rem 1rem; border: 2px solid #1c1a16; border-radius: 8px; font-weight: 600 }
a.do { background: #0d4a52; border-color: #0d4a52; color: #fff; text-align: center; text-decoration: none }
summary { cursor: pointer; margin-top: 1rem }
ol { padding: 0; list-style: none; counter-reset: step }
li { display: grid; grid-template-columns: 92px 1fr; gap: 1rem; align-items: start; margin: 1.1rem 0 }
li { counter-increment: step }
li p { margin: 0 }
li p::before { content: counter(step) '. '; font-weight: 700 }
.home p::before { content: '' }
svg { width: 92px }
.frame { fill: #fff; stroke: #1c1a16; stroke-width: 2.5 }
.pale { fill: #cfc8b6 }
.dark { fill: #1c1a16 }
.go { fill: #0d4a52 }
.paper { fill: #fff }
.line { fill: none; stroke: #1c1a16; stroke-width: 2 }
.ring { fill: none; stroke: #b3261e; stroke-width: 2.5 }
.state { padding: .7rem 1rem; border-left: 6px solid #b3261e; background: #fff }
.yes { display: none; border-color: #1f6b3a }
[data-trusted=yes] .yes { display: block }
[data-trusted=yes] .no { display: none }
small { color: #4b463b }
@media (max-width: 22rem) { li { grid-template-columns: 1fr } }`

const row = ([words, drawing]: [Word, string], name = '') => `<li class="${name}">${drawing}<p>${told(words)}</p></li>`

/**
 * The page by which a phone comes to trust this computer: the one thing that is had without TLS.
 * @param agent how the browser names itself: its kind is open, the others can be opened
 */
export function trustPage({ app }: House, agent: string): { html: string; policy: string } {
  const address = app[0]!
  const own = KINDS.find(kind => kind.agent.test(agent)) ?? KINDS.at(-1)!
  const script = checkScript(address)
  const kinds = [own, ...KINDS.filter(kind => kind !== own)].map(
    kind => `<details${kind === own ? ' open' : ''}><summary>${told(kind.name)}</summary>
<p><a class="do" href="${kind.file}">${t('trust.download')}</a></p>
<ol>${kind.steps.map(step => row(step)).join('')}</ol>
<h2>${t('trust.then')}</h2><ol>${row(kind.home, 'home')}</ol></details>`,
  )
  const html = `<!doctype html><html lang="${spoken()}"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>${t('trust.title')}</title>
<style>${STYLE}</style></head><body><h1>${t('trust.title')}</h1><p>${t('trust.why')}</p>
<div role="status"><p class="state no">${t('trust.checking')}</p>
<div class="state yes"><p>${t('trust.works')}</p>
<p><a class="do" href="${address}/">${t('trust.open')}</a></p></div></div>
${kinds.join('\n')}<p><small>${t('trust.only-house')}</small></p><script>${script}</script></body></html>`
  const hash = createHash('sha256').update(script).digest('base64')
  return {
    html,
    policy: [
      "default-src 'none'",
      "style-src 'unsafe-inline'",
      `script-src 'sha256-${hash}'`,
      `connect-src ${address}`,
      "base-uri 'none'",
      "form-action 'none'",
      "frame-ancestors 'none'",
    ].join('; '),
  }
}
