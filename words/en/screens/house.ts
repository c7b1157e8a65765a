import type { Shown } from '../grammar'

type Kind = 'nightly' | 'asked' | 'upgrade'
const KINDS: Record<Kind, string> = {
  nightly: 'By itself, at night',
  asked: 'Asked for',
  upgrade: 'Before an upgrade',
}

/** The pages of a lead who keeps the installation: backups, files, phones. */
export const house = {
  'page-backups.title': 'Backups and files',
  'page-backups.title-wembric': 'Backups and files, Wembric',
  'page-backups.backups': 'Backups',
  'page-backups.newest': ({ at }: Shown<'at'>) => `The newest backup is of ${at}.`,
  'page-backups.none': 'There is no backup yet.',
  'page-backups.future': 'The newest backup has a date that is still to come. Check the date of the shop’s computer.',
  'page-backups.by-itself':
    'Each night one is made by itself; the last seven and one from each of four weeks before are kept.',
  'page-backups.not-by-itself': 'None are made by themselves here: this server was started with WEMBRIC_NIGHTLY=off.',
  'page-backups.where': ({ folder }: Shown<'folder'>) => `They are on the server, in ${folder}.`,
  'page-backups.elsewhere':
    'A disk that breaks takes them with it: download one now and then, and keep it somewhere else.',
  'page-backups.make': 'Make a backup now',
  'page-backups.password': 'Password, if it is to be encrypted',
  'page-backups.password-note': 'Write it down: without it, nobody opens the backup again.',
  'page-backups.making': 'Making a backup …',
  'page-backups.why': 'Why',
  'page-backups.when': 'Made',
  'page-backups.size': 'Size',
  'page-backups.fetch': 'Download',
  'page-backups.fetch-of': ({ at }: Shown<'at'>) => `Download the backup of ${at}`,
  'page-backups.encrypted': 'encrypted',
  'page-backups.kind': ({ kind }: { kind: Kind }) => KINDS[kind],
  'page-backups.way-back': 'The way back',
  'page-backups.way-back-how':
    'On this computer or a new one with Wembric, restore a backup into a new folder, then start from it:',
  'page-backups.open-files': 'All files of the shop',
  'page-backups.open-files-what':
    'Machines, owners, jobs with every answer, sheets, the spec book and photos, as CSV, JSON and JPEG in one zip. No passwords are in it. A page in it says how to make a shop of it again.',
  'page-backups.fetch-files': 'Download all files',
}
