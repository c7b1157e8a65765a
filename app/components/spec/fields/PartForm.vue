<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { computed, onUnmounted, reactive, useId, watch } from 'vue'
import { MOST_SKIN_MINUTES, oddTorque, type Part, PART_KINDS, PART_SIDES, PATTERNS, SEAL_KINDS } from '~~/core/access'
import { fastenersText, parseFasteners } from '~~/core/access/fastener-text'
import type { Cylinder } from '~~/core/engine'
import { measuredValue, numberOf } from '~~/core/units'
import { wordsFor } from '../../../utils/errors'
import { named as nameOf, t } from '../../../words'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import { useUnread } from '../../forms/useUnread'

/** One part that comes off: what holds it, what it wants on the way back, what goes wrong with it. */
const props = defineProps<{ part: Part; cylinders: readonly Cylinder[] }>()
const emit = defineEmits<{ change: [part: Part]; unread: [is: boolean] }>()
const id = useId()
const { seal } = props.part
/** What stands while what is typed cannot be read; no part of what is watched, for the part comes back changed. */
const before = {
  fasteners: props.part.fasteners,
  torqueNm: props.part.torqueNm,
  skinMinutes: seal?.skinMinutes ?? null,
}
/** Figures are typed as words and read at each change, so that half a figure stays as it is typed. */
const typed = reactive({
  ...props.part,
  fasteners: fastenersText(props.part.fasteners),
  torque: props.part.torqueNm === null ? '' : String(props.part.torqueNm),
  seal: seal?.kind ?? null,
  on: seal?.on ?? '',
  skin: seal?.skinMinutes ? String(seal.skinMinutes) : '',
  clean: seal?.clean ?? false,
  oiled: seal?.oiled ?? false,
})
function read<T>(work: () => T): { value: T; wrong: '' } | { value: null; wrong: string } {
  try {
    return { value: work(), wrong: '' }
  } catch (error) {
    return { value: null, wrong: wordsFor(error) }
  }
}
const fasteners = computed(() => read(() => parseFasteners(typed.fasteners)))
const torque = computed(() => read(() => (typed.torque.trim() ? measuredValue('torque', typed.torque) : null)))
const skin = computed(() => {
  const minutes = typed.seal === 'compound' ? numberOf(typed.skin) : null
  return minutes === null || (minutes >= 1 && minutes <= MOST_SKIN_MINUTES)
    ? { value: minutes, wrong: '' }
    : { value: before.skinMinutes, wrong: t('part-form.skins-in-minutes') }
})
const told = computed((): Part => ({
  name: typed.name.trim(),
  kind: typed.kind,
  where: typed.where.trim(),
  side: typed.side,
  cylinderId: typed.cylinderId,
  fasteners: fasteners.value.value ?? before.fasteners,
  tool: typed.tool.trim(),
  torqueNm: torque.value.wrong ? before.torqueNm : torque.value.value,
  pattern: typed.pattern,
  seal:
    typed.seal === null
      ? null
      : {
          kind: typed.seal,
          on: typed.on.trim(),
          skinMinutes: skin.value.value,
          clean: typed.clean,
          oiled: typed.oiled,
        },
  trap: typed.trap.trim(),
}))
watch(told, part => {
  if (!fasteners.value.wrong) before.fasteners = part.fasteners
  if (!torque.value.wrong) before.torqueNm = part.torqueNm
  emit('change', part)
})
const unread = computed(() => [fasteners, torque, skin].some(({ value }) => value.wrong !== ''))
useUnread(() => unread.value)
watch(unread, is => emit('unread', is))
onUnmounted(() => emit('unread', false))
const oddly = computed(() => {
  const odd = oddTorque(told.value)
  return odd
    ? t('wrong.torque-of-no-such-thread', { ...odd, part: told.value.name, torqueNm: told.value.torqueNm ?? 0 })
    : torque.value.wrong
})
const none = { value: null, label: t('part-form.none') }
const KINDS = PART_KINDS.map(value => ({ value, label: t('part-form.kind', { kind: value }) }))
const SIDES = [none, ...PART_SIDES.map(value => ({ value, label: t('part-form.side', { side: value }) }))]
const PATTERN_CHOICES = [none, ...PATTERNS.map(value => ({ value, label: t('part-form.pattern', { pattern: value }) }))]
const SEAL_CHOICES = [none, ...SEAL_KINDS.map(value => ({ value, label: t('part-form.seal', { seal: value }) }))]
const cylinderChoices = computed(() => [none, ...props.cylinders.map(c => ({ value: c.id, label: nameOf(c.name) }))])
</script>

<template>
  <div class="grid">
    <TextField v-model="typed.name" :label="t('common.name')" />
    <ChoiceField v-model="typed.kind" :label="t('part-form.kind-of-part')" :options="KINDS" />
    <ChoiceField v-model="typed.side" :label="t('part-form.side-of-machine')" :options="SIDES" />
    <ChoiceField
      v-if="cylinders.length > 1"
      v-model="typed.cylinderId"
      :label="t('part-form.cylinder')"
      :options="cylinderChoices"
    />
    <TextField v-model="typed.where" :label="t('part-form.where')" />
    <TextField
      v-model="typed.fasteners"
      :label="t('part-form.fasteners')"
      :note="t('part-form.fasteners-note')"
      :wrong="fasteners.wrong || undefined"
    />
    <TextField v-model="typed.tool" :label="t('part-form.tool')" />
    <TextField v-model="typed.torque" :label="t('part-form.torque')" :wrong="oddly || undefined" />
    <ChoiceField v-model="typed.pattern" :label="t('part-form.order')" :options="PATTERN_CHOICES" />
    <ChoiceField v-model="typed.seal" :label="t('part-form.seal-kind')" :options="SEAL_CHOICES" />
    <template v-if="typed.seal !== null">
      <TextField v-model="typed.on" :label="t('part-form.seal-on')" />
      <TextField
        v-if="typed.seal === 'compound'"
        v-model="typed.skin"
        :label="t('part-form.skins-in')"
        inputmode="numeric"
        :wrong="skin.wrong || undefined"
      />
      <div class="tick">
        <Checkbox v-model="typed.clean" :input-id="`${id}-clean`" binary /><label :for="`${id}-clean`">{{
          t('part-form.clean')
        }}</label>
      </div>
      <div v-if="typed.seal === 'O-ring'" class="tick">
        <Checkbox v-model="typed.oiled" :input-id="`${id}-oiled`" binary /><label :for="`${id}-oiled`">{{
          t('part-form.oiled')
        }}</label>
      </div>
    </template>
    <TextField v-model="typed.trap" class="wide" :label="t('part-form.trap')" />
  </div>
</template>

<style scoped>
.grid {
  padding: 6px 0 16px;
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
