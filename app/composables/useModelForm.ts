import { reactive, ref, watch } from 'vue'
import { type Engine, FIRING_INTERVALS } from '~~/core/engine'
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
import type { ModelIdentity } from '~~/shared/spec-book'

/** What the cylinders of an engine are called and when they fire, for each interval people name. */
const CYLINDER_NAMES = [['Cylinder'], ['Left', 'Right'], ['Left', 'Right'], ['Left', 'Right'], ['1', '2', '3', '4']]
export const FIRING_CHOICES = FIRING_INTERVALS.map(({ name, anglesDeg }, i) => ({
  label: name,
  value: anglesDeg.map((deg, n) => `${CYLINDER_NAMES[i]?.[n] ?? n + 1} ${deg}`).join(', '),
}))

const figure = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')))

/** The plain form for a model, and how it becomes engine data. What is left empty is not claimed. */
export function useModelForm() {
  const model = reactive({
    maker: '',
    model: '',
    code: '',
    kind: '',
    family: '',
    displacementCc: '',
    yearFrom: '',
    yearTo: '',
  })
  const spec = reactive<SpecText>({ ...emptySpec(), coverPattern: 'crosswise', months: '12' })
  const exact = ref<Exact>({})
  const firing = ref<string | null>('Cylinder 0')
  const wrong = reactive<Partial<SpecText>>({})
  /** Doubts that were answered with “as printed”, and those still open. */
  const answered = ref<string[]>([])
  const doubts = ref<Doubt[]>([])

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
    if (identity)
      Object.assign(model, {
        maker: identity.maker,
        model: identity.model,
        code: identity.code,
        kind: identity.kind,
        family: identity.family,
        displacementCc: String(identity.displacementCc ?? ''),
        yearFrom: String(identity.yearFrom ?? ''),
        yearTo: String(identity.yearTo ?? ''),
      })
  }

  /** The engine data, or null with `wrong` saying which field and why, or `doubts` what must be answered first. */
  function engine(): Engine | null {
    for (const key of SPEC_FIELDS) Reflect.deleteProperty(wrong, key)
    const read = readSpec(spec, exact.value)
    Object.assign(wrong, read.wrong)
    doubts.value = read.engine ? doubtsOf(read.engine) : []
    return read.engine
  }
  const open = () => doubts.value.filter(d => !answered.value.includes(d.id))
  /** What is odd about a field and not yet answered. */
  const doubtAt = (field: SpecField): Doubt | undefined => open().find(d => d.field === field)
  const identity = () => ({
    ...model,
    displacementCc: figure(model.displacementCc),
    yearFrom: figure(model.yearFrom),
    yearTo: figure(model.yearTo),
  })

  return { model, spec, exact, firing, wrong, doubts, answered, open, doubtAt, identity, fill, engine }
}
