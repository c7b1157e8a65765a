<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'
import { EVENTS, type Happening } from '~~/core/job'
import { formatLength, parseLength } from '~~/core/units'
import { wordsFor } from '../../../utils/errors'
import { t } from '../../../words'

/**
 * What tightening the nut does to the gap, by the mechanic’s own word: so much is aimed off until this job’s nuts say
 * otherwise.
 */
const props = defineProps<{ shiftMm: number | null; unit: 'mm' | 'thou' }>()
const emit = defineEmits<{ record: [happening: Happening] }>()
const WAYS = [
  { label: t('aim-off-form.closes-it-by'), sign: -1 },
  { label: t('aim-off-form.opens-it-by'), sign: 1 },
]
const way = ref((props.shiftMm ?? -1) > 0 ? 1 : -1)
const text = ref(props.shiftMm === null ? '' : formatLength(Math.abs(props.shiftMm), props.unit))
const wrong = ref('')
const hint = computed(() => (props.unit === 'thou' ? t('aim-off-form.hint-thou') : t('aim-off-form.hint-mm')))

function submit(): void {
  try {
    const shiftMm = way.value * parseLength(text.value, props.unit).mm
    const parsed = EVENTS['aim-off-chosen'].payload.safeParse({ shiftMm })
    if (parsed.success) emit('record', { type: 'aim-off-chosen', payload: parsed.data })
    else wrong.value = wordsFor(parsed.error)
  } catch (error) {
    wrong.value = wordsFor(error)
  }
}
</script>

<template>
  <form class="aim-off" @submit.prevent="submit">
    <SelectButton
      v-model="way"
      :options="WAYS"
      option-label="label"
      option-value="sign"
      :allow-empty="false"
      :aria-label="t('aim-off-form.which-way-locking-moves-the')"
    />
    <label for="aim-off" class="hidden-words">{{ t('aim-off-form.by-how-much') }}</label>
    <InputText
      id="aim-off"
      v-model="text"
      :placeholder="hint"
      :invalid="!!wrong"
      autocomplete="off"
      :aria-describedby="wrong ? 'aim-off-wrong' : undefined"
    />
    <Button type="submit" :label="t('aim-off-form.use-this')" />
    <p v-if="wrong" id="aim-off-wrong" class="wrong" role="alert">{{ wrong }}</p>
  </form>
</template>

<style scoped>
.aim-off {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
}
.aim-off > :first-child,
.wrong {
  grid-column: 1 / -1;
}
input {
  font-size: 18px;
  min-width: 0;
}
</style>
