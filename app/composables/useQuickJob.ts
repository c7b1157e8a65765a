import { useLocalStorage } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { Complaint } from '~~/core/complaint'
import { type BladeSet, bladeSetSchema, USUAL_SETS } from '~~/core/feeler'
import { quickPin } from '~~/core/job/quick-pin'
import { type Quick, quickSchema, readSaidClearances, type SaidUnit } from '~~/core/quick'
import { deviceJobId } from '~~/shared/device-job'
import { bladeLine, bladesOf } from '../components/shelf/blade-line'
import { useSessionStore } from '../stores/session'
import { api, isAway } from '../utils/api'
import { wordsFor } from '../utils/errors'
import { t } from '../words'
import { useBeginHere } from './useBeginHere'
import { useDeviceShop } from './useDeviceShop'

/** What is told by a tap: as it was told last on this device. */
export type QuickTaps = Pick<Quick, 'engine' | 'valves' | 'adjuster' | 'mark' | 'measuredAt'>
const FIRST: QuickTaps = { engine: 'single', valves: 2, adjuster: 'valve-end', mark: true, measuredAt: 'not said' }
const ENGINE_NAMES: Record<Quick['engine'], string> = {
  'single': t('quick.single'),
  'twin-360': t('quick.twin-360'),
  'twin-180': t('quick.twin-180'),
  'twin-270': t('quick.twin-270'),
}

/** The figures as they were typed, in each way in which they may be read, and the one that was chosen. */
function useSaid() {
  const text = ref('')
  const chosen = ref<SaidUnit | null>(null)
  const readings = computed(() => readSaidClearances(text.value))
  // other figures were not what was chosen: “10 15” in hundredths says nothing of “4 6”
  watch(text, () => (chosen.value = null), { flush: 'sync' })
  /** One reading stands by itself; of two one is chosen. */
  const reading = computed(() =>
    readings.value.length === 1 ? readings.value[0]! : (readings.value.find(r => r.as === chosen.value) ?? null),
  )
  return { text, chosen, readings, reading }
}

/** The shop's sets, or where it has none the usual one that is nearest to what is in the drawer. */
function useSets() {
  const session = useSessionStore()
  const device = useDeviceShop()
  const sets = shallowRef<BladeSet[] | null>(null)
  const setName = ref<string | null>(null)
  const usual = ref(0)
  const sizes = ref(bladeLine(USUAL_SETS[0]!.blades, USUAL_SETS[0]!.unit))
  function takeUsual(index: number): void {
    usual.value = index
    sizes.value = bladeLine(USUAL_SETS[index]!.blades, USUAL_SETS[index]!.unit)
  }
  async function read(): Promise<void> {
    const { shop, person } = session
    if (!shop) return
    const rows = await api('GET /api/blade-sets').catch(async error => {
      if (isAway(error)) session.offline = true
      return (await device.known())?.sets ?? []
    })
    sets.value = rows.map(({ id: _, ...set }) => set)
    setName.value = (rows.find(s => s.id === person?.favouriteSetId) ?? rows[0])?.name ?? null
  }
  /** Nothing begins before it is known what is on the shelf: a usual set would stand in for the shop’s own. */
  let reading: Promise<void> = Promise.resolve()
  onMounted(() => (reading = read().catch(() => {})))
  /** The set in hand. @throws Error in words where the typed sizes are none */
  function bladeSet(): BladeSet {
    const known = sets.value?.find(s => s.name === setName.value)
    if (known) return known
    const { unit } = USUAL_SETS[usual.value]!
    const parsed = bladeSetSchema.safeParse({
      name: t('quick.drawer-set'),
      unit,
      blades: bladesOf(sizes.value, unit),
    })
    if (!parsed.success) throw parsed.error
    return parsed.data
  }
  return { sets, setName, usual, sizes, takeUsual, bladeSet, isRead: () => reading }
}

/** A job that begins here and now, whether a server answers or not. */
export function useQuickJob() {
  const session = useSessionStore()
  const here = useBeginHere()
  const taps = useLocalStorage<QuickTaps>('wembric-quick', FIRST, { mergeDefaults: true })
  const said = useSaid()
  const drawer = useSets()
  /** What it comes for; asked about once it ran. */
  const complaints = ref<Complaint[]>([])
  const wrong = ref('')
  const busy = ref(false)

  /** What is wrong with the figures, to be said when they are left or sent. */
  function figuresWrong(): string {
    if (!said.text.value.trim()) return t('quick.give-the-clearances')
    if (said.readings.value.length === 0) return t('quick.cannot-be-read')
    return said.reading.value ? '' : t('quick.choose-how-it-is-meant')
  }
  /** @returns the new job's id, or null with `wrong` saying why there is none */
  async function begin(): Promise<number | null> {
    if (busy.value) return null
    const { person, shop } = session
    wrong.value = figuresWrong()
    const reading = said.reading.value
    if (wrong.value || !person || !shop || !reading) return null
    busy.value = true
    try {
      const quick = quickSchema.parse({
        ...taps.value,
        text: said.text.value,
        clearance: reading.clearance,
      })
      await drawer.isRead()
      const engine = ENGINE_NAMES[quick.engine]
      const { openedAt, openedBy, ways } = here.now()
      const bladeSet = drawer.bladeSet()
      const request = {
        id: deviceJobId(),
        quick,
        called: {
          machine: t('quick.machine-called', { engine, valves: quick.valves, figures: said.text.value.trim() }),
          model: t('quick.model-called'),
          source: t('quick.source-called', { person: person.name }),
        },
        bladeSet,
        complaints: complaints.value,
        openedAt,
      }
      const pin = quickPin({
        jobId: request.id,
        quick,
        complaints: request.complaints,
        bladeSet,
        shelf: {
          otherSets: (drawer.sets.value ?? []).filter(s => s.name !== bladeSet.name),
          wrenches: [],
          adapters: [],
        },
        ways,
        called: request.called,
        openedAt,
        openedBy,
      })
      return await here.begin(pin, { kind: 'quick', request })
    } catch (error) {
      wrong.value = wordsFor(error)
      return null
    } finally {
      busy.value = false
    }
  }
  return { ...said, ...drawer, taps, complaints, wrong, busy, figuresWrong, begin }
}
