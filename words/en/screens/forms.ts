import { count, type Shown } from '../grammar'

/** What the screens say by themselves: by component, in the order of the alphabet. */
export const forms = {
  'machine-form.add-it': 'Add it',
  'machine-form.add-one-with-its-spec': 'add one with its spec',
  'machine-form.engine-model': 'Engine model',
  'machine-form.first': 'first.',
  'machine-form.may-stay-empty': 'May stay empty.',
  'machine-form.what-you-call-it': 'What you call it',
  'machine-form.no-engine-model-yet': 'No engine model yet:',
  'machine-pick.no-other-machine-like-that': 'No other machine like that.',
  'machine-pick.type-name-tag-plate-or': 'Type name, tag, plate or owner',
  'model-pick.intake-exhaust': ({ kind, intake, exhaust }: Shown<'kind' | 'intake' | 'exhaust'>) =>
    `${kind}, intake ${intake}, exhaust ${exhaust}`,
  'model-pick.nothing-like-that-in-the': 'Nothing like that in the spec book.',
  'model-pick.type-maker-model-or-code': 'Type maker, model or code',
  'owner-pick.a-new-owner': 'A new owner',
  'owner-pick.that-is-the-one': 'That’s the one',
  'owner-pick.is-here-already': ({ owner }: Shown<'owner'>) => `Already an owner here: ${owner}.`,
  'owner-pick.new-owners-name': 'New owner’s name',
  'owner-words.machines': ({ machines }: { machines: number }) => count(machines, 'machine'),
  'tasks-field.air-filter': 'Air filter',
  'tasks-field.also-to-do-on-this': 'Also to do on this visit',
  'tasks-field.head-bolts': 'Head bolts',
  'tasks-field.idle-and-mixture': 'Idle and mixture',
  'tasks-field.oil-change': 'Oil change',
  'tasks-field.warm-engine-after-the-valves': 'warm engine, after the valves',
}
