import { count, type Shown } from '../grammar'

/** What is odd about the newest backup. */
type BackupAge = { days: number } | { none: true } | { future: true }

/** What the screens say by themselves: by component, in the order of the alphabet. */
export const bay = {
  'bay-card-view.air-assumed-c-f': ({ airC, airF }: Shown<'airC' | 'airF'>) => `Air assumed ${airC} °C (${airF} °F).`,
  'bay-card-view.air-c-leave-it-overnight': ({ airC }: Shown<'airC'>) => `Air ${airC} °C: leave it overnight`,
  'bay-card-view.c-cold-about': ({ celsius, atMs }: Shown<'celsius' | 'atMs'>) => `${celsius} °C, cold about ${atMs}`,
  'bay-card-view.complaint': ({ complaint }: Shown<'complaint'>) => `complaint: ${complaint}`,
  'bay-card-view.move': ({ machine }: Shown<'machine'>) => `Move ${machine}`,
  'bay-card-view.nth': ({ n }: { n: number }) =>
    `${n}${['th', 'st', 'nd', 'rd'][n % 100 > 10 && n % 100 < 14 ? 0 : n % 10] ?? 'th'}`,
  'bay-card-view.should-be-cold-read-the': 'Should be cold: read the head',
  'card-tasks.done': ({ doneBy, because }: Shown<'doneBy' | 'because'>) => `done, ${doneBy}${because}`,
  'card-tasks.done-anyway': 'Done anyway',
  'card-tasks.valves-first': 'wait: valves first, while the engine is cold',
  'card-tasks.why-not': 'Why not?',
  'card.find': 'Find where the crank is',
  'cooling-curve.cold-about': ({ coldAt }: Shown<'coldAt'>) => `Cold about ${coldAt}`,
  'cooling-curve.the-air-is-too-warm': 'The air is too warm for it to cool below the limit',
  'due-strip.about': ({ day }: Shown<'day'>) => `about ${day}`,
  'due-strip.by-week': 'By week',
  'due-strip.due-soon': 'Due soon',
  'due-strip.more-by-week': ({ more, beyond }: { more: number; beyond: boolean }) =>
    `${more}${beyond ? ' and' : ''} more, by week`,
  'due-strip.nothing-is-due-in-the':
    'Nothing is due in the next six weeks. A machine is due by its spec’s interval, or sooner where a valve is drifting.',
  'due-strip.use-hours-or-date-whichever': 'use, hours or date, whichever comes first',
  'due-strip.working-it-out': 'Working it out …',
  'first-run.first-blade-in-a-minute': 'First blade in a minute. No machine, model or blade set needed',
  'first-run.two-minutes-of-practice': 'Or practice first: find TDC on a virtual engine in two minutes',
  'move-panel.add': ({ label }: Shown<'label'>) => `Add, ${label}`,
  'move-panel.later': 'Later',
  'move-panel.sooner': 'Sooner',
  'move-panel.take-off': ({ name }: Shown<'name'>) => `Take off: ${name}`,
  'move-panel.whose-is': ({ machine }: Shown<'machine'>) => `Whose is ${machine}?`,
  'new-job.from-this-device': ({ at }: Shown<'at'>) =>
    `No connection. These are the machines saved on this device on ${at}`,
  'new-job.not-on-this-device':
    'No connection, and this machine, its spec or the blade set isn’t saved on this device. Start a quick job, or wait for the network.',
  'page-bay.a-job-needs-a-blade':
    'A job needs a blade set (Shelf), an engine model with its spec (Spec book) and a machine, which you add with its first job.',
  'page-bay.all-are-assigned': 'All are assigned.',
  'page-bay.bay-wembric': 'Bay, Wembric',
  'page-bay.by-person': 'By person',
  'page-bay.by-stage': 'By stage',
  'page-bay.cooling': 'Cooling',
  'page-bay.done-today': 'Done today',
  'page-bay.fetching-the-board': 'Fetching the board …',
  'page-bay.make-room-before-it-is': 'Make room before it is full: then nothing can be saved.',
  'page-bay.make-room-now-when-it': 'Make room now: when it is full, nothing can be saved.',
  'page-bay.backup': ({ age }: { age: BackupAge }) =>
    'days' in age
      ? `The newest backup is ${age.days} days old.`
      : 'none' in age
        ? 'There is no backup of this shop.'
        : 'The newest backup has a date that is still to come: check the date of the shop’s computer.',
  'page-bay.mb-are-left-on-the': ({ freeMb }: Shown<'freeMb'>) => `${freeMb} MB are left on the server’s disk.`,
  'page-bay.no-jobs-yet': 'No jobs yet',
  'page-bay.nothing-done-yet': 'Nothing done yet.',
  'page-bay.nothing-is-cooling': 'Nothing is cooling.',
  'page-bay.nothing-to-prove': 'Nothing to prove.',
  'page-bay.nothing-waits': 'Nothing waits.',
  'page-bay.nothing-yet-drag-a-card': 'Nothing yet: drag a card here.',
  'page-bay.of-them-yours': ({ mine }: Shown<'mine'>) => `, ${mine} of them yours`,
  'page-bay.open-a-job': 'Open a job',
  'page-bay.open-jobs': ({ open }: { open: number }) => count(open, 'open job'),
  'page-bay.ready': 'Ready',
  'page-bay.scan-a-tag-or-type': 'Scan a tag or type a machine',
  'page-bay.scan-a-tag-type-a': 'Scan a tag, type a machine',
  'page-bay.the-bench-is-clear': 'The bench is clear.',
  'page-bay.to-prove': 'To prove',
  'page-jobs-new.a-different-machine': 'A different machine',
  'page-jobs-new.back-to-the-bay': 'Back to the Bay',
  'page-jobs-new.blade-set': 'Blade set',
  'page-jobs-new.draft': '(draft)',
  'page-jobs-new.in-the-owners-words': 'In the owner’s words',
  'page-jobs-new.ticks-on-the-left': 'ticks on the left, since spring …',
  'page-jobs-new.last-time': ({ lastMeter }: Shown<'lastMeter'>) => `Last time ${lastMeter}.`,
  'page-jobs-new.tag-name-or-owner': 'Tag, name or owner',
  'page-jobs-new.meter': ({ meterUnit }: Shown<'meterUnit'>) => `Meter, ${meterUnit}`,
  'page-jobs-new.new-job-wembric': 'New job, Wembric',
  'page-jobs-new.no-machine-like-that-in': 'No machine like that in this shop. Add it.',
  'page-jobs-new.no-reading-yet-leave-it': 'No reading yet. Leave it empty if you didn’t read it.',
  'page-jobs-new.none-on-the-shelf-yet': 'None on the shelf yet: a lead adds one under Shelf.',
  'page-jobs-new.open': ' · has an open job',
  'page-jobs-new.open-that-one': 'Open that one',
  'page-jobs-new.open-the-job': 'Open the job',
  'page-jobs-new.scan-a-tag-or-type': 'Scan a tag, or type machine, owner or model',
  'page-jobs-new.spec-revision': ({ model, owner, revision }: Shown<'model' | 'owner' | 'revision'>) =>
    `, ${model}, ${owner}. Spec revision ${revision}`,
  'page-jobs-new.the-meter-was-replaced': 'The meter was replaced',
  'page-jobs-new.this-machine-has-an-open': 'This machine has an open job.',
  'page-jobs-new.this-shop-has-no-machines': 'This shop has no machines yet. Add the first.',
  'page-jobs-new.you-confirm-it-at-the': '; you confirm it at the bench.',
}
