<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import Textarea from 'primevue/textarea'
import { computed, ref } from 'vue'
import {
  EVENTS,
  FINDING_ENDS,
  type FindingEnd,
  type Happening,
  itemWords,
  type JobView,
  partsToRemove,
  type Step,
} from '~~/core/job'
import { wordsFor } from '../../../utils/errors'
import { t, tell } from '../../../words'
import PhotoStrip from '../../machine/PhotoStrip.vue'
import BackButton from './BackButton.vue'
/** Something found: what is wrong, on which part, what is to become of it, with a photo. */
const props = defineProps<{ view: JobView; step: Step; jobId: number }>()
const emit = defineEmits<{ done: [happening: Happening]; back: [] }>()
const text = ref('')
const part = ref<string | null>(null)
const end = ref<FindingEnd | null>(null)
const wrong = ref('')
const parts = computed(() =>
  partsToRemove(props.view.pin.spec.engine).map(p => ({ value: p.name, label: tell(itemWords(p.name)) })),
)
const ENDS = FINDING_ENDS.map(value => ({ value, label: t('found-panel.end', { end: value }) }))

function submit(): void {
  const parsed = EVENTS.finding.payload.safeParse({
    text: text.value,
    step: props.step,
    ...(part.value === null ? {} : { part: part.value }),
    ...(end.value === null ? {} : { end: end.value }),
  })
  if (parsed.success) emit('done', { type: 'finding', payload: parsed.data })
  else wrong.value = wordsFor(parsed.error)
}
</script>

<template>
  <form class="found" @submit.prevent="submit" @keydown.esc="emit('back')">
    <label for="ask-field">{{ t('ask-form.what-did-you-find') }}</label>
    <Textarea
      id="ask-field"
      v-model="text"
      rows="2"
      auto-resize
      :invalid="!!wrong"
      :aria-describedby="wrong ? 'ask-wrong' : undefined"
    />
    <p v-if="wrong" id="ask-wrong" class="wrong" role="alert">{{ wrong }}</p>
    <label for="found-part">{{ t('found-panel.part') }}</label>
    <Select
      v-model="part"
      input-id="found-part"
      :options="parts"
      option-label="label"
      option-value="value"
      show-clear
      :placeholder="t('found-panel.none-of-these')"
    />
    <span id="found-end" class="label">{{ t('found-panel.what-becomes') }}</span>
    <SelectButton v-model="end" :options="ENDS" option-label="label" option-value="value" aria-labelledby="found-end" />
    <div class="actions">
      <Button type="submit" :label="t('common.record')" />
      <BackButton @back="emit('back')" />
    </div>
    <PhotoStrip :machine-id="view.pin.machine.id" :job-id="jobId" />
  </form>
</template>

<style scoped>
.found {
  display: grid;
  gap: 8px;
  align-content: start;
}
label,
.label {
  font-size: 17px;
}
textarea {
  font-size: 20px;
  width: 100%;
}
</style>
