import { engineSchema } from '../../../core/engine'
import { bolts, type GivenPart, parts } from './told-parts'

/** A flat four and a V-twin, every part told. All of it is invented. */
const pairs = (cylinders: readonly { id: string; name: string }[]) =>
  cylinders.flatMap(({ id, name }, i) =>
    (['intake', 'exhaust'] as const).map(role => ({
      id: `${id}-${role}`,
      cylinderId: id,
      role,
      name: `${name} ${role}`,
      headX: 0.14 + (i * 0.72) / Math.max(1, cylinders.length - 1),
      headY: role === 'intake' ? 0.7 : 0.29,
    })),
  )

const FLAT = [
  { id: 'one', name: '1', firingAngleDeg: 0 },
  { id: 'two', name: '2', firingAngleDeg: 540 },
  { id: 'three', name: '3', firingAngleDeg: 180 },
  { id: 'four', name: '4', firingAngleDeg: 360 },
]
/** A flat four: cylinders 1 and 3 lie to the left, 2 and 4 to the right; a cover a bank. */
export const LEVEL = {
  maker: 'Vossel',
  model: 'Level 4',
  code: 'VL4-B',
  kind: 'Motorcycle',
  engine: engineSchema.parse({
    cylinders: FLAT,
    valves: pairs(FLAT),
    heads: {
      layout: 'flat',
      intakeSide: 'above',
      banks: [
        { name: 'Left bank', cylinderIds: ['one', 'three'] },
        { name: 'Right bank', cylinderIds: ['two', 'four'] },
      ],
    },
    setWhen: 'cold',
    coldLimitC: 35,
    strokeMm: 61.5,
    rodMm: 112,
    layout: 'push-rods',
    cam: null,
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T 1', angleDeg: 0, kind: 'top', shape: 'painted line' },
      { letter: 'F', angleDeg: 350, kind: 'fire' },
      { letter: 'T 3', angleDeg: 180, kind: 'top', shape: 'hole' },
    ],
    markWindow: 'the hole over the flywheel',
    turning: { direction: 'clockwise', seenFrom: 'the front', means: 'the crank nut', by: 'crank nut' },
    clearance: {
      intake: { form: 'limits', minMm: 0.08, maxMm: 0.12, text: '0.08–0.12', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.12, maxMm: 0.16, text: '0.12–0.16', unit: 'mm' },
    },
    superseded: [
      {
        role: 'exhaust',
        text: '0.08–0.12',
        source: 'Vossel L4 manual, 1st printing, p. 3-8',
        correctedBy: 'Vossel service letter L-6',
        correctedOn: '2024-11-04',
      },
    ],
    adjuster: { kind: 'pushrod-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1.3, head: 'slot' },
    torques: { locknutNm: 13, coverNm: 9, plugNm: 15 },
    tools: '12 mm box wrench, slot driver, 16 mm plug socket',
    plugGap: '0.8 mm',
    coverPattern: 'from the middle outward',
    gasket: 'used again if soft',
    stripDown: [],
    safe: ['stand', 'gear', 'key', 'fuel', 'plug lead'],
    parts: parts(
      { name: 'Seat', kind: 'panel', tool: 'key, under the tail' },
      {
        name: 'Left knee panel',
        kind: 'panel',
        side: 'left',
        fasteners: [bolts(1, 6, 16)],
        trap: 'two pegs in rubber: pull straight',
      },
      {
        name: 'Right knee panel',
        kind: 'panel',
        side: 'right',
        fasteners: [bolts(1, 6, 16)],
        trap: 'two pegs in rubber: pull straight',
      },
      ...FLAT.map(({ id, name }): GivenPart => ({ name: `Plug lead ${name}`, kind: 'plug lead', cylinderId: id })),
      ...FLAT.map(({ id, name }): GivenPart => ({
        name: `Plug ${name}`,
        kind: 'spark plug',
        cylinderId: id,
        torqueNm: 15,
        fasteners: [{ count: 1, threadMm: 12 }],
        tool: '16 mm plug socket',
      })),
      { name: 'Flywheel hole plug', kind: 'timing plug', where: 'right of the gearbox', tool: 'fingers' },
      {
        name: 'Left valve cover',
        kind: 'cover',
        side: 'left',
        fasteners: [bolts(6, 6, 30), bolts(1, 6, 55, 'the middle one is longer')],
        tool: '5 mm hex key',
        torqueNm: 9,
        pattern: 'from the middle',
        seal: { kind: 'gasket', on: 'cover', clean: true },
        trap: 'oil runs out: a tray under it',
      },
      {
        name: 'Right valve cover',
        kind: 'cover',
        side: 'right',
        fasteners: [bolts(6, 6, 30), bolts(1, 6, 55, 'the middle one is longer')],
        tool: '5 mm hex key',
        torqueNm: 9,
        pattern: 'from the middle',
        seal: { kind: 'gasket', on: 'cover', clean: true },
        trap: 'oil runs out: a tray under it',
      },
    ),
    interval: { use: 10_000, months: 24 },
    source: 'Vossel L4 manual, 2nd printing, p. 3-8',
    sourceDate: '2025-01-20',
  }),
}

