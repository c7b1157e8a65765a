<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { valveById } from '~~/core/engine'
import { EVENTS, type Happening, type JobView } from '~~/core/job'
import { engravedShim } from '~~/core/shim'
import { formatLength, parseLength } from '~~/core/units'
import { wordsFor } from '../../../utils/errors'
import { t } from '../../../words'
import PanelFrame from './PanelFrame.vue'

/** The old shim as it reads and measures, or another size than the one asked for. */
const props = defineProps<{ view: JobView; valveId: string; kind: 'shim-read' | 'shim-size' }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
const name = computed(() => valveById(props.view.pin.spec.engine, props.valveId).name.toLowerCase())
const stepMm = computed(() => props.view.pin.spec.engine.shim?.stepMm ?? 0.05)
const engraved = ref('')
const measured = ref('')
const wrong = ref('')
/** More than this between engraving and micrometer is a slip, or another shim's number. From memory. */
const WORN_MM = 0.05

function submit(): void {
  wrong.value = ''
  try {
    const size = engraved.value.trim() === '' ? null : engravedShim(parseLength(engraved.value, 'mm').mm, stepMm.value)
    const by = measured.value.trim() === '' ? null : parseLength(measured.value, 'mm').mm
    if (size !== null && by !== null && Math.abs(size - by) > WORN_MM)
      throw new Error(
        t('shim-panel.engraved-and-measured-are-too', { size: formatLength(size, 'mm'), by: formatLength(by, 'mm') }),
      )
    if (props.kind === 'shim-size' && size === null) throw new Error(t('shim-panel.type-the-size-such-as'))
    const happening =
      props.kind === 'shim-read'
        ? { type: 'shim-read' as const, payload: { valveId: props.valveId, engravedMm: size, measuredMm: by } }
        : {
            type: 'shim-fitted' as const,
            payload: {
              valveId: props.valveId,
              mm: size!,
              from: props.view.pin.shimStockMm.includes(size!) ? ('stock' as const) : ('bought' as const),
              fromValveId: null,
            },
          }
    const parsed = EVENTS[happening.type].payload.safeParse(happening.payload)
    if (!parsed.success) throw parsed.error
    emit('record', { type: happening.type, payload: parsed.data } as Happening)
  } catch (error) {
    wrong.value = wordsFor(error)
  }
}
</script>

<template>
  <PanelFrame
    :title="kind === 'shim-read' ? t('shim-panel.shim-of-the', { name }) : t('shim-panel.another-size')"
    :label="t('shim-panel.shim')"
    @back="$emit('back')"
  >
    <form class="shim" @submit.prevent="submit">
      <div class="field">
        <label for="shim-engraved">{{
          kind === 'shim-read' ? t('shim-panel.engraved-mm') : t('shim-panel.size-for-the-mm', { name })
        }}</label><InputText
          id="shim-engraved"
          v-model="engraved"
          autofocus
          inputmode="decimal"
          autocomplete="off"
          placeholder="2.35"
        />
      </div>
      <div v-if="kind === 'shim-read'" class="field">
        <label for="shim-measured">{{ t('common.by-micrometer-mm') }}</label><InputText
          id="shim-measured"
          v-model="measured"
          inputmode="decimal"
          autocomplete="off"
          placeholder="2.352"
        />
        <p class="note">{{ t('shim-panel.the-measured-size-counts-without') }}</p>
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <Button type="submit" :label="kind === 'shim-read' ? t('common.record') : t('shim-panel.it-is-in')" />
    </form>
  </PanelFrame>
</template>

<style scoped>
.shim {
  display: grid;
  gap: 12px;
}
input {
  font-size: 20px;
  width: 100%;
}
</style>
