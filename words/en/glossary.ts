/**
 * The dozen terms of the trade that a learner meets first: what each is called, the forms under which sentences have
 * it, parted by |, and what it means.
 */
export const glossary = {
  'glossary.title': 'Terms of the trade',
  'glossary.lead': 'A dozen words that the Bench uses, with a picture each. On the Bench, tap a dotted word to see it.',
  'glossary.all': 'All terms',

  'glossary.tdc': 'TDC',
  'glossary.tdc.forms': 'TDC|top dead center',
  'glossary.tdc.says':
    'Top dead center: the piston is as high as it goes. It gets there twice in each cycle of two turns, so the T line alone doesn’t say which time it is.',
  'glossary.compression': 'Compression',
  'glossary.compression.forms': 'compression TDC|compression',
  'glossary.compression.says':
    'The stroke that squeezes the charge, both valves closed. At its top, both rockers have play, and that is where most valves are measured.',
  'glossary.overlap': 'Overlap',
  'glossary.overlap.forms': 'overlap',
  'glossary.overlap.says':
    'The other top of the cycle: the exhaust is just closing and the intake just opening, so both are a little open. Nothing can be measured there.',
  'glossary.clearance': 'Clearance',
  'glossary.clearance.forms': 'clearance|clearances|gap',
  'glossary.clearance.says':
    'The gap between rocker and valve stem when the valve is closed. Too small, and the valve doesn’t seat once it is hot. Too big, and it ticks and opens late.',
  'glossary.drag': 'Drag',
  'glossary.drag.forms': 'drag|drags',
  'glossary.drag.says':
    'What a blade that fits feels like: a light, even tug, as if pulled between two sheets of paper. It slides without being forced.',
  'glossary.rocker': 'Rocker',
  'glossary.rocker.forms': 'rocker|rockers',
  'glossary.rocker.says':
    'The arm that pushes the valve open. Wiggle it up and down with two fingers: a click means play, and play means that the valve is closed or nearly so.',
  'glossary.locknut': 'Locknut',
  'glossary.locknut.forms': 'locknut|locknuts',
  'glossary.locknut.says':
    'The nut that keeps the adjusting screw where it is. Tightening it pulls on the screw and changes the gap a little, so the gap is felt again after it is torqued.',
  'glossary.nip': 'Nip',
  'glossary.nip.forms': 'nip|nipped',
  'glossary.nip.says':
    'To turn the locknut down lightly, until it just holds, while you hold the screw still. Feel the gap, then torque it.',
  'glossary.decompressor': 'Decompressor',
  'glossary.decompressor.forms': 'decompressor|decompressors',
  'glossary.decompressor.says':
    'A small weight or pin on the cam that holds the exhaust open a little while the engine is cranked, so it starts easily. At the T line it can make a good valve look tight.',
  'glossary.past-top': 'Past top',
  'glossary.past-top.forms': 'past top',
  'glossary.past-top.says':
    'A little after TDC, told by how far the piston has come down, such as 6 mm by a soft rod in the plug hole. A decompressor has let go there, and both valves are still closed.',
  'glossary.flat': 'Flat',
  'glossary.flat.forms': 'flat|flats',
  'glossary.flat.says':
    'One side of a hex nut: a sixth of a turn, 60°. Half a flat is 30°. A handy way to judge a small turn by eye.',
  'glossary.prove': 'Prove',
  'glossary.prove.forms': 'prove|proved|proof',
  'glossary.prove.says':
    'To turn the engine over twice by hand after the nuts are torqued and measure every valve again. Only then is a gap known to stay.',
}
