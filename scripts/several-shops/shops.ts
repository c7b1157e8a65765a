// npm run shops, once its database is up.
import { createWriteStream, existsSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { parseArgs } from 'node:util'
import { z } from '../../core/zod'
import { lastMigration, newestMigration } from '../../server/database/migrate'
import { databaseSettings, pool } from '../../server/database/pool'
import { Problem, toProblem } from '../../server/problem'
import { filesOf } from '../../server/services/shop-files'
import {
  closeShop,
  handServerTo,
  limitShop,
  listShops,
  makeShop,
  makeWayIn,
  removeClosedShops,
  reopenShop,
} from '../../server/services/shops'
import { newShopSchema, type ShopHere, shopLimitsSchema } from '../../shared/shops'
import { saying } from '../backup/saying'

const HELP = `The shops of this server:
  npm run shops                              all of them, and how much there is of each
  npm run shops -- add north --name="North Yard" --lead="Ada" --sign-in=ada [--zone=Etc/UTC] [--unit=mm|thou]
  npm run shops -- limit north [--people=12] [--photos-mb=2000] [--host=north.example.com] [--short-name=north]
                                             an empty one (--people=) takes a limit away
  npm run shops -- code north                a one-time code for its first lead
  npm run shops -- files north north.zip     everything of it as open files
  npm run shops -- close north [--days=30]   nobody signs in; its records go after so many days; 0: at once
  npm run shops -- reopen north              takes it back before that
  npm run shops -- sweep                     removes those whose time is over; the server does so each hour
  npm run shops -- runner north ada          names who runs this server from now on
A shop is given by its short name, its number or its name.`
const OPTIONS = ['name', 'lead', 'sign-in', 'zone', 'unit', 'people', 'photos-mb', 'host', 'short-name', 'days']
const { values, positionals } = parseArgs({
  args: z.array(z.string()).parse(JSON.parse(process.env.WEMBRIC_ASKED ?? '[]')),
  options: Object.fromEntries(OPTIONS.map(name => [name, { type: 'string' as const }])),
  allowPositionals: true,
  // what is not known is refused in our own words
  strict: false,
})
const [verb = 'list', which = '', more = ''] = positionals
const option = (name: string): string | undefined => (typeof values[name] === 'string' ? values[name] : undefined)
const refuse = (words: string): never => {
  throw new Problem('unfit', words)
}
function refuseWhatIsNotKnown(): void {
  if (!Object.hasOwn(VERBS, verb)) refuse(`“${verb}” is nothing this can do. Type: npm run shops -- help`)
  for (const [name, value] of Object.entries(values)) {
    if (!OPTIONS.includes(name)) refuse(`There is no option --${name}. Type: npm run shops -- help`)
    if (typeof value !== 'string') refuse(`Say how: --${name}=… What goes there stands under: npm run shops -- help`)
  }
}
/** Done from the command line: whoever can is at the server itself. */
const RUNNER = { name: 'npm run shops', shopId: null }
const say = (words: string): void => console.warn(words)

async function theShop(): Promise<ShopHere> {
  const shops = await listShops(pool(), RUNNER)
  const wanted = which.toLowerCase()
  const found = shops.filter(s => s.shortName === wanted || String(s.id) === wanted || s.name.toLowerCase() === wanted)
  if (found.length === 1) return found[0]!
  const all = shops.map(s => `  ${s.shortName ?? s.id}  ${s.name}`).join('\n')
  return refuse(`${found.length ? 'More than one shop is' : 'No shop is'} called “${which}”. There are:\n${all}`)
}
const limit = (typed: string | undefined, now: number | null): number | null =>
  typed === undefined ? now : typed === '' ? null : Number(typed)
const told = (way: { signIn: string; code: string; shop: string | null }): string =>
  `Write this down and hand it over: ${way.signIn} opens /sign-in${way.shop ? `?shop=${way.shop}` : ''}, chooses ` +
  `“I have a one-time code”, and gives ${way.code} within 24 hours.`

const VERBS: Record<string, () => Promise<void>> = {
  help: async () => say(HELP),
  list: async () => {
    const shops = await listShops(pool(), RUNNER)
    if (shops.length === 0) say('There is no shop here yet. Add one: npm run shops -- help')
    for (const s of shops) {
      const alone = s.people === 1 && s.mostPeople === null
      const people = alone ? '1 person' : `${s.people}${s.mostPeople === null ? '' : ` of ${s.mostPeople}`} people`
      const photos = `${s.photoMb}${s.mostPhotoMb === null ? '' : ` of ${s.mostPhotoMb}`} MB of photos`
      const closed = s.goesAt ? `, closed; its records go on ${s.goesAt.slice(0, 10)}` : ''
      say(`${s.id}  ${s.shortName ?? '–'}  ${s.name}: ${people}, ${photos}, ${s.jobs} jobs${closed}`)
    }
  },
  add: async () => {
    const asked = newShopSchema.parse({
      shop: option('name'),
      shortName: which,
      timeZone: option('zone') ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
      unit: option('unit') ?? 'mm',
      lead: { name: option('lead'), signIn: option('sign-in') },
    })
    say(told(await makeShop(pool(), asked, new Date())))
  },
  limit: async () => {
    const shop = await theShop()
    const asked = shopLimitsSchema.parse({
      shortName: option('short-name') ?? shop.shortName,
      host: option('host') ?? shop.host,
      mostPeople: limit(option('people'), shop.mostPeople),
      mostPhotoMb: limit(option('photos-mb'), shop.mostPhotoMb),
    })
    say(`Settled: ${await limitShop(pool(), shop.id, asked)}`)
  },
  code: async () => say(told(await makeWayIn(pool(), RUNNER, (await theShop()).id, new Date()))),
  files: async () => {
    const path = more || 'wembric-shop.zip'
    const { id } = await theShop()
    const folder = dirname(resolve(path))
    if (!existsSync(folder)) refuse(`There is no folder ${folder}. Make it first, or give another one.`)
    if (existsSync(path)) refuse(`There is a file ${path} already; it was left alone. Give another name.`)
    await pipeline(await filesOf(id, new Date()), createWriteStream(path, { mode: 0o600, flags: 'wx' }))
    say(`All its files are in ${path}.`)
  },
  close: async () => {
    const days = z.coerce
      .number()
      .int()
      .min(0)
      .max(3650)
      .parse(option('days') ?? 30)
    const name = await closeShop(pool(), RUNNER, (await theShop()).id, days)
    const removed = days === 0 ? await removeClosedShops(pool()) : []
    say(
      removed.includes(name)
        ? `${name} and all its records are gone.`
        : `Closed: ${name}. Its records go in ${days} days.`,
    )
  },
  reopen: async () => say(`Open again: ${await reopenShop(pool(), RUNNER, (await theShop()).id)}`),
  sweep: async () => {
    const gone = await removeClosedShops(pool())
    say(gone.length === 0 ? 'No closed shop’s time is over.' : `Gone with all their records: ${gone.join(', ')}`)
  },
  runner: async () => say(`${await handServerTo(pool(), (await theShop()).id, more)} runs this server now.`),
}

await saying(async () => {
  try {
    const stands = await lastMigration(databaseSettings(process.env, 'migration'))
    if (stands !== newestMigration(process.env.WEMBRIC_ROOT!))
      refuse('These data are of another version. Start this version once with npm start, then try again.')
    refuseWhatIsNotKnown()
    await VERBS[verb]!()
  } catch (error) {
    // what is wrong with an option is said as a form says it
    throw error instanceof z.ZodError ? new Problem('unfit', toProblem(error).title) : error
  } finally {
    await pool().end()
  }
})
