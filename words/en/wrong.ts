/** Lengths of an engine that a spec gives. */
type EngineLength = 'bore' | 'stroke' | 'rod'
const LENGTHS: Record<EngineLength, string> = { bore: 'The bore', stroke: 'The stroke', rod: 'The rod length' }
interface OfLength {
  what: EngineLength
  limitMm: number
}
interface OddTorque {
  part: string
  torqueNm: number
  threadMm: number
  least: number
  most: number
}
interface OddPressure {
  value: number
  unit: string
  meant: string[]
}
/** What else a figure out of range may have meant: “Was 6 thou, 0.152 mm meant?” */
const meantWords = (meant: string[]): string => (meant.length ? ` Was ${meant.join(', or ')} meant?` : '')

/** What is wrong with something that was typed or sent, and what to give instead: of anything. */
const anything = {
  'wrong.eight-characters-or-nothing': 'Eight characters or more, or leave it empty.',
  'wrong.missing': 'This is missing. Fill it in.',
  'wrong.not-a-number': 'Give a number.',
  'wrong.not-valid': 'That isn’t valid. Check it and try again.',
  'wrong.choose-one': 'Choose one of the answers.',
  'wrong.at-least': ({ least }: { least: number }) => `Give ${least} or more.`,
  'wrong.over': ({ limit }: { limit: number }) => `Give more than ${limit}.`,
  'wrong.at-most': ({ most }: { most: number }) => `Give ${most} or less.`,
  'wrong.under': ({ limit }: { limit: number }) => `Give less than ${limit}.`,
  'wrong.too-few': ({ least }: { least: number }) => `Give at least ${least}.`,
  'wrong.too-many': ({ most }: { most: number }) => `Give at most ${most}.`,
  'wrong.too-long': ({ most }: { most: number }) => `Keep it under ${most} characters.`,
  'wrong.not-known-here': ({ names }: { names: string }) => `Not known here: ${names}. Leave it out.`,
  'wrong.changed-meanwhile': ({ now }: { now: string | null }) =>
    `Somebody changed this${now ? `: it says “${now}” now` : ''}. ` + 'If yours is right, press the button again.',
  'wrong.write-a-word-or-two': 'Write a word or two.',
  'wrong.give-it-a-name': 'Give it a name.',
  'wrong.keep-the-name-under-60': 'Keep the name under 60 characters.',
  'wrong.give-the-date-as-year': 'Give the date as year-month-day.',
  'wrong.give-the-day-as-year': 'Give the day as year-month-day, such as 2026-05-01.',
  'wrong.give-it-in-mm': 'Give it in mm.',
}