const FORK_CYLINDERS = [
  { id: 'front', name: 'Front', firingAngleDeg: 0 },
  { id: 'rear', name: 'Rear', firingAngleDeg: 285 },
]
/** A 75° V-twin with a head, a lead and two screw caps for each cylinder. */
export const FORK = {
  maker: 'Vossel',
  model: 'Fork 720',
  code: 'VF720',
  kind: 'Motorcycle',
  engine: engineSchema.parse({
    cylinders: FORK_CYLINDERS,
    valves: pairs(FORK_CYLINDERS).map(v => ({
      ...v,
      ...(v.id === 'rear-exhaust' ? { access: 'from behind, single blade bent' } : {}),
    })),
    heads: {
      layout: 'V',
      angleDeg: 75,
      intakeSide: 'between',
      banks: [
        { name: 'Front', cylinderIds: ['front'] },
        { name: 'Rear', cylinderIds: ['rear'] },
      ],
    },
    setWhen: 'cold',
    coldLimitC: 35,
    strokeMm: 67,
    rodMm: 118,
    layout: 'overhead cam',
    cam: null,
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'F T', angleDeg: 0, kind: 'top', shape: 'dot' },
      { letter: 'R T', angleDeg: 285, kind: 'top', shape: 'letters', through: 'the cap below it' },
    ],
    markWindow: 'the cap over the alternator',
    turning: { direction: 'anticlockwise', seenFrom: 'the left', means: 'the crank bolt', by: 'crank nut' },
    clearance: {
      intake: { form: 'limits', minMm: 0.1, maxMm: 0.14, text: '0.10–0.14', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.14, maxMm: 0.18, text: '0.14–0.18', unit: 'mm' },
    },
    adjuster: { kind: 'valve-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1, head: 'square' },
    torques: { locknutNm: 14, coverNm: 18, plugNm: 14 },
    tools: '10 mm box wrench, 4 mm square driver, 18 mm plug socket',
    plugGap: '0.8 mm',
    coverPattern: 'one at a time',
    gasket: 'new O-rings',
    stripDown: [],
    safe: ['stand', 'gear', 'key', 'fuel', 'plug lead'],
    parts: parts(
      { name: 'Seat', kind: 'panel', fasteners: [bolts(2, 8, 20)] },
      { name: 'Fuel hose', kind: 'hose', trap: 'a clip that springs away' },
      { name: 'Fuel tank', kind: 'tank', fasteners: [bolts(1, 8, 45)], trap: 'full it weighs 20 kg' },
      { name: 'Front plug lead', kind: 'plug lead', cylinderId: 'front' },
      { name: 'Rear plug lead', kind: 'plug lead', cylinderId: 'rear' },
      {
        name: 'Front plug',
        kind: 'spark plug',
        cylinderId: 'front',
        torqueNm: 14,
        fasteners: [{ count: 1, threadMm: 12 }],
      },
      {
        name: 'Rear plug',
        kind: 'spark plug',
        cylinderId: 'rear',
        torqueNm: 14,
        fasteners: [{ count: 1, threadMm: 12 }],
      },
      { name: 'Alternator cap', kind: 'timing plug', side: 'left', tool: '10 mm hex key', trap: 'light alloy: cracks' },
      { name: 'Crank cap', kind: 'crank cap', side: 'left', tool: '14 mm hex key', trap: 'light alloy: cracks' },
      ...FORK_CYLINDERS.flatMap(({ id, name }) =>
        ['intake', 'exhaust'].map((role): GivenPart => ({
          name: `${name} ${role} cap`,
          kind: 'screw cap',
          cylinderId: id,
          tool: '24 mm ring wrench',
          torqueNm: 18,
          seal: { kind: 'O-ring', on: 'cap', oiled: true },
          trap: 'cross-threads: start it by hand',
        })),
      ),
    ),
    interval: { use: 6000, months: 12 },
    source: 'Vossel workshop manual F720, p. 2-19',
    sourceDate: '2024-03-30',
  }),
}
