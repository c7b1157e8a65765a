/** What is assumed of an engine that nobody told, and what that costs. */
export const assumed = {
  'assumed.cam': ({ deg }: { deg: number }) =>
    `Cam timing: a usual cam is assumed.${deg > 0 ? ` A stop may have up to ${deg}° less to spare.` : ''}`,
  'assumed.decompressor': ({ past }: { past: boolean }) =>
    `Decompressor: one is assumed to be possible.${past ? ' You are sent past the top for the exhaust.' : ''}`,
  'assumed.stroke': ({ mm, deg }: { mm: number; deg: number }) =>
    `Stroke: ${mm} mm is assumed. Past the top, the rod in the plug hole may be ${deg}° off.`,
  'assumed.rod': ({ deg }: { deg: number }) =>
    `Rod length: 1.75 strokes are assumed. Past the top, the rod in the plug hole may be ${deg}° off.`,
  'assumed.turning': ({ clockwise }: { clockwise: boolean }) =>
    `Turning: ${clockwise ? 'clockwise' : 'counterclockwise'}, seen from the flywheel side, is assumed.`,
  'assumed.pitch': ({ mm }: { mm: number }) =>
    `Screw thread: ${mm} mm a turn is assumed. The first turn of the screw may come out a third too far or too short.`,
  'assumed.locknut': 'Locknut torque: none is known. You tighten it by feel.',
  'assumed.interval': 'Schedule: none is known. The machine is due only once its visits show a drift.',
}
