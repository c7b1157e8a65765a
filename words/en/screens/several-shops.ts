import type { Shown } from '../grammar'

/** The page of whoever runs a server with several shops. */
export const severalShops = {
  'page-shops.title': 'Shops on this server',
  'page-shops.title-wembric': 'Shops on this server, Wembric',
  'page-shops.what':
    'Each shop has its own people, machines and spec book, and sees nothing of another. You see how much there is, not what is written.',
  'page-shops.in-use': 'Use',
  'page-shops.people': ({ people, most }: { people: number; most: number | null }) =>
    most === null
      ? `${people === 1 ? '1 person' : `${people} people`}`
      : `${people} of ${most === 1 ? '1 person' : `${most} people`}`,
  'page-shops.photos': ({ mb, most }: { mb: number; most: number | null }) =>
    most === null ? `${mb} MB of photos` : `${mb} of ${most} MB of photos`,
  'page-shops.jobs': ({ jobs, last }: { jobs: number; last: string | null }) =>
    jobs === 0 || last === null ? 'no job yet' : `${jobs === 1 ? '1 job' : `${jobs} jobs`}, the last on ${last}`,
  'page-shops.door': 'Sign-in',
  'page-shops.no-short-name': 'no short name yet',
  'page-shops.yours': 'your own',
  'page-shops.closed-until': ({ day }: Shown<'day'>) => `Closed. Its records go on ${day}.`,
  'page-shops.settle': 'Limits, name',
  'page-shops.settle-of': ({ name }: Shown<'name'>) => `Limits and short name of ${name}`,
  'page-shops.new-code': 'New code',
  'page-shops.new-code-of': ({ name }: Shown<'name'>) => `New one-time code for the first lead of ${name}`,
  'page-shops.files': 'Files',
  'page-shops.files-of': ({ name }: Shown<'name'>) => `Download all files of ${name}`,
  'page-shops.close': 'Close shop',
  'page-shops.close-of': ({ name }: Shown<'name'>) => `Close ${name}`,
  'page-shops.close-asks': ({ name, days }: { name: string; days: number }) =>
    `Everybody at ${name} is signed out now, and nobody can sign in. ` +
    `After ${days} days all its records go; until then you can open it again. ` +
    'Download its files first: after that, only backups made until then still have it.',
  'page-shops.reopen': 'Open again',
  'page-shops.reopen-of': ({ name }: Shown<'name'>) => `Open ${name} again`,
  'page-shops.add': 'Add a shop',
  'page-shops.short-name': 'Short name',
  'page-shops.short-name-note': 'What its people give at sign-in if a name is in two shops.',
  'page-shops.host': 'Its own host, if it has one',
  'page-shops.host-note': 'Whoever opens this host signs in to this shop alone.',
  'page-shops.most-people': 'People, at most',
  'page-shops.most-photos': 'Photos, MB at most',
  'page-shops.no-limit': 'Empty: no limit.',
  'page-shops.its-lead': 'Its first lead',
  'page-shops.way-in': ({ signIn, code, path }: Shown<'signIn' | 'code' | 'path'>) =>
    `Write this down and hand it over: ${signIn} opens ${path}, chooses “I have a one-time code”, and gives ${code} within 24 hours.`,
}
