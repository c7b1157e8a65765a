/** The ways of working that a shop or a job chooses between. The dangers are common practice. */
export const choices = {
  'school.maker': 'The maker’s stops',
  'school.marks': 'Marks',
  'school.rod': 'Rod and past top',
  'school.cam-signs': 'Cam signs',
  'school.watching': 'Watching the intake',
  'school.exhaust-opens': 'Exhaust opens, intake closed',
  'school.partner': 'Partner valve down',

  'school.maker.help': 'Each stop as the manual lists it, with the valves it names.',
  'school.marks.help': 'Turn to the top mark, feel the rockers for the stroke.',
  'school.rod.help': 'Follow the piston with a soft rod; past top where a decompressor holds a valve.',
  'school.cam-signs.help': 'The signs on cam or sprocket tell the stroke by themselves.',
  'school.watching.help': 'Watch one intake open and close, then go on to the top.',
  'school.exhaust-opens.help': 'Exhaust just opening: set intakes. Intake just closed: set exhausts. No marks needed.',
  'school.partner.help': 'A valve fully down on one cylinder: its partner’s is closed.',

  'school.maker.caution': 'Go by the manual’s letters: each cylinder has its own.',
  'school.marks.caution': 'The line is the mark, not the letter. F and the advance lines come before T.',
  'school.rod.caution':
    'Wood, straw or plastic: steel marks the crown or jams where the bore is angled. Never with the starter.',
  'school.cam-signs.caution': 'Where two signs stand half a turn apart, make sure which is which.',
  'school.watching.caution': 'Do not look away between closing and top: an interrupted watch tells nothing.',
  'school.exhaust-opens.caution':
    'Not where a decompressor holds the exhaust: it may be held open just after the intake closes.',
  'school.partner.caution': 'Not where a decompressor works on that valve: it may be held open just there.',

  'target.middle': 'The middle of the limits',
  'target.figure': 'The printed figure',
  'target.loose-exhaust': 'Exhaust at its loose end',

  'habit.out at torque': 'Blade out for the torque',
  'habit.in': 'Blade in throughout',
  'habit.out': 'Blade out throughout',

  'proof.pair': 'One blade goes, a thicker one does not',
  'proof.drag': 'A drag is enough',

  /** The danger that belongs to each step. The maker’s manual and local rules come first, always. */
  'caution.ready': 'Plug lead off and grounded, key out, fuel off. Hot exhaust. Eyes clear of compressed air.',
  'caution.find': 'The crank can kick past compression. Soft rod only, never steel. Fingers off chain and rotor.',
  'caution.measure': 'Do not turn the crank while a blade is in.',
  'caution.set': 'Rag under the rocker: nothing may drop into the open head.',
  'caution.prove': 'Blades and tools out before you turn. It must turn without binding.',
  'caution.close': 'Run it outdoors. Gas drips, hot exhaust. Count rags and tools out first.',
  'caution.defer': 'Follow the maker’s manual and local rules. If unsure, ask a qualified technician.',
}