/** Of an engine's data. */
const engine = {
  'wrong.length-missing': ({ what }: { what: EngineLength }) => `${LENGTHS[what]}: give a figure in mm.`,
  'wrong.length-short': ({ what, limitMm }: OfLength) => `${LENGTHS[what]} must be ${limitMm} mm or more.`,
  'wrong.length-long': ({ what, limitMm }: OfLength) =>
    `${LENGTHS[what]} can’t be more than ${limitMm} mm. Check the unit.`,
  'wrong.a-torque-under-0-5': 'A torque under 0.5 N·m can’t be right. Check the unit.',
  'wrong.a-torque-over-300-n': 'A torque over 300 N·m can’t be right. Check the unit.',
  'wrong.unit-slip': ({ mm, wide, meant }: { mm: number; wide: boolean; meant: string[] }) =>
    `${mm} mm is ${wide ? 'wider' : 'closer'} than a valve is set to.${meantWords(meant)} Look at the source again.`,
  'wrong.a-clearance-give-a-figure': 'A clearance: give a figure in mm.',
  'wrong.a-clearance-must-be-0': 'A clearance must be 0 mm or more.',
  'wrong.a-clearance-cannot-be-below': 'A clearance can’t be below zero.',
  'wrong.over-5-mm-is-no': 'Over 5 mm is out of range for a clearance. Check the unit.',
  'wrong.the-figure-must-be-more': 'The figure must be more than zero.',
  'wrong.limits-crossed': ({ minMm, maxMm }: { minMm: number; maxMm: number }) =>
    `The limits are crossed: ${minMm} is not under ${maxMm}.${minMm > maxMm ? ` Was ${maxMm}–${minMm} meant?` : ''}`,
  'wrong.figure-outside': ({ figureMm, minMm, maxMm }: { figureMm: number; minMm: number; maxMm: number }) =>
    `The figure ${figureMm} to set to is outside the limits ${minMm}–${maxMm}.`,
  'wrong.tolerance-too-wide': ({
    toleranceMm,
    figureMm,
    meantMm,
  }: Record<'toleranceMm' | 'figureMm' | 'meantMm', number>) =>
    `The tolerance ${toleranceMm} is not smaller than the figure ${figureMm}: it would allow no clearance at all. Was ± ${meantMm} meant, or were the two exchanged?`,
  'wrong.a-valve-event-is-a': 'A valve event is a number of degrees.',
  'wrong.a-valve-event-of-less': 'A valve event of less than −60° can’t be right. Check the sign.',
  'wrong.a-valve-event-of-more': 'A valve event of more than 120° can’t be right.',
  'wrong.the-intake-closes-before-it': 'The intake closes before it has opened. Check the signs.',
  'wrong.the-exhaust-closes-before-it': 'The exhaust closes before it has opened. Check the signs.',
  'wrong.a-decompressors-arc-lies-between': 'A decompressor’s arc is between −360 and 360 degrees.',
  'wrong.the-decompressor-lets-go-before': 'The decompressor lets go before it holds. Check the signs.',
  'wrong.give-how-far-past-its': 'Give how far past top the piston has to be, such as 6 mm.',
  'wrong.under-1-mm-past-the': 'Less than 1 mm past top is the top. Choose that instead.',
  'wrong.more-than-40-mm-past': 'More than 40 mm past top is out of range. Check the unit.',
  'wrong.a-mark-lies-at-0': 'A mark’s angle is from 0 to under 360 degrees.',
  'wrong.say-how-the-cam-sign': 'Say how the cam sign looks when it is right.',
  'wrong.a-cam-sign-lies-at': 'A cam sign’s angle is from 0 to under 720 degrees.',
  'wrong.a-stop-lies-at-0': 'A stop’s angle is from 0 to under 720 degrees.',
  'wrong.a-firing-angle': 'A firing angle is from 0 to under 720 degrees.',
  'wrong.this-stop-serves-no-valve': 'This stop serves no valve. Name at least one, or leave the stop out.',
  'wrong.a-screw-pitch-lies-between': 'A screw’s pitch is between 0.3 and 2 mm.',
  'wrong.a-shim-is-5-to': 'A shim is 5 to 40 mm across.',
  'wrong.shims-come-in-steps-of': 'Shims come in steps of 0.01 to 0.1 mm.',
  'wrong.name-the-source-of-the': 'Name the source of the other figure.',
  'wrong.name-the-source-manual-printing': 'Source is missing: name the manual, printing and page, or the bulletin.',
  'wrong.give-the-sources-date-as': 'Give the source’s date as year-month-day.',
  'wrong.same-id': ({ what }: { what: 'cylinders' | 'valves' | 'parts' }) =>
    what === 'parts' ? 'Two parts have the same name. Say which is left or right.' : `Two ${what} have the same id.`,
  'wrong.give-how-many-fasteners': 'Give how many fasteners there are, 1 to 40.',
  'wrong.torque-of-no-such-thread': ({ part, torqueNm, threadMm, least, most }: OddTorque) =>
    `${part}: ${torqueNm} N·m is outside what an M${threadMm} thread usually takes, ${Math.ceil(least)} to ${Math.floor(most)} N·m. Check unit and thread.`,
  'wrong.each-cylinder-on-one-head': 'Each cylinder belongs on one head.',
  'wrong.count-the-locknuts': 'Count the locknuts: a whole number, 0 to 16.',
  'wrong.leak-down-in-percent': 'Leak-down is a percentage, 0 to 100.',
  'wrong.no-such-compression': ({ value, unit, meant }: OddPressure) =>
    `${value} ${unit} isn’t a compression reading.${meant.length ? ` Was ${meant.map(u => `${value} ${u}`).join(' or ')} meant?` : ' Read it again.'}`,
  'wrong.no-such-cylinder': ({ cylinder }: { cylinder: string }) => `There is no cylinder “${cylinder}”.`,
  'wrong.no-such-valve': ({ valves }: { valves: string[] }) => `There is no valve “${valves.join('”, “')}”.`,
  'wrong.cylinder-without': ({ cylinder, roles }: { cylinder: string; roles: string[] }) =>
    `${cylinder} has no ${roles.join(' and no ')} valve. Each cylinder needs both.`,
  'wrong.the-marks-have-no-pointer': 'The marks have no pointer. Say what they line up with.',
  'wrong.no-such-place':
    'This engine has no such place. Name a mark, a piston top, a rod depth or a cam sign that it has.',
  'wrong.stop-elsewhere': ({ crankDeg, awayDeg }: { crankDeg: number; awayDeg: number }) =>
    `The stop is printed at ${crankDeg}°, but its place shows ${awayDeg}° from there.`,
  'wrong.the-source-measures-at-the':
    'The source measures at the maker’s stops, and none are listed here. Enter them, or choose another answer.',
  'wrong.shimmed-valves-need-the-shims':
    'Shimmed valves need the shims’ diameter and steps, such as 8.30 mm in steps of 0.05.',
  'wrong.rod-short': ({ rodMm }: { rodMm: number }) =>
    `A rod of ${rodMm} mm is shorter than the crank throw. It must be well over half the stroke.`,
}

