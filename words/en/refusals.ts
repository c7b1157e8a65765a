import type { MeterUnit } from '../../core/units'
import { count, listed } from './grammar'
import { keeping } from './keeping'
import { trust } from './screens/trust'

/** What a shop has, where something of it is asked for and not there. */
export type ShopThing =
  | 'adapter'
  | 'address'
  | 'blade set'
  | 'calendar'
  | 'device'
  | 'import'
  | 'job'
  | 'machine'
  | 'model'
  | 'owner'
  | 'person'
  | 'photo'
  | 'practice engine'
  | 'revision'
  | 'row'
  | 'shop'
  | 'task'
  | 'token'
  | 'wrench'
/** What a file is that was renamed to .csv. */
export type FileKind = 'zip' | 'png' | 'jpeg' | 'gif' | 'pdf' | 'gzip' | 'office' | 'riff'
const FILES: Record<FileKind, string> = {
  zip: 'a zip archive',
  png: 'a PNG image',
  jpeg: 'a JPEG image',
  gif: 'a GIF image',
  pdf: 'a PDF',
  gzip: 'a gzip archive',
  office: 'an old spreadsheet or document file',
  riff: 'a sound or image file',
}
const UNITS: Record<MeterUnit, string> = { h: 'hours', km: 'km', mi: 'miles' }

/** Of the request itself, the database and the server. */
const server = {
  'refused.no-such': ({ what }: { what: ShopThing }) => `There is no such ${what} in this shop.`,
  'refused.not-right': 'Something in it is not valid. Check it and try again.',
  'refused.another-request-has-this-id': 'Another request already has this id. Reload the page and try again.',
  'refused.this-was-saved-before-reload': 'This is saved already. Reload the page to see it.',
  'refused.the-message-must-be-json':
    'The message must be JSON (content-type: application/json). Reload the page and try again.',
  'refused.that-is-too-much-in': 'That is too much for one message: 256 KB is the limit. Send less.',
  'refused.the-message-is-not-readable': 'The message is not readable JSON. Reload the page and try again.',
  'refused.only-a-lead-may-do': 'Only a lead can do that. Ask one to sign in.',
  'refused.there-is-nothing-at-this': 'There is nothing at this address.',
  'refused.sign-in-first-your-answers':
    'Sign in first. Your answers are saved on this device and will be sent after that.',
  'refused.this-request-comes-from-another': 'This request comes from another site. Open Wembric itself and try again.',
  'refused.the-database-went-away-at':
    'The database went away at the last moment. This may or may not be saved: look before you repeat it.',
  'refused.the-database-is-busy-nothing': 'The database is busy. Nothing was changed. Try again in a moment.',
  'refused.this-part-of-the-database':
    'This part of the database is cut off from the others. Nothing was changed. Try again in a moment.',
  'refused.the-disk-of-the-shops':
    'The disk of the shop’s server is full. Nothing was changed. Make room there, then try again.',
  'refused.the-database-does-not-answer': 'The database doesn’t answer. Nothing was changed. Try again in a moment.',
  'refused.that-is-there-already-choose': 'That is taken already. Choose another name, tag or number.',
  'refused.something-failed-at-the-shops':
    'Something failed at the shop’s server. Check whether it was saved before you repeat it.',
  'refused.late': 'The database doesn’t answer in time. Try again in a moment.',
  'refused.starting': 'The server is still starting. Try again in a moment.',
  'refused.send-a-token-that-holds':
    'Send a valid token: “Authorization: Bearer wembric_…”. A lead of the shop makes one on the Shop page.',
  'refused.not-the-only-shop': 'Other shops have their records on this server too. Ask whoever runs it.',
  'refused.last-lead': 'A shop needs a lead. Make somebody else a lead first.',
  'refused.person-ended': ({ name }: { name: string }) => `${name} no longer works here. Let them back in first.`,
  'refused.wrong-code': 'Name or code is wrong, or the code was used or is over. Ask a lead for a new one.',
  'refused.wrong-own-password': 'That is not your password. Type the one you sign in with now.',
  'refused.wrong-password': 'Wrong sign-in name or password. Try again.',
  'refused.wrong-pin': 'Wrong PIN. Try again, or sign in with your password.',
  'refused.device-not-trusted': 'This device is not trusted any more. Sign in with your name and password.',
  'refused.not-by-pin': 'A PIN is not enough for this. Sign in with your name and password.',
  'refused.too-many-pins': ({ seconds }: { seconds: number }) =>
    `Too many wrong PINs. Try again in ${seconds < 90 ? count(seconds, 'second') : count(Math.ceil(seconds / 60), 'minute')}, or sign in with your password.`,
  'refused.too-many-tries': ({ seconds }: { seconds: number }) =>
    `Too many wrong passwords. Wait ${seconds < 90 ? count(seconds, 'second') : count(Math.ceil(seconds / 60), 'minute')}, then try again, or ask a lead.`,
  'refused.that-sign-in-name-is': 'That sign-in name is taken. Choose another.',
  'refused.there-is-a-shop-already': 'This server already has a shop. Sign in.',
}

