<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { formatLength, parseLength } from '~~/core/units'

/** A blade by its size, typed: one of the pinned set, or a message that names its neighbours. */
const props = defineProps<{ bladesMm: number[], setName: string, unit: 'mm' | 'thou' }>()
const emit = defineEmits<{ done: [bladeMm: number], back: [] }>()
const text = ref('')
const wrong = ref('')
const form = useTemplateRef<HTMLElement>('form')
onMounted(() => nextTick(() => form.value?.querySelector('input')?.focus()))

function choose(): void {
  try {
    const { mm } = parseLength(text.value, props.unit)
    if (props.bladesMm.includes(mm)) return emit('done', mm)
    const near = [props.bladesMm.findLast(t => t < mm), props.bladesMm.find(t => t > mm)].filter(t => t !== undefined).map(t => formatLength(t, 'mm'))
    wrong.value = `${formatLength(mm, 'mm')} mm is not in ${props.setName}. The nearest: ${near.join(' and ')}.`
  }
  catch (error) { wrong.value = error instanceof Error ? error.message : 'That is not a size.' }
}
</script>

<template>
  <form ref="form" class="ask" @submit.prevent="choose" @keydown.esc="emit('back')">
    <label for="blade-field">Which blade, in {{ unit }}?</label>
    <InputText id="blade-field" v-model="text" :invalid="!!wrong" autocomplete="off" inputmode="decimal" :aria-describedby="wrong ? 'blade-wrong' : undefined" />
    <p v-if="wrong" id="blade-wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="actions"><Button type="submit" label="Try this one" /><button type="button" class="quiet" @click="emit('back')">Back <kbd>Esc</kbd></button></div>
  </form>
</template>

<style scoped>
.ask { display: grid; gap: 10px; align-content: start; } label { font-size: 18px; } input { font-size: 20px; width: 100%; }
</style>