/** Of what a model is called. */
const identity = {
  'wrong.a-year-has-four-digits': 'A year has four digits.',
  'wrong.a-year-before-1900-cannot': 'A year before 1900 can’t be right.',
  'wrong.a-year-after-2100-cannot': 'A year after 2100 can’t be right.',
  'wrong.a-key-has-letters-digits': 'A key has letters, digits, dots and dashes, such as sandlark-245.',
  'wrong.displacement-is-a-number-of': 'Displacement is a number of cm³.',
  'wrong.displacement-must-be-more-than': 'Displacement must be more than zero.',
  'wrong.a-displacement-of-more-than': 'A displacement of more than 9,999 cm³ can’t be right.',
  'wrong.the-last-year-is-before': 'The last year is before the first. Check both.',
  'wrong.say-which-revision-this-is': 'Say which revision this is a change of.',
  'wrong.choose-what-parts-the-cells': 'Choose the separator.',
  'wrong.choose-csv-or-json': 'Choose csv, json, xlsx or ods.',
  'wrong.models-are-named-by-their': 'Models are named by their numbers, up to a thousand.',
  'wrong.say-why-you-approve-your': 'Say why you approve your own draft.',
}

/** Of blades, wrenches and shims on the shelf. */
const shelf = {
  'wrong.give-the-blades-size-as': 'Give the blade’s size as a figure.',
  'wrong.a-blade-under-0-01': 'Nobody makes a blade under 0.01 mm. Give its size.',
  'wrong.a-blade-over-2-mm': 'A blade over 2 mm is not a feeler blade. Check the unit.',
  'wrong.a-blade-is-good-bent': 'A blade is good, bent, worn or missing.',
  'wrong.blade-measured': ({
    engravedMm,
    measuredMm,
    meantMm,
  }: Record<'engravedMm' | 'measuredMm', string> & { meantMm: string | null }) =>
    `The blade engraved ${engravedMm} can’t measure ${measuredMm} mm.${meantMm === null ? ' Measure it again.' : ` Was ${meantMm} mm meant?`}`,
  'wrong.blade-step': ({ stepMm, tipMm }: { stepMm: string; tipMm: string }) =>
    `A stepped blade is thinner at its tip: ${stepMm} is not over ${tipMm}.`,
  'wrong.blade-twice': ({ mm }: { mm: number }) => `The blade ${mm} mm is there twice.`,
  'wrong.give-the-set-a-name': 'Give the set a name.',
  'wrong.keep-the-sets-name-under': 'Keep the set’s name under 60 characters.',
  'wrong.say-what-the-set-is': 'Say what the set is engraved in: mm or thou.',
  'wrong.a-set-needs-two-blades': 'A set needs at least two blades.',
  'wrong.a-set-of-more-than': 'A set has 64 blades at most.',
  'wrong.say-what-its-scale-shows': 'Say what its scale shows.',
  'wrong.give-the-least-torque-of': 'Give the lowest torque on its scale.',
  'wrong.the-least-torque-must-be': 'The lowest torque must be over zero.',
  'wrong.give-the-most-torque-of': 'Give the highest torque on its scale.',
  'wrong.a-wrench-of-more-than': 'A wrench of more than 2000 N·m is not for these nuts. Check the unit.',
  'wrong.give-the-length-from-the': 'Give the length from the square drive to the middle of the grip, in mm.',
  'wrong.a-wrench-is-50-mm': 'A wrench is 50 mm long or more, from square drive to the middle of the grip.',
  'wrong.a-wrench-is-1500-mm': 'A wrench is 1500 mm long at most. Check the unit.',
  'wrong.the-scales-end-must-be': 'The highest torque must be over the lowest.',
  'wrong.give-its-length-from-square': 'Give its length from square drive to nut, in mm.',
  'wrong.an-adapter-is-1-mm': 'An adapter is 1 mm long or more.',
  'wrong.an-adapter-is-400-mm': 'An adapter is 400 mm long at most. Check the unit.',
  'wrong.give-its-angle-in-degrees': 'Give its angle in degrees.',
  'wrong.the-angle-is-0-to': 'The angle is 0 to 180 degrees.',
  'wrong.give-the-diameter-in-mm': 'Give the diameter in mm.',
  'wrong.give-the-thickness-in-mm': 'Give the thickness in mm.',
  'wrong.say-how-many': 'Say how many.',
  'wrong.count-them-in-whole-pieces': 'Count whole pieces.',
  'wrong.fewer-than-none-cannot-be': 'Can’t be negative.',
  'wrong.more-than-999-of-one': 'More than 999 of one size is out of range.',
}

