<script setup lang="ts">
import { useHead } from '#imports'
import { NuxtLink } from '#components'
import { onMounted, ref } from 'vue'
import type { ModelRow } from '~~/shared/responses'
import { firingIntervalName } from '~~/core/engine'
import { limitsOf, targetOf } from '~~/core/feeler'
import { formatLength, thouFromMm } from '~~/core/units'
import { useForm } from '../../composables/useForm'
import { useSessionStore } from '../../stores/session'
import { api } from '../../utils/api'

useHead({ title: 'Spec book, Wembric' })
const session = useSessionStore()
const form = useForm()
const models = ref<ModelRow[] | null>(null)
const load = async () => { models.value = await form.send(() => api.get<ModelRow[]>('/api/models')) }
onMounted(load)
const span = (model: ModelRow, role: 'intake' | 'exhaust', show: (mm: number) => string) => {
  const clearance = model.engine.clearance[role]
  const limits = limitsOf(clearance)
  return limits ? `${show(limits.minMm)}–${show(limits.maxMm)}` : show(targetOf(clearance))
}
/** Saves a model as a file that another shop can take in. */
function save({ maker, model, code, kind, engine }: ModelRow): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([JSON.stringify({ maker, model, code, kind, engine }, null, 2)], { type: 'application/json' }))
  link.download = `${maker} ${model}.json`.replaceAll(/[^\w.-]+/g, '-').toLowerCase()
  link.click()
  URL.revokeObjectURL(link.href)
}
async function approve(model: ModelRow): Promise<void> {
  if (await form.send(() => api.post(`/api/models/${model.id}/approve`))) await load()
}
</script>

<template>
  <main class="form book">
    <div class="actions"><h1>Spec book</h1><NuxtLink class="quiet add" to="/spec-book/new">Add a model</NuxtLink></div>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <p v-if="models?.length === 0" class="lead">No models yet. Add one from a manual that you hold; the source and its date are kept with it.</p>
    <table v-if="models?.length" class="rows">
      <thead><tr><th>Model</th><th>Intake, mm</th><th>Exhaust, mm</th><th>thou</th><th>Source</th><th>Revision</th></tr></thead>
      <tbody>
        <tr v-for="m in models" :key="m.id">
          <td class="figures">{{ m.maker }} {{ m.model }}<br><small>{{ [m.kind, m.code, firingIntervalName(m.engine)].filter(Boolean).join(', ') }}</small></td>
          <td class="figures whole">{{ span(m, 'intake', v => formatLength(v, 'mm')) }}</td><td class="figures whole">{{ span(m, 'exhaust', v => formatLength(v, 'mm')) }}</td>
          <td class="whole">{{ span(m, 'intake', v => thouFromMm(v).toFixed(1)) }} / {{ span(m, 'exhaust', v => thouFromMm(v).toFixed(1)) }}</td>
          <td>{{ m.source }}, <span class="whole">{{ m.sourceDate }}</span></td>
          <td>{{ m.revision }}, {{ m.status }}, {{ m.author }}<br><button v-if="m.status === 'draft' && session.isLead" type="button" class="quiet" @click="approve(m)">Approve</button><button type="button" class="link" :aria-label="`Save ${m.maker} ${m.model} as a file`" @click="save(m)">Save as file</button></td>
        </tr>
      </tbody>
    </table>
  </main>
</template>

<style scoped>
.book { max-width: 1240px; } .whole, th { white-space: nowrap; } .add { margin-left: auto; } small { font: 400 14.5px/1.3 var(--sentences); color: var(--ink3); }
</style>
