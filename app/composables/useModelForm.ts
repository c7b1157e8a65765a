import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { type Engine, FIRING_INTERVALS, firingIntervalName } from '~~/core/engine'
import {
  type Doubt,
  doubtsOf,
  emptySpec,
  type Exact,
  readSpec,
  SPEC_FIELDS,
  type SpecField,
  type SpecText,
  writeSpec,
} from '~~/core/spec-book'
import { numberOf } from '~~/core/units'
import { inWriting } from '~~/core/wrong'
import { z } from '~~/core/zod'
import type { ModelIdentity } from '~~/shared/spec-book'
import { tell } from '../words'
import { useTypedOver } from './useTypedOver'

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
/** What the cylinders of an engine are called and when they fire, for each interval people name. */
const CYLINDER_NAMES = [['Cylinder'], ['Left', 'Right'], ['Left', 'Right'], ['Left', 'Right'], ['1', '2', '3', '4']]
export const FIRING_CHOICES = FIRING_INTERVALS.map((anglesDeg, i) => ({
  label: capital(tell(firingIntervalName({ cylinders: anglesDeg.map(firingAngleDeg => ({ firingAngleDeg })) }))),
  value: anglesDeg.map((deg, n) => `${CYLINDER_NAMES[i]?.[n] ?? n + 1} ${deg}`).join(', '),
}))

const figure = numberOf

const NOT_CALLED = {
  ...{ maker: '', model: '', code: '', kind: '', family: '', displacementCc: '', yearFrom: '', yearTo: '' },
}
const identityFields = (identity: ModelIdentity): typeof NOT_CALLED => ({
  maker: identity.maker,
  model: identity.model,
  code: identity.code,
  kind: identity.kind,
  family: identity.family,
  displacementCc: String(identity.displacementCc ?? ''),
  yearFrom: String(identity.yearFrom ?? ''),
  yearTo: String(identity.yearTo ?? ''),
})

/** The plain form for a model, and how it becomes engine data. What is left empty is not claimed. */
export function useModelForm() {
  const called = useTypedOver(NOT_CALLED, identityFields)
  const model = called.given
  const spec = reactive<SpecText>(emptySpec())
  const exact = ref<Exact>({})
  const firing = ref<string | null>('Cylinder 0')
  const wrong = reactive<Partial<SpecText>>({})
  /** Doubts that were answered with “as printed”, and those still open. */
  const answered = ref<string[]>([])
  const doubts = shallowRef<Doubt[]>([])

  // the interval that people name fills in names and angles, which may then be changed
  watch(firing, chosen => {
    if (chosen) spec.cylinders = chosen
  })

  /** Fills the form with an engine's data, what plain fields cannot say kept beside them. */
  function fill(engine: Engine, identity?: ModelIdentity): void {
    const written = writeSpec(engine)
    Object.assign(spec, written.text)
    exact.value = written.exact
    firing.value = FIRING_CHOICES.find(c => c.value === spec.cylinders)?.value ?? null
    if (identity) called.begin(identity)
  }

  /** The engine data, or null with `wrong` saying which field and why, or `doubts` what must be answered first. */
  function engine(): Engine | null {
    for (const key of SPEC_FIELDS) Reflect.deleteProperty(wrong, key)
    const read = readSpec(spec, exact.value)
    for (const [field, says] of Object.entries(read.wrong)) wrong[field as SpecField] = tell(says)
    doubts.value = read.engine ? doubtsOf(read.engine) : []
    return read.engine
  }
  /** What is typed by the reader of specs, as a form is checked: what is wrong with each field. */
  const specSchema = z.unknown().superRefine((_, context) => {
    for (const [field, says] of Object.entries(readSpec(spec, exact.value).wrong))
      context.addIssue({ code: 'custom', path: [field], message: inWriting(says) })
  })
  /**
   * The engine as far as it is told, to be drawn: what must be known has a stand-in until it is. What cannot be read
   * keeps the picture as it was.
   */
  let pictured: Engine | null = null
  const soFar = computed((): Engine | null => {
    const told = { ...spec, intake: spec.intake || '0.1 mm', exhaust: spec.exhaust || '0.15 mm' }
    const read = readSpec(
      { ...told, source: spec.source || '…'.repeat(3), sourceDate: spec.sourceDate || '2000-01-01' },
      exact.value,
    )
    return (pictured = read.engine ?? pictured)
  })
  /** Fills in what was taken from a page; what was typed before gives way to it. */
  function take(fields: Partial<SpecText>): void {
    Object.assign(spec, fields)
  }
  const open = (): Doubt[] => doubts.value.filter(d => !answered.value.includes(d.id))
  /** What is odd about a field and not yet answered. */
  const doubtAt = (field: SpecField): string | undefined => {
    const doubt = open().find(d => d.field === field)
    return doubt && tell(doubt.says)
  }
  const identity = () => ({
    ...model,
    displacementCc: figure(model.displacementCc),
    yearFrom: figure(model.yearFrom),
    yearTo: figure(model.yearTo),
  })

  return {
    model,
    called,
    spec,
    exact,
    firing,
    wrong,
    doubts,
    answered,
    open,
    doubtAt,
    identity,
    fill,
    take,
    soFar,
    engine,
    specSchema,
  }
}
