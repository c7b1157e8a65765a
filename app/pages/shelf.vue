<script setup lang="ts">
import { useHead } from '#imports'
import Button from 'primevue/button'
import { onMounted, reactive, ref } from 'vue'
import { formatLength, parseLength, thouFromMm } from '~~/core/units'
import type { BladeSetRow } from '~~/shared/responses'
import ChoiceField from '../components/forms/ChoiceField.vue'
import TextField from '../components/forms/TextField.vue'
import { useForm } from '../composables/useForm'
import { useSessionStore } from '../stores/session'
import { api, wordsFor } from '../utils/api'

useHead({ title: 'Shelf, Wembric' })
const session = useSessionStore()
const form = useForm()
const sets = ref<BladeSetRow[] | null>(null)
const typed = reactive({ name: '', unit: 'mm' as 'mm' | 'thou' | null, sizes: '' })
const sizesWrong = ref('')
const load = async () => { sets.value = await form.send(() => api.get<BladeSetRow[]>('/api/blade-sets')) ?? sets.value }
onMounted(load)

/** Sizes in one line, by spaces or semicolons: a decimal comma stays a comma. */
function sizesOf(line: string): number[] {
  const parts = line.includes('.') ? line.split(/[\s;,]+/) : line.split(/[\s;]+|,(?=\s)/)
  return parts.filter(Boolean).map(part => parseLength(part, typed.unit ?? 'mm').mm)
}
async function add(): Promise<void> {
  sizesWrong.value = ''
  let bladesMm: number[]
  try { bladesMm = sizesOf(typed.sizes) }
  catch (error) {
    sizesWrong.value = wordsFor(error)
    return
  }
  if (await form.send(() => api.post('/api/blade-sets', { name: typed.name, unit: typed.unit, bladesMm }))) {
    Object.assign(typed, { name: '', sizes: '' })
    await load()
  }
}
const sizeWrong = () => sizesWrong.value || form.refusal.value?.problem.fields?.find(f => f.field.startsWith('bladesMm'))?.message
</script>

<template>
  <main class="form">
    <h1>Shelf</h1>
    <p v-if="sets?.length === 0" class="lead">No blade set yet. A job needs one: the next blade is chosen from what you have.</p>
    <section v-for="set in sets" :key="set.id"><h2>{{ set.name }}</h2><p class="blades"><span v-for="b in set.bladesMm" :key="b"><b>{{ set.unit === 'mm' ? formatLength(b, 'mm') : thouFromMm(b).toFixed(1) }}</b> <small>{{ set.unit === 'mm' ? thouFromMm(b).toFixed(1) : formatLength(b, 'mm') }}</small></span></p></section>
    <form v-if="session.isLead" class="adding" @submit.prevent="add">
      <h2>Add a blade set</h2>
      <div class="grid">
        <TextField v-model="typed.name" label="Name" placeholder="Set B, thou" :wrong="form.wrong('name')" /><ChoiceField v-model="typed.unit" label="Engraved in" :options="[{ value: 'mm', label: 'mm' }, { value: 'thou', label: 'thou' }]" />
        <TextField v-model="typed.sizes" class="wide" label="Sizes, in one line" placeholder="0.03 0.04 0.05 0.06 0.08 0.10 …" note="Spaces between. A figure may carry its own unit: 4thou, .004in." :wrong="sizeWrong()" />
      </div>
      <p v-if="form.failed.value && !sizeWrong()" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions"><Button type="submit" label="Add it" :loading="form.busy.value" /></div>
    </form>
    <p v-else class="lead">A lead adds blade sets.</p>
  </main>
</template>

<style scoped>
.blades { display: flex; flex-wrap: wrap; gap: 10px 18px; padding-top: 10px; font-family: var(--figures); } .blades b { font-size: 19px; } small { color: var(--ink3); font-size: 14.5px; } .adding { display: grid; gap: 16px; }
</style>
