<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { type Engine, HEAD_LAYOUTS, type Heads, INTAKE_SIDES, V_ANGLES_DEG } from '~~/core/engine'
import { numberOf } from '~~/core/units'
import { t } from '../../../words'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import { useUnread } from '../../forms/useUnread'
import HeadsDrag from './HeadsDrag.vue'

/** How the heads stand to one another and where the intakes are, with the picture that comes of it. */
const heads = defineModel<Heads | undefined>({ required: true })
const valves = defineModel<Engine['valves'] | undefined>('valves', { required: true })
const props = defineProps<{ engine: Engine | null }>()

const layouts = [
  { value: null, label: t('heads-fields.not-told') },
  ...HEAD_LAYOUTS.map(value => ({ value, label: t('heads-fields.layout', { layout: value }) })),
]
const sides = INTAKE_SIDES.map(value => ({ value, label: t('heads-fields.side', { side: value }) }))
/** Which cylinder is in which bank: by its name where that says a side, else turn about. */
function banksOf(layout: Heads['layout']): Heads['banks'] {
  const cylinders = props.engine?.cylinders ?? []
  if (layout === 'in line' || layout === 'transverse')
    return [{ name: t('common.head'), cylinderIds: cylinders.map(c => c.id) }]
  const first = cylinders.filter((c, i) =>
    /left|front/i.test(c.name) || /right|rear/i.test(c.name) ? /left|front/i.test(c.name.split(' ')[0]!) : i % 2 === 0,
  )
  const own =
    first.length > 0 && first.length < cylinders.length ? first : cylinders.slice(0, Math.ceil(cylinders.length / 2))
  const other = cylinders.filter(c => !own.includes(c))
  return [
    { name: own.length === 1 ? own[0]!.name : t('heads-fields.left'), cylinderIds: own.map(c => c.id) },
    { name: other.length === 1 ? other[0]!.name : t('heads-fields.right'), cylinderIds: other.map(c => c.id) },
  ]
}
const layout = computed({
  get: () => heads.value?.layout ?? null,
  set: value => {
    heads.value =
      value === null
        ? undefined
        : {
            layout: value,
            intakeSide: { 'V': 'between', 'flat': 'above', 'in line': 'left', 'transverse': 'rear' }[
              value
            ] as Heads['intakeSide'],
            banks: banksOf(value),
            ...(value === 'V' ? { angleDeg: 90 } : {}),
          }
  },
})
const intakeSide = computed({
  get: () => heads.value?.intakeSide ?? null,
  set: side => {
    if (heads.value && side) heads.value = { ...heads.value, intakeSide: side }
  },
})
/** The angle as it is typed, read at each change: half a figure stays as it is typed, and none is not told. */
const angle = ref(String(heads.value?.angleDeg ?? ''))
const angleDeg = computed(() => numberOf(angle.value.replace(/°\s*$/, '')))
const angleFits = computed(
  () =>
    layout.value !== 'V' ||
    angleDeg.value === null ||
    (angleDeg.value >= V_ANGLES_DEG.least && angleDeg.value <= V_ANGLES_DEG.most),
)
watch(angle, () => {
  if (!heads.value || layout.value !== 'V' || !angleFits.value) return
  const { angleDeg: _, ...others } = heads.value
  heads.value = angleDeg.value === null ? others : { ...others, angleDeg: angleDeg.value }
})
watch(
  () => heads.value?.angleDeg ?? null,
  now => {
    if (now !== angleDeg.value) angle.value = String(now ?? '')
  },
)
useUnread(() => !angleFits.value)
/** The maker’s own sign for a valve, or how the blade gets to it. Nothing typed is nothing told. */
function tell(id: string, what: 'sign' | 'access', text: string): void {
  valves.value = (valves.value ?? props.engine?.valves ?? []).map(v => {
    const { [what]: _, ...rest } = v
    return v.id !== id ? v : text.trim() ? { ...rest, [what]: text } : rest
  })
}
/** A valve by another name; one without any keeps the one it has. */
function rename(id: string, name: string): void {
  if (!name.trim()) return
  valves.value = (valves.value ?? props.engine?.valves ?? []).map(v => (v.id === id ? { ...v, name } : v))
}
const pictured = computed(() => (props.engine ? { ...props.engine, heads: heads.value } : null))
</script>

<template>
  <div class="heads-fields">
    <div class="grid">
      <ChoiceField
        v-model="layout"
        :label="t('heads-fields.heads-stand')"
        :options="layouts"
        :placeholder="t('heads-fields.not-told')"
      />
      <ChoiceField v-if="heads" v-model="intakeSide" :label="t('heads-fields.intakes')" :options="sides" />
      <TextField
        v-if="layout === 'V'"
        v-model="angle"
        :label="t('heads-fields.angle')"
        :wrong="angleFits ? undefined : t('heads-fields.angle-fits', V_ANGLES_DEG)"
        inputmode="numeric"
      />
    </div>
    <HeadsDrag v-if="pictured" class="picture" :engine="pictured" @valves="valves = $event" />
    <div v-if="engine" class="grid">
      <template v-for="v in engine.valves" :key="v.id">
        <TextField
          :model-value="v.name"
          :label="t('heads-fields.name', { name: v.name })"
          @update:model-value="rename(v.id, $event)"
        />
        <TextField
          :model-value="v.sign ?? ''"
          :label="t('heads-fields.sign', { name: v.name })"
          @update:model-value="tell(v.id, 'sign', $event)"
        />
        <TextField
          :model-value="v.access ?? ''"
          :label="t('heads-fields.access', { name: v.name })"
          @update:model-value="tell(v.id, 'access', $event)"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.heads-fields {
  padding-bottom: 18px;
}
.picture {
  padding-top: 10px;
}
</style>
