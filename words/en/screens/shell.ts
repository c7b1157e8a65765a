import { count, type Shown } from '../grammar'

/** What the screens say by themselves: by component, in the order of the alphabet. */
export const shell = {
  'app.skip-to-content': 'Skip to the content',
  'api.something-failed-try-again': 'Something failed. Try again.',
  'api.the-shops-server-does-not': 'The shop’s server does not answer. Try again in a moment.',
  'outbox.that-answer-was-not-saved':
    'That answer was not saved: this browser cannot keep it, and the shop’s server does not answer. ' +
    'Free some room or get back online, then answer again.',
  'outbox.that-job-was-not-begun':
    'The job was not begun: this browser cannot keep it, and the shop’s server does not answer. ' +
    'Free some room or get back online, then try again.',
  'outbox.this-device-cannot-keep-answers':
    'This browser cannot keep answers: it has no room, or does not allow it. They go straight to the shop.',
  'crew-pick.here-now': 'here now',
  'crew-pick.no-pin': ({ name }: { name: string }) =>
    `${name} has no PIN yet. Sign in with name and password once, and choose one under “Change of hands”.`,
  'crew-pick.pin-of': ({ name }: { name: string }) => `PIN of ${name}`,
  'crew-pick.take-over': 'Take over',
  'crew-pick.who-takes-over': 'Who takes over?',
  'new-version.is-ready': 'A new version is ready.',
  'new-version.use-it': 'Use it now',
  'person-menu.own': 'Name, password, unit',
  'page-sign-in.code': 'One-time code',
  'page-sign-in.shop-note': 'Its short name, or its name as it stands in Wembric.',
  'page-sign-in.have-a-code': 'I have a one-time code',
  'page-sign-in.with-password': 'Sign in with a password',
  'person-menu.change-of-hands': 'Change of hands …',
  'page-sign-in.for-a-quick-job': 'Straight to a quick job',
  'page-sign-in.kept': ({ answers }: { answers: number }) =>
    answers === 1
      ? 'One answer is kept on this device and sent when the one who gave it signs in.'
      : `${answers} answers are kept on this device and sent when the one who gave them signs in.`,
  'page-sign-in.sign-in-wembric': 'Sign in, Wembric',
  'parts.choices': 'Choices',
  'parts.choose-a-day': 'Choose a day',
  'parts.choose-a-month': 'Choose a month',
  'parts.choose-a-year': 'Choose a year',
  'parts.choose-all': 'Choose all',
  'parts.choose-none': 'Choose none',
  'parts.choose-the-row': 'Choose the row',
  'parts.clear': 'Clear',
  'parts.first-page': 'First page',
  'parts.last-page': 'Last page',
  'parts.leave-the-row': 'Leave the row',
  'parts.month-after': 'Month after',
  'parts.month-before': 'Month before',
  'parts.no': 'No',
  'parts.nothing-chosen': 'Nothing chosen',
  'parts.nothing-here': 'Nothing here',
  'parts.nothing-like-that': 'Nothing like that',
  'parts.one-chosen': 'One chosen',
  'parts.page-after': 'Next page',
  'parts.page-before': 'Page before',
  'parts.some-fit': 'Some fit',
  'parts.ten-years-after': 'Ten years after',
  'parts.ten-years-before': 'Ten years before',
  'parts.year-after': 'Year after',
  'parts.year-before': 'Year before',
  'parts.yes': 'Yes',
  'parts.page': ({ page }: Shown<'page'>) => `Page ${page}`,
  'person-menu.answers-wait': ({ waiting }: { waiting: number }) =>
    `Not sent yet: ${count(waiting, 'answer')}. What waits stays on this device until you sign in here again.`,
  'person-menu.hands': ({ practiced }: { practiced: boolean }) =>
    practiced ? 'Ask me one thing at a time' : 'I know the work: ask me everything on one card',
  'person-menu.of': ({ person }: Shown<'person'>) => `${person}: theme, language, sign out`,
  'person-menu.sign-out-all-the-same': 'Sign out anyway',
  'person-menu.stay': 'Stay signed in',
  'shop-header.dim': 'Dim',
  'shop-header.light': 'Light',
  'shop-header.no-server': ({ waiting }: Shown<'waiting'>) => `No server${waiting}`,
  'shop-header.places-here': ({ here }: Shown<'here'>) => `Places, now ${here}`,
  'shop-header.places': 'Places',
  'shop-header.sign-out': 'Sign out',
  'shop-header.still-signed-in':
    'You are still signed in: the shop’s server does not answer. Sign out when it is back.',
  'shop-header.to-send': ({ waiting }: Shown<'waiting'>) => `, ${waiting} to send`,
  'thermometer.the-thermometer-sends-nothing-look':
    'The thermometer sends nothing. Look at the cable, or type the temperature.',
  'use-bench-screen.cold': ' cold',
  'use-bench-screen.head': ({ celsius, cold }: Shown<'celsius' | 'cold'>) => `${celsius} °C${cold}`,
  'use-bench-screen.nothing-answered-yet': 'Nothing answered yet',
  'use-bench-screen.parked-h': ({ hours }: Shown<'hours'>) => `parked ${hours} h`,
  'use-bench.answers-of-are-kept-on': ({ person }: Shown<'person'>) =>
    `Answers of ${person} are kept on this device and have not reached the shop. ${person} must sign in here before the job is signed.`,
  'use-bench.has-this-job-in-hand': ({ personName }: Shown<'personName'>) =>
    `${personName} has this job in hand. Take it over first.`,
  'use-bench.this-job-is-not-on':
    'This job is not on this device, and the shop’s server does not answer. Try again when it does.',
  'use-hand-over.has-this-job': ({ name }: Shown<'name'>) => `${name} has this job`,
  'use-hand-over.has-this-job-each-answer': ({ name }: Shown<'name'>) =>
    `${name} has this job. Each answer shows here at once.`,
  'use-hand-over.just-now': 'just now',
  'use-hand-over.last-answer': ({ other }: Shown<'other'>) => `Last answer ${other}`,
  'use-hand-over.look-on': 'Look on',
  'use-hand-over.look-on-or-take-it': ({ name }: Shown<'name'>) =>
    `Look on, or take it over. ${name} will see it at once.`,
  'use-hand-over.looking-on-answered': ({ name, other }: Shown<'name' | 'other'>) =>
    `Looking on: ${name} answered ${other}`,
  'use-hand-over.min-ago': ({ minutes }: Shown<'minutes'>) => `${minutes} min ago`,
  'use-hand-over.take-over': 'Take over',
  'use-hand-over.the-keys-work-here-and': 'the keys work here and stop there',
  'use-hand-over.watch-the-answers-come-in': 'watch the answers come in',
  'use-photos.this-photo-has-mb-5': ({ size }: Shown<'size'>) =>
    `This photo has ${size} MB; 5 MB is the limit. Take it smaller, or crop it.`,
  'use-practice-screen.felt-here': ({ size }: Shown<'size'>) => `${size} felt here`,
  'use-practice-screen.held-by-the-blade': 'held by the blade',
  'use-practice-screen.in-hand': ({ bladesMm }: Shown<'bladesMm'>) => `${bladesMm} in hand`,
  'use-practice-screen.in-the-gap': 'in the gap',
  'use-practice-screen.line-at': ({ letter }: Shown<'letter'>) => `line at ${letter}`,
  'use-practice-screen.no-line-at-it': 'no line at it',
  'use-practice-screen.not-on-this-level': 'not on this level',
  'use-practice-screen.nut': ({ nuts }: { nuts: 'loose' | 'nipped' | 'locked' }) => `nut ${nuts}`,
  'use-practice-screen.or-drag': '← → or drag',
  'use-practice-shelf.handing-it-over': 'Handing it over …',
  'use-practice-shelf.kept-with-the-shops-runs': 'Kept with the shop’s runs.',
  'use-practice-shelf.not-kept': ({ error }: Shown<'error'>) => `Not kept: ${error}`,
  'use-practice.slide-the-blade-in-first': 'Slide the blade in first: take the Blade tool.',
  'person-menu.single-keys': ({ isOn }: { isOn: boolean }) => `Turn single-key shortcuts ${isOn ? 'off' : 'on'}`,
}