/** Of jobs, the board and what is due. */
const jobs = {
  'refused.answers-missing': ({ missing }: { missing: number }) =>
    missing === 1
      ? 'One answer given on this device has not reached the shop: whoever gave it must sign in here first. Then sign the job.'
      : `${missing} answers given on this device have not reached the shop: whoever gave them must sign in here first. Then sign the job.`,
  'refused.unplaced': ({ unplaced }: { unplaced: number }) =>
    `${unplaced === 1 ? 'One answer was' : `${unplaced} answers were`} given on another device while the crank or a screw was moved. Say “before” or “after” for each, then sign the job.`,
  'refused.actor': 'Somebody else gave this answer on this tablet. It waits until they sign in.',
  'refused.closed-already': 'This job is already closed.',
  'refused.job-closed': 'This job is closed. A lead can reopen it.',
  'refused.not-closed': 'This job is open.',
  'refused.nothing-to-retract': 'There is no such answer to undo.',
  'refused.retracted-already': 'That is undone already.',
  'refused.id-reused': 'Another answer already has this id. Reload the page.',
  'refused.only-a-lead-can-reopen': 'Only a lead can reopen a closed job.',
  'refused.only-a-lead-can-say': 'Only a lead can say which of two figures is right. Ask one to sign in.',
  'refused.this-revision-is-a-draft': 'This revision is a draft. A lead approves it first.',
  'refused.the-figures-are-not-those': 'These are not the figures of this revision. Reload the page and look again.',
  'refused.this-machine-has-an-open': 'This machine has an open job. Open that one, or abandon it first.',
  'refused.this-machine-has-an-open-job':
    'This machine has an open job on the old engine. Close or abandon that one first.',
  'refused.this-job-is-done-and': 'This job is done and off the board.',
  'refused.choose-somebody-of-this-shops': 'Choose somebody from this shop’s crew.',
  'refused.held': ({ task }: { task: string }) =>
    `${task} needs a warm engine, and the valves of this machine are not done. Do the valves first, or say why not.`,
  'refused.this-is-done-already-untick': 'This is already done. Untick it first.',
  'refused.nothing-due': ({ owner }: { owner: string }) => `${owner} has nothing due in that time.`,
  'refused.due-here': ({ owner }: { owner: string }) => `What ${owner} has due is already here, with an open job.`,
  'refused.no-email': ({ owner }: { owner: string }) =>
    `${owner} has no e-mail address on record. Add one, or copy or print the text.`,
}

