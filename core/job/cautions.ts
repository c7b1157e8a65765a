import type { Step } from './steps'

/**
 * The danger that belongs to each step, in a line or two. The maker's manual and local rules come first, always. Common
 * practice.
 */
export const CAUTIONS: Record<Step, string> = {
  ready: 'Plug lead off and grounded, key out, fuel off. Hot exhaust. Eyes clear of compressed air.',
  find: 'The crank can kick past compression. Soft rod only, never steel. Fingers off chain and rotor.',
  measure: 'Do not turn the crank while a blade is in.',
  set: 'Rag under the rocker: nothing may drop into the open head.',
  prove: 'Blades and tools out before you turn. It must turn without binding.',
  close: 'Run it outdoors. Gas drips, hot exhaust. Count rags and tools out first.',
}

export const DEFER = 'Follow the maker’s manual and local rules. If unsure, ask a qualified technician.'
