import { day } from './grammar'

/** What backup, restore, the files of a shop and several shops on one server say where they cannot go on. */
export const keeping = {
  'refused.only-who-runs-the-server': 'Only whoever runs this server may do that.',
  'refused.which-shop': 'More than one shop on this server has this name. Give the shop that you work in.',
  'refused.shop-closed': ({ goesAtMs }: { goesAtMs: number }) =>
    `This shop is closed. Its records are kept until ${day(goesAtMs)}: ask whoever runs this server to open it again before.`,
  'refused.shop-not-closed': 'That shop is not closed, or its records have begun to go.',
  'refused.not-your-own-shop':
    'That is the shop of whoever runs this server. Let a lead of another shop run it first: npm run shops -- runner',
  'refused.runs-the-server':
    'They run this server, with other shops on it. Let another lead run it first: npm run shops -- runner',
  'refused.no-room-for-people': ({ most }: { most: number }) =>
    `Your shop may have ${most === 1 ? 'one person' : `${most} people`}. End an access first, or ask whoever runs this server for more.`,
  'refused.no-room-for-photos': ({ most }: { most: number }) =>
    `The photos of your shop may take ${most} MB, and there is no room for this one. Remove some first, or ask whoever runs this server for more.`,
  'backup.disk-full': ({ path }: { path: string }) =>
    `The disk is full: the backup was not made, and nothing of it is left at ${path}. Make room there, or choose another folder.`,
  'backup.failed': 'The backup was not made. The server’s log says why. Nothing else is affected.',
  'backup.running': 'A backup is being made already. Wait until it is done.',
  'backup.no-program': ({ program }: { program: string }) =>
    `The program ${program} is missing on this computer. Install Debian’s mariadb-client, then try again.`,
  'backup.program-failed': ({ program, words }: { program: string; words: string }) =>
    `${program} could not do it. It says: ${words}`,
  'backup.no-file': ({ path }: { path: string }) => `There is no file ${path}. Check the name and the folder.`,
  'backup.not-one': ({ path }: { path: string }) => `${path} is not a backup of Wembric. Choose another file.`,
  'backup.broken': ({ path }: { path: string }) =>
    `${path} is damaged or breaks off early. Nothing was restored. Use another copy of it, or an older backup.`,
  'backup.password-missing': ({ path }: { path: string }) => `${path} is encrypted. Give its password.`,
  'backup.password-wrong': ({ path }: { path: string }) => `This is not the password of ${path}. Try again.`,
  'backup.newer': ({ path, version }: { path: string; version: string }) =>
    `${path} was made by a newer Wembric (${version}). Install that version, then restore it there.`,
  'backup.shop-there': 'There is a shop here already. Nothing was changed. Restore these files into a new data folder.',
  'backup.database-not-empty': ({ database }: { database: string }) =>
    `The database “${database}” has tables already. Nothing was changed. Restore into an empty one.`,
  'upgrade.data-newer': ({ version }: { version: string }) =>
    `These data were last used by a newer Wembric (${version}). Nothing was changed. Start that version, or restore a backup of this one.`,
  'upgrade.half-restored':
    'A restore into this database was cut off, and it is not whole. Run it again: npm run restore -- FILE',
  'upgrade.failed': ({ version, words }: { version: string; words: string }) =>
    `The upgrade to ${version} failed, and the data are as they were before. Start the former version again, or send this to its makers: ${words}`,
  'upgrade.failed-and-not-put-back': ({ backup, words }: { backup: string; words: string }) =>
    `The upgrade failed, and the data could not be put back by themselves. They are whole in ${backup}: restore it into a new folder, and start the former version there. ${words}`,
  'device.android-phone': 'Android phone',
  'device.android-tablet': 'Android tablet',
  'device.windows': 'Windows computer',
  'device.linux': 'Linux computer',
  'device.other': 'Device',
  'privacy.erased-owner': 'Erased owner',
  'backup.restoring': 'A backup is being restored already. Wait until it is done.',
  'backup.failed-to-restore': 'It could not be restored. The server’s log says why. The server is empty, as before.',
}