/** Of machines, their owners and photos. */
const machines = {
  'refused.there-is-no-machine-with': 'No machine has this tag.',
  'refused.no-tag': ({ tag }: { tag: string }) => `No machine in this shop has the tag ${tag}.`,
  'refused.job-id-taken': 'Another job already has this number. Start the job again.',
  'refused.kept-already': 'This quick job has already been kept. Open its machine to change its record.',
  'refused.tag-taken': ({ tag }: { tag: string }) => `Another machine has the tag ${tag}.`,
  'refused.tag-taken-merge': ({ tag }: { tag: string }) =>
    `Another machine has the tag ${tag}. Choose a different one, or merge the two if they are one machine.`,
  'refused.choose-owner': 'Choose an owner in this shop.',
  'refused.choose-model': 'Choose an engine model in this shop.',
  'refused.shims-changed': ({ was, now }: Record<'was' | 'now', number>) =>
    `The shelf had ${was} of these when you counted and has ${now} now: ` +
    'somebody counted too, or a signed job took one. Look at the new number, and count again.',
  'refused.blades-changed':
    'Somebody changed this set while you had it open. ' +
    'It is shown as it is now: look, and press Keep again if your change still holds.',
  'refused.changed-meanwhile': 'Somebody changed the same thing. What you typed is still here.',
  'refused.choose-another-owner-than-this': 'Choose a different owner.',
  'refused.meter-unit': ({ unit }: { unit: string }) =>
    `Its readings so far are in ${unit}. A meter with another unit is another meter: enter its first reading as a replaced one.`,
  'refused.owner-already': ({ owner }: { owner: string }) => `It already belongs to ${owner}.`,
  'refused.day-to-come': ({ day }: { day: string }) => `${day} is still to come. Give the day it happened.`,
  'refused.meter-lower': ({ day, before, given }: Record<'day' | 'before' | 'given', string>) =>
    `On ${day} the meter showed ${before}, and ${given} is less. Read it again, or say that the meter was replaced.`,
  'refused.meter-higher': ({ day, before, given }: Record<'day' | 'before' | 'given', string>) =>
    `On ${day} the meter showed ${before}, which is after this day, and ${given} is more. Read the paper again: the day or the meter is wrong.`,
  'refused.no-such-valve': 'This machine’s engine has no such valve. Reload the page.',
  'refused.reading-order': ({ valve }: { valve: string }) =>
    `${valve}: a reading goes from less to more, in mm. Check it again.`,
  'refused.give-a-valve': 'Give what was found or left for at least one valve.',
  'refused.choose-another-machine': 'Choose a different machine.',
  'refused.other-engines': ({ first, second }: Record<'first' | 'second', string>) =>
    `They have different engines on record: ${first} and ${second}. Correct that first.`,
  'refused.other-units': ({ first, second }: Record<'first' | 'second', MeterUnit>) =>
    `Their meters count ${UNITS[first]} and ${UNITS[second]}. Correct that first.`,
  'refused.both-have-an-open-job': 'Both have an open job. Close or abandon one of them first.',
  'refused.meters-clash': ({
    first,
    firstDay,
    second,
    secondDay,
  }: Record<'first' | 'firstDay' | 'second' | 'secondDay', string>) =>
    `Their meters don’t go together: ${first} on ${firstDay}, then ${second} on ${secondDay}. Are they really one machine?`,
  'refused.owner-busy': ({ owner, jobs }: { owner: string; jobs: { number: number; machine: string }[] }) =>
    `${owner} has open jobs: ${jobs.map(({ number, machine }) => `job ${number} on ${machine}`).join(', ')}. Close or abandon them first.`,
  'refused.owner-owns': ({ owner, machines }: { owner: string; machines: string[] }) =>
    `${owner} owns ${listed(machines)}. Give ${machines.length === 1 ? 'it' : 'them'} to another owner first, or merge the two owners. The history stays with the machine.`,
  'refused.photo-large': 'A photo can be 5 MB at most. Take it smaller, or crop it.',
  'refused.photo-empty': 'The file is empty. Choose the photo again.',
  'refused.page-of-another': 'Only whoever wrote this revision adds the photo of its page.',
  'refused.page-there': 'This revision has the photo of its page already. It stays with its figures.',
  'refused.photo-kind': 'This is not a JPEG, PNG or WebP picture. Save it as one of these, and choose that.',
  'refused.this-picture-is-damaged-or': 'This picture is damaged, or far too large. Take the photo again.',
  'record.owner': ({ from, to }: Record<'from' | 'to', string>) => `From ${from} to ${to}`,
  'record.meter': ({ meter, replaced }: { meter: string; replaced: boolean }) =>
    `Meter ${meter}${replaced ? ', replaced' : ''}`,
  'record.engine': ({ from, to }: Record<'from' | 'to', string>) => `${from} out, ${to} in`,
  'record.merged': ({ machine, tag, owner }: Record<'machine' | 'tag' | 'owner', string>) =>
    `${machine}, tag ${tag}, of ${owner} was a duplicate and was merged into this one`,
}