/** Of what is answered at the bench. */
const bench = {
  'wrong.give-a-figure-such-as': 'Give a figure such as 0.02 or 1 thou.',
  'wrong.no-locknut-should-move-the':
    'No locknut should move the gap by more than 0.15 mm. Check the unit, or fix the lock first.',
  'wrong.give-a-figure-such-as-0': 'Give a figure such as 0.15 or 6 thou.',
  'wrong.give-a-figure-of-zero': 'Give a figure of zero or more.',
  'wrong.an-estimate-of-more-than': 'An estimate of more than 2 mm is out of range. Check the unit.',
  'wrong.give-the-shims-size-in': 'Give the shim’s size in mm.',
  'wrong.give-the-plugs-gap': 'Give the plug’s gap in mm, thou or inches.',
  'wrong.a-plugs-gap-is': 'A plug’s gap is 0.2 to 2 mm. Check the unit.',
  'wrong.a-shim-is-0-8': 'A shim is 0.8 to 4 mm thick. Check the unit.',
  'wrong.give-the-engraved-or-the': 'Give the engraved or the measured size.',
  'wrong.give-the-hours-as-a': 'Give the hours as a number.',
  'wrong.hours-cannot-be-below-zero': 'Hours can’t be below zero.',
  'wrong.that-is-over-a-year': 'That is over a year of hours. Check the figure.',
  'wrong.give-the-temperature-as-a': 'Give the temperature as a number.',
  'wrong.under-40-c-is-no': 'Under −40 °C is out of range for a head. Check the unit.',
  'wrong.over-250-c-is-not': 'Over 250 °C is out of range for a head. Check the unit.',
  'wrong.give-the-air-as-a': 'Give the air’s temperature as a number.',
  'wrong.air-under-40-c-is': 'Air under −40 °C is out of range.',
  'wrong.air-over-60-c-is': 'Air over 60 °C is out of range. Check the unit.',
  'wrong.give-720-to-1440-degrees': 'Give −720 to 1440 degrees.',
  'wrong.an-events-id-is-a': 'An event’s id is a UUID of version 7.',
  'wrong.this-kind-of-event-is': 'This kind of event is not known.',
  'wrong.this-version-of-the-event': 'This version of the event is not known here. Reload the page.',
  'wrong.the-time-must-be-iso': 'The time must be ISO 8601 with an offset.',
  'wrong.the-time-must-be-iso-8601': 'The time must be ISO 8601 with an offset, to the millisecond.',
  'wrong.this-practice-engine-is-not': 'This practice engine is not known.',
  'wrong.not-said-in-practice': ({ type }: { type: string }) => `“${type}” can’t be answered at a practice engine.`,
  'wrong.no-such-answer': ({ type }: { type: string }) => `The answer is not a valid “${type}”.`,
  'wrong.a-level-is-1-to': 'A level is 1 to 4.',
  'wrong.a-run-of-more-than': 'A run of more than a day can’t be saved.',
  'wrong.more-than-3-000-things': 'A run of more than 3,000 actions can’t be saved.',
  'wrong.run-answers': ({ most }: { most: number }) => `A run of more than ${most} answers can’t be saved.`,
}

