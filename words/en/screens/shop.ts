import type { Shown } from '../grammar'

/** What the screens say by themselves: by component, in the order of the alphabet. */
export const shop = {
  'api-tokens.a-token-for': 'A token for',
  'api-tokens.a-token-lets-another-of':
    'A token lets another of the shop’s programs read models and current figures, and nothing else. What it can ask:',
  'api-tokens.cancel': ({ name }: Shown<'name'>) => `Cancel ${name}`,
  'api-tokens.end': 'End',
  'api-tokens.ended': ({ revokedAt }: Shown<'revokedAt'>) => `ended ${revokedAt}`,
  'api-tokens.last-used': 'Last used',
  'api-tokens.made': 'Made',
  'api-tokens.made-by': 'Made by',
  'api-tokens.make-a-token': 'Make a token',
  'api-tokens.not-yet': 'not yet',
  'api-tokens.other-software': 'Other software',
  'api-tokens.parts-counter': 'Parts counter',
  'api-tokens.token': 'Token',
  'calendar-addresses.a-calendar-program-with-this':
    'A calendar program with this address sees what is due, with owners’ names, without signing in. Share it with nobody else, and cancel it if it gets out.',
  'calendar-addresses.calendar': 'Calendar',
  'calendar-addresses.cancel-address': ({ nth }: Shown<'nth'>) => `Cancel address ${nth}`,
  'calendar-addresses.made-by': ({ madeBy, madeAt }: Shown<'madeBy' | 'madeAt'>) => `Made by ${madeBy}, ${madeAt}`,
  'calendar-addresses.make-an-address': 'Make an address',
  'calendar-addresses.or-download-it-once-as': 'Or download it once as a file',
  'page-setup.both-are-always-shown': 'Both are always shown.',
  'page-setup.first-lead': 'First lead',
  'page-setup.make-the-shop': 'Make the shop',
  'page-setup.says-when-your-day-begins': 'Says when your day begins.',
  'page-setup.this-server-has-no-shop':
    'This server has no shop yet. Name it, and add the first lead: leads approve specs, add people and blade sets, and can reopen a closed job.',
  'page-setup.time-zone': 'Time zone',
  'page-setup.unit-shown-first': 'Unit shown first',
  'page-setup.your-shop': 'Your shop',
  'page-setup.your-shop-wembric': 'Your shop, Wembric',
  'page-shop.signs-in-again': ({ name }: Shown<'name'>) =>
    `${name} will have to sign in again on every device. Answers that wait on one are kept there.`,
  'page-shop.the-shop': 'The shop',
  'shop-identity.open-jobs-keep-theirs': 'Both are always shown. Open jobs keep the one they were opened with.',
  'api-tokens.stops': ({ name }: Shown<'name'>) =>
    `Whatever reads the spec book with ${name} will be refused from now on.`,
  'calendar-addresses.stops': 'Calendars that follow this address stop being updated.',
  'page-shop.a-job-may-choose-another': 'A job may choose another.',
  'page-shop.a-lead-sets-this-for': 'A lead sets this for the shop.',
  'page-shop.a-pinched-blade-is-ruined': 'A pinched blade is ruined.',
  'page-shop.add-a-person': 'Add a person',
  'page-shop.another-task-takes': 'Another task takes',
  'page-shop.crew': 'Crew',
  'page-shop.devices': 'Devices',
  'page-shop.every-proof-needs-two-blades': 'Every proof needs two blades: one that goes and one that doesn’t',
  'page-shop.finding-stops': 'Finding stops',
  'page-shop.first-password': 'First password',
  'page-shop.minutes': ({ value }: Shown<'value'>) => `${value} minutes`,
  'page-shop.new-jobs-begin-with-it':
    'New jobs begin with it where the engine allows; the maker’s own list still comes first.',
  'page-shop.none-marks-or-the-rod': 'None: marks, or the rod',
  'page-shop.oil-filters-and-the-like': 'Oil, filters and the like.',
  'page-shop.preferred-method': 'Preferred method',
  'page-shop.role': 'Role',
  'page-shop.setting-and-proving': 'Setting and proving',
  'page-shop.shop-wembric': 'Shop, Wembric',
  'page-shop.sign-out-everywhere': ({ name }: Shown<'name'>) => `Sign out ${name} everywhere`,
  'page-shop.sign-out-everywhere-2': 'Sign out everywhere',
  'page-shop.signs-in-as': 'Signs in as',
  'page-shop.the-bay-orders-the-day': 'The Bay orders the day by it.',
  'page-shop.the-day': 'The day',
  'page-shop.the-valves-of-a-machine': 'The valves of a machine take',
  'page-shop.time-zone-shown-first': ({ timeZone, unit }: Shown<'timeZone' | 'unit'>) =>
    `Time zone ${timeZone}; ${unit} shown first.`,
  'page-sign-in.kept': ({ answers }: { answers: number }) =>
    answers === 1
      ? 'One answer is kept on this device and sent when the one who gave it signs in.'
      : `${answers} answers are kept on this device and sent when the one who gave them signs in.`,
  'page-sign-in.sign-in-wembric': 'Sign in, Wembric',
  'shop-identity.owners-are-written-in': 'Owners are written in',
  'shop-identity.the-writers': 'The language of whoever writes',
  'shop-identity.an-owner-may-have-another': 'Letters, signed sheets and PDFs. An owner may have another.',
}