/** Of the spec book and what is imported into it. */
const specBook = {
  'refused.some-figures-may-be-slips':
    'Some figures may be slips. Nothing was changed: say for each whether it is as printed, or correct it.',
  'refused.this-revision-is-approved-already': 'This revision is already approved.',
  'refused.newer-typed': ({ revision }: { revision: number }) =>
    `Revision ${revision} was made while you were typing. Look at what it changed, then save again.`,
  'refused.sent-back': ({ by }: { by: string }) => `${by} sent this draft back. Make a new one from it.`,
  'refused.newer-in-force': ({ revision }: { revision: number }) =>
    `Revision ${revision} came into force after this draft was made. Make a new draft from that one.`,
  'refused.this-draft-is-your-own': 'This draft is your own: another lead looks at it. Two see more than one.',
  'refused.this-draft-is-your-own-and':
    'This draft is your own, and you are the only lead. Say why you approve it yourself.',
  'record.first-entry': 'First entry',
  'record.quick-job': ({ number }: { number: number }) =>
    `From quick job ${number}: clearances given at the bench. Timing, thread and direction are assumed.`,
  'record.from-file': ({ file }: { file: string }) => `From ${file}`,
  'refused.no-heading-is-said-to': 'No column is set as the maker, or none as the model. Choose both.',
  'refused.two-headings': ({ column }: { column: string }) => `Two columns are set as “${column}”. Choose one of them.`,
  'refused.the-headings-have-changed-reload': 'The headings have changed. Reload the page and look again.',
  'refused.this-file-is-being-read': 'This file is being read, or is already finished. Reload the page.',
  'refused.this-file-is-being-read-or': 'This file is being read or saved, or is already finished. Reload the page.',
  'refused.this-file-is-being-read-already': 'This file is already being read. Reload the page.',
  'refused.this-row-has-a-problem': 'This row has a problem that must be corrected in the file.',
  'refused.there-is-nothing-in-it': 'There is nothing in it to save.',
  'refused.this-import-is-already-finished': 'This import is already finished.',
  'refused.this-file-is-over-200': 'This file is over 200 MB. Split it, and import the parts one after another.',
  'refused.this-file-is-empty-choose': 'This file is empty. Choose another.',
  'refused.not-in-the-book': ({ model }: { model: string }) =>
    `${model} is no longer in the book. Import the file again.`,
  'refused.not-text': ({ kind }: { kind: FileKind | null }) =>
    `This is ${kind === null ? '' : `${FILES[kind]}, `}not a table that can be read. Save it as .xlsx, .ods or CSV, and import that.`,
  'refused.utf-16': 'This file is UTF-16. Save it as CSV in UTF-8, and import that.',
  'import.done': ({ fresh, changed, approved }: { fresh: number; changed: number; approved: boolean }) =>
    `${fresh} new and ${changed} changed, ${approved ? 'approved' : 'as drafts'}.`,
  'import.failed': 'Something failed at the shop’s server. Nothing was changed. Import the file again.',
}

/** Why the server refuses something, and what to do; and what it writes into the records of a machine. */
export const refusals = { ...server, ...jobs, ...machines, ...specBook, ...keeping, ...trust }
