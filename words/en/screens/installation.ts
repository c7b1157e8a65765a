import type { Shown } from '../grammar'

type Kind = 'nightly' | 'asked' | 'upgrade'
const KINDS: Record<Kind, string> = {
  nightly: 'By itself, at night',
  asked: 'Asked for',
  upgrade: 'Before an upgrade',
}

/** The pages of a lead who keeps the installation: backups, files, phones. */
export const installation = {
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
  'page-phones.title': 'Phones in the shop',
  'page-phones.title-wembric': 'Phones in the shop, Wembric',
  'page-phones.scan': 'Scan this with the phone’s camera, on the shop’s own network',
  'page-phones.scan-what':
    'The page that opens says how the phone comes to trust this computer, checks that it worked, and leads to Wembric. It takes a minute, once.',
  'page-phones.or-type': ({ address }: Shown<'address'>) => `Or type ${address} into its browser.`,
  'page-phones.open': ({ address }: Shown<'address'>) => `Phones open ${address}.`,
  'page-phones.after-that': ({ address }: Shown<'address'>) => `After that, they open ${address}.`,
  'page-phones.also': ({ addresses }: Shown<'addresses'>) => `Also: ${addresses}.`,
  'page-phones.closed':
    'This server is open to its own computer alone. To open it to the phones of the shop, start it with:',
  'page-phones.signed-in': 'Devices that are signed in',
  'page-phones.ended-how':
    'A device that you sign out is out at once. What it had not sent waits on it until somebody signs in there again.',
  'page-phones.seen': 'Last heard of',
  'page-phones.this-one': 'this one',
  'page-phones.rename': 'Rename',
  'page-phones.rename-of': ({ name }: Shown<'name'>) => `Rename ${name}`,
  'page-phones.new-name': ({ name }: Shown<'name'>) => `New name for ${name}`,
  'page-phones.sign-out': 'Sign out',
  'page-phones.sign-out-of': ({ name }: Shown<'name'>) => `Sign out ${name}`,
  'page-phones.sign-out-asks': ({ name }: Shown<'name'>) => `${name} is signed out at once.`,
  'page-setup.restore-instead': 'Restore a backup instead',
  'page-setup.restore': 'Restore a backup',
  'page-setup.restore-what':
    'A backup that a Wembric made, or the zip with all files of a shop. It goes to the shop’s own computer only.',
  'page-setup.file': 'The file',
  'page-setup.choose-a-file': 'Choose the file first.',
  'page-setup.restore-password': 'Its password, if it has one',
  'page-setup.sending': 'The file is on its way …',
  'page-setup.restoring': 'Restoring …',
  'page-setup.restored': 'Restored. Sign in with the name and password that you had.',
  'page-setup.restored-by-code': ({ signIn, code }: Shown<'signIn' | 'code'>) =>
    `Restored. Write this down: ${signIn} signs in under “I have a one-time code” with ${code}, within 24 hours, and chooses a new password.`,
  'page-setup.to-sign-in': 'To the sign-in',
}
