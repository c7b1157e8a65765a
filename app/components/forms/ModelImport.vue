<script setup lang="ts">
import { ref, useId } from 'vue'
import { firingIntervalName } from '~~/core/engine'
import { type ModelRequest, modelSchema } from '~~/shared/requests'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'

/** A model from a file that this or another shop saved: shown before it is added, or refused with each field and reason. */
const emit = defineEmits<{ added: [] }>()
const id = useId()
const form = useForm()
const read = ref<ModelRequest | null>(null)
const problems = ref<{ field: string, reason: string }[]>([])
const MOST_BYTES = 256 * 1024

async function take(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  read.value = null
  problems.value = []
  if (!file) return
  if (file.size > MOST_BYTES) return void (problems.value = [{ field: 'file', reason: 'This file is over 256 KB: no saved model is as large. Choose another.' }])
  let data: unknown
  try { data = JSON.parse(await file.text()) }
  catch { return void (problems.value = [{ field: 'file', reason: 'This is not a saved model: it is not readable JSON. Choose a file that “Save as file” made.' }]) }
  const parsed = modelSchema.safeParse(data)
  if (parsed.success) read.value = parsed.data
  else problems.value = parsed.error.issues.map(i => ({ field: i.path.join(' › ') || 'file', reason: i.message }))
}
async function add(): Promise<void> {
  if (read.value && await form.send(() => api.post('/api/models', read.value))) emit('added')
}
</script>

<template>
  <section class="import">
    <label :for="id">From a saved file</label>
    <input :id="id" type="file" accept="application/json,.json" @change="take">
    <div v-if="problems.length" class="said" role="alert"><p class="wrong">Not taken. Nothing was changed.</p><ul><li v-for="p in problems.slice(0, 12)" :key="p.field + p.reason"><b>{{ p.field }}</b>: {{ p.reason }}</li></ul><p v-if="problems.length > 12">and {{ problems.length - 12 }} more.</p></div>
    <div v-if="read" class="said"><p><b>{{ read.maker }} {{ read.model }}</b>, {{ firingIntervalName(read.engine) }}, {{ read.engine.valves.length }} valves, from {{ read.engine.source }}.</p><button type="button" class="quiet" :disabled="form.busy.value" @click="add">Add this model</button></div>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
  </section>
</template>

<style scoped>
.import { display: grid; gap: 8px; justify-items: start; } label { font-size: 16px; } ul { margin: 6px 0 0; padding-left: 20px; } input { font-size: 16px; min-height: 44px; } .said { display: grid; gap: 8px; justify-items: start; }
</style>
