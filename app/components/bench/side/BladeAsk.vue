<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { type BladeSet, engraving, leavesOf, plainBlade } from '~~/core/feeler'
import { parseLength } from '~~/core/units'
import { wordsFor } from '../../../utils/errors'
import { t } from '../../../words'
import BackButton from './BackButton.vue'
/**
 * A blade by its size, typed, or a stack with plus signs: of the set in hand, or a message that names the neighbours.
 */
const props = defineProps<{ set: BladeSet }>()
const emit = defineEmits<{ done: [engravedMm: number[]]; back: [] }>()
const text = ref('')
const wrong = ref('')
const form = useTemplateRef<HTMLElement>('form')
onMounted(() => nextTick(() => form.value?.querySelector('input')?.focus()))

function bladeOf(part: string): number {
  const { mm } = parseLength(part, props.set.unit)
  const leaves = leavesOf(props.set)
  const known = leaves.find(l => Math.abs(l.engravedMm - mm) < 0.0006)
  if (known) return known.engravedMm
  const say = (v: number) => engraving(v, props.set.unit)
  const near = [leaves.findLast(l => l.engravedMm < mm), leaves.find(l => l.engravedMm > mm)]
    .filter(l => l !== undefined)
    .map(l => say(l.engravedMm))
  const gone = props.set.blades.some(b => b.condition === 'missing' && Math.abs(b.mm - mm) < 0.0006)
  throw new Error(
    t('blade-ask.is-the-nearest', {
      mm: say(plainBlade(mm).mm),
      unit: props.set.unit,
      gone: gone ? t('blade-ask.missing-from') : t('blade-ask.not-in'),
      name: props.set.name,
      near: near.join(' and '),
    }),
  )
}
function choose(): void {
  try {
    const blades = text.value.split('+').map(bladeOf)
    if (blades.length > 3) throw new Error(t('blade-ask.stack-three-blades-at-most'))
    if (new Set(blades).size < blades.length) throw new Error(t('blade-ask.the-same-blade-cant-be'))
    emit(
      'done',
      blades.sort((a, b) => b - a),
    )
  } catch (error) {
    wrong.value = wordsFor(error)
  }
}
</script>

<template>
  <form ref="form" class="ask" @submit.prevent="choose" @keydown.esc="emit('back')">
    <label for="blade-field">{{ t('blade-ask.which-blade-in', { unit: set.unit }) }}</label>
    <p class="note">{{ t('blade-ask.a-stack-with-plus', { unit: set.unit === 'mm' ? '0.08 + 0.04' : '3 + 1.5' }) }}</p>
    <InputText
      id="blade-field"
      v-model="text"
      :invalid="!!wrong"
      autocomplete="off"
      inputmode="text"
      :aria-describedby="wrong ? 'blade-wrong' : undefined"
    />
    <p v-if="wrong" id="blade-wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="actions">
      <Button type="submit" :label="t('blade-ask.try-this-one')" /><BackButton @back="emit('back')" />
    </div>
  </form>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 10px;
  align-content: start;
}
label {
  font-size: 18px;
}
.note {
  font-size: 15px;
  color: var(--ink2);
}
input {
  font-size: 20px;
  width: 100%;
}
</style>