/** The fields that have to be filled in, as the sentences call them. */
const FIELDS: Record<string, string> = {
  'name': 'a name',
  'sign-in name': 'a sign-in name',
  'shop': 'the shop’s name',
  'time zone': 'a time zone',
  'owner': 'the owner’s name',
  'machine': 'a name for the machine',
  'tag': 'a tag',
  'letter': 'what to tell the owner',
  'subject': 'a subject',
  'task': 'what is to be done',
  'token': 'a name, such as the program that will use it',
  'maker': 'the maker',
  'model': 'the model',
  'reason to change': 'the reason for the change',
  'reason to send back': 'the reason',
}
const TASKS = { valves: 'the valves of a machine', task: 'another task' }
type Task = keyof typeof TASKS

/** Of people, owners, machines and the shop. */
const shop = {
  'wrong.give-what': ({ what }: { what: string }) => `Give ${FIELDS[what] ?? what}.`,
  'wrong.keep-short': ({ what, most }: { what: string; most: number }) =>
    `Keep ${FIELDS[what] ?? what} under ${most} characters.`,
  'wrong.that-is-the-old-password': 'That is the password you have. Choose another one.',
  'wrong.a-short-name-has': 'A short name has 2 to 40 small letters, digits and dashes: north-yard.',
  'wrong.a-host-is': 'Give a host alone, without https:// or a slash: north.example.com',
  'wrong.a-limit-is': 'Give a whole number from 1 on, or leave it empty.',
  'wrong.a-code-has-eight': 'A one-time code has eight letters and digits. A lead makes it under Shop.',
  'wrong.use-a-password-of-eight': 'Use a password of eight characters or more.',
  'wrong.give-the-password': 'Give the password.',
  'wrong.a-sign-in-name-has': 'A sign-in name has letters, digits, dot, dash, @ and no spaces.',
  'wrong.that-sign-in-name-is': 'That sign-in name is taken. Choose another.',
  'wrong.choose-guided-or-practiced': 'Choose guided or practiced.',
  'wrong.choose-lead-or-mechanic': 'Choose lead or mechanic.',
  'wrong.this-time-zone-is-not': 'This time zone is not known. Choose one such as Europe/Lisbon.',
  'wrong.minutes-whole': ({ what }: { what: Task }) => `Say in whole minutes how long ${TASKS[what]} takes.`,
  'wrong.minutes-least': ({ what }: { what: Task }) => `Say at least 5 minutes for ${TASKS[what]}.`,
  'wrong.minutes-most': ({ what }: { what: Task }) => `Say at most 480 minutes, a working day, for ${TASKS[what]}.`,
  'wrong.choose-one-of-the-ways': 'Choose one of the ways of finding stops, or none.',
  'wrong.choose-where-in-the-limits': 'Choose where in the limits valves are set.',
  'wrong.choose-where-the-blade-is': 'Choose where the blade is while the nut is locked.',
  'wrong.say-whether-a-proof-must': 'Say whether a proof must be a pair.',
  'wrong.give-the-e-mail-address': 'Give the e-mail address as name@place, or leave it empty.',
  'wrong.give-an-address-first': 'Give an address first.',
  'wrong.give-the-owner': 'Give the owner.',
  'wrong.choose-another-owner-than-this': 'Choose a different owner.',
  'wrong.choose-the-engine-model': 'Choose the engine model.',
  'wrong.a-tag-has-letters-digits': 'A tag has letters, digits, dot, dash and spaces, because it is printed as a code.',
  'wrong.choose-hours-km-or-miles': 'Choose hours, km or miles.',
  'wrong.choose-the-one-that-stays': 'Choose the one that stays.',
  'wrong.give-the-meter-reading-as': 'Give the meter reading as a number.',
  'wrong.a-meter-cannot-be-below': 'A meter can’t be below zero.',
  'wrong.that-meter-reading-is-too': 'That meter reading is too large.',
  'wrong.choose-a-machine-at-least': 'Choose at least one machine.',
  'wrong.the-paper-is-a4-or': 'The paper is A4 or Letter.',
  'wrong.give-the-year': 'Give the year.',
  'wrong.give-a-year-of-this': 'Give a year from 1990 to 2100.',
  'wrong.say-whether-it-wants-the': 'Say whether it wants the engine cold, warm, or either.',
  'wrong.choose-the-machine': 'Choose the machine.',
  'wrong.choose-the-blade-set': 'Choose the blade set.',
  'wrong.twenty-other-things-are-enough': 'One visit holds twenty other tasks at most.',
  'wrong.the-id-of-a-request': 'The id of a request is a UUID. Reload the page and try again.',
  'wrong.this-file-is-empty': 'This file is empty.',
  'wrong.the-server-was-stopped-in':
    'The server was stopped in the middle of it. Nothing in this file was saved. Import it again.',
}

const EXAMPLES = {
  mark: 'letter and degrees: T 0, F 346',
  cylinder: 'name and firing angle: Left 0, Right 360',
  sign: 'words and degrees: the two dots face each other 0',
}

/** What is wrong with a figure or a line that was typed; it follows what was typed. */
const figures = {
  'figure.of': ({ typed, reason }: { typed: string; reason: object }, tell: (text: never) => string) =>
    `“${typed}” ${tell(reason as never)}`,
  'figure.is-no-place-on-a': 'is no place on a clock. Type the hour that the mark points to, such as 2 or 2:30.',
  'figure.is-no-thread-known-here': 'is not a thread known here. Type it such as M6×0.75 or 10-32, or the pitch in mm.',
  'figure.no-pitch': ({ thread, pitches }: { thread: string; pitches: string[] }) =>
    `is not a pitch of ${thread}. ISO 261 has ${pitches.join(' and ')} mm. A pitch of its own may be typed in mm.`,
  'figure.is-no-line-of-a': 'is not a line from a thermometer. Check the cable, or type the temperature.',
  'figure.arrived-damaged-from-the-thermometer': 'arrived damaged from the thermometer. Read again.',
  'figure.is-what-no-head-at': 'is out of range for a head. Check the thermometer’s sensor.',
  'figure.cannot-be-read': ({ example }: { example: 'mark' | 'cylinder' | 'sign' }) =>
    `can’t be read. Type it like ${EXAMPLES[example]}.`,
  'figure.no-shape': ({ shapes }: { shapes: string[] }) =>
    `is not a shape known here. Choose one of these: ${shapes.join(', ')}.`,
  'figure.cannot-be-read-type-valve':
    'can’t be read. Type valve, figure, semicolon, source, such as exhaust 0.13–0.17; Bulletin 4.',
  'figure.cannot-be-read-type-degrees':
    'can’t be read. Type degrees, place, colon, valves, such as 14 P: left intake, left exhaust.',
  'figure.counts-on-from-a-line': 'counts on from the line before it. Give the first line its own degrees.',
  'figure.no-cylinder': ({ names }: { names: string[] }) => `is not a cylinder here. They are: ${names.join(', ')}.`,
  'figure.no-valve': ({ names }: { names: string[] }) => `is not a valve here. They are: ${names.join(', ')}.`,
  'figure.no-fasteners': 'can’t be read. Type how many, thread and length, such as 4 M6 × 20.',
  'figure.no-superseded':
    'can’t be read. Type valve, old figure, its source, what corrects it, and the day: exhaust 0.20; 1st printing; Sheet 4; 2024-05-01.',
  'figure.no-place': 'is not a place on this engine. Give a mark’s letter, “top Left”, “rod 6 mm Left” or “sign 1”.',
  'figure.is-not-a-length-type': 'is not a length. Type a figure such as 0.10, 4 thou or .004 in.',
  'wrong.printed-differs': ({ text }: { text: string }) =>
    `“${text}” is not the figure beside it. Leave it out, or write what the page prints.`,
  'wrong.a-key-or-wrench-size': 'A key here is 1.5 to 12 mm, a nut 5 to 24 mm across its flats. Check the size.',
  'wrong.a-pin-has-digits': 'A PIN has 4 to 8 digits.',
  'wrong.this-pin-is-easily-guessed':
    'This PIN is easily guessed. Choose digits that are neither all alike nor in a row.',
  'figure.no-measure': ({ kind }: { kind: 'length' | 'torque' | 'temperature' }) =>
    ({
      length: 'is not a length. Type a figure such as 57.8, 2 1/4 in or 45 mm.',
      torque: 'is not a torque. Type a figure such as 10, 8–10 N·m, 12 lbf·ft or 90 lbf·in.',
      temperature: 'is not a temperature. Type a figure such as 35 or 95 F.',
    })[kind],
  'figure.is-below-zero-a-length': 'is below zero. A length here is zero or more.',
  'figure.is-over-a-metre-look': 'is over a meter. Check the unit.',
  'figure.unknown-unit': ({ unit }: { unit: string }) =>
    `has the unit “${unit}”, which is not known here. Use mm, thou or in.`,
  'figure.no-shim': ({
    thinnestMm,
    thickestMm,
    meantMm,
  }: {
    thinnestMm: number
    thickestMm: number
    meantMm: string | null
  }) =>
    `is not a shim’s size: they are ${thinnestMm} to ${thickestMm} mm.${meantMm === null ? ' Check the unit.' : ` Was ${meantMm} mm meant?`}`,
  'figure.between-steps': ({ stepMm, belowMm, aboveMm }: { stepMm: number; belowMm: string; aboveMm: string }) =>
    `is between two of the ${stepMm} steps, ${belowMm} and ${aboveMm}. Read it again; a size by micrometer goes in its own field.`,
  'figure.not-a-number': ({ typed }: { typed: string }) => `“${typed}” is not a number.`,
  'figure.either': ({ typed, values: [whole, part] }: { typed: string; values: [number, number] }) =>
    `“${typed}” can mean ${whole} or ${part}. Type ${whole} or ${part}.`,
  'figure.not-a-unit': ({ typed }: { typed: string }) =>
    `“${typed}” is not a unit for a clearance. Use mm, thou or in.`,
}

export const wrongs = { ...anything, ...engine, ...identity, ...shelf, ...bench, ...shop, ...figures }
export type Wrongs = typeof wrongs
