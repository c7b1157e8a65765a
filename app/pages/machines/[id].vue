<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import { computed, onMounted, ref } from 'vue'
import { spanOf } from '~~/core/feeler'
import { formatMeter } from '~~/core/units'
import type { MachineResponse } from '~~/shared/machines'
import ValveChart from '../../components/machine/ValveChart.vue'
import { causeWords, whenWords, whyWords } from '../../components/machine/due-words'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'

const id = Number(useRoute().params.id)
const form = useForm()
const seen = ref<MachineResponse | null>(null)
onMounted(async () => { seen.value = await form.send(() => api.get<MachineResponse>(`/api/machines/${id}`)) ?? null })
useHead({ title: () => seen.value ? `${seen.value.machine.name}, Wembric` : 'Machine, Wembric' })
const unit = computed(() => seen.value?.machine.meterUnit ?? 'h')
const name = (valveId: string) => seen.value?.valves.find(v => v.valveId === valveId)?.name ?? valveId
/** From a little before the first reading to a check and a half beyond now. */
const span = computed(() => {
  const uses = seen.value?.valves[0]?.points.flatMap(p => p.use ?? []) ?? []
  const [first, last] = [uses[0] ?? 0, seen.value?.useNow ?? uses.at(-1) ?? 0]
  const ahead = seen.value?.engine.interval.use ?? Math.max(100, (last - first) / 2)
  const pad = (last + ahead - first) * 0.04
  return { from: first - pad, to: Math.max(last, uses.at(-1) ?? 0) + ahead * 1.2 }
})
const due = computed(() => seen.value?.due ?? null)
const when = computed(() => due.value ? whenWords(due.value.first, seen.value!.firstMeter, unit.value) : 'Not enough yet')
</script>

<template>
  <main v-if="seen" class="machine">
    <header><h1>{{ seen.machine.name }}</h1><p>{{ seen.machine.owner }}, {{ seen.machine.tag }}, {{ seen.machine.model }}, {{ seen.machine.lastMeter === null ? 'meter not read' : formatMeter(seen.machine.lastMeter, unit) }}. Spec revision {{ seen.machine.revision ?? 'none' }}</p>
      <NuxtLink class="quiet" to="/machines">All machines</NuxtLink><NuxtLink v-if="seen.machine.openJobId" class="key go" :to="`/jobs/${seen.machine.openJobId}`">To the open job</NuxtLink><NuxtLink v-else class="key go" to="/jobs/new">New job</NuxtLink></header>
    <div class="charts" :class="{ few: seen.valves.length <= 2 }">
      <ValveChart v-for="v in seen.valves" :key="v.valveId" :valve="v" :limits="spanOf(seen.engine.clearance[v.role])" :span="span" :meter-at="seen.firstMeter ?? 0" :unit="unit" :due="due?.first.use ?? null" :causes="due?.first.valveId === v.valveId" />
    </div>
    <aside aria-label="Next due">
      <p class="label">Next due</p><h2 data-testid="due">{{ when }}</h2><p class="why">{{ whyWords(due, name) }}</p>
      <ol v-if="due"><li v-for="(r, i) in due.all" :key="i" :class="{ first: i === 0 }"><span>{{ causeWords(r, name, seen.engine.interval, unit) }}</span><b>{{ whenWords(r, seen.firstMeter, unit) }}</b></li></ol>
      <p class="why">{{ seen.usePerDay === null ? 'Use a day: not enough yet.' : `${seen.usePerDay.toFixed(1)} ${unit} a day. Fans hold eight of ten.` }}</p>
    </aside>
    <section class="log" aria-label="Visits">
      <p v-if="seen.visits.length === 0" class="why">No visit is closed yet. What the first one finds and leaves stands here.</p>
      <NuxtLink v-for="v in seen.visits" :key="v.jobId" class="visit" :to="`/jobs/${v.jobId}/sheet`"><b>{{ new Date(v.closedAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' }) }}</b><span>job {{ v.number }}</span><p>{{ v.meter === null ? 'meter not read' : formatMeter(v.meter, unit) }}, {{ v.person }}</p><p>{{ v.words }}</p></NuxtLink>
    </section>
  </main>
  <main v-else class="form"><h1>Machine</h1><p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p><p v-else role="status">Looking at the machine …</p></main>
</template>

<style scoped>
.machine { display: grid; grid-template: 76px minmax(478px, 1fr) auto / minmax(0, 1fr) 384px; min-height: calc(100dvh - 57px); }
header { grid-column: 1 / -1; display: flex; gap: 14px; align-items: center; padding: 0 20px; border-bottom: 1.5px solid var(--ink); } h1 { font-size: 34px; line-height: 36px; white-space: nowrap; } header p { color: var(--ink2); flex: 1; min-width: 0; } .go { place-items: center; padding: 0 18px; background: var(--petrol); color: var(--on-petrol); font: 600 19px/1 var(--figures); text-decoration: none; }
.charts { display: grid; grid-template-columns: 1fr 1fr; grid-auto-rows: minmax(239px, 1fr); min-width: 0; } .charts.few { grid-template-columns: 1fr; }
aside { border-left: 1.5px solid var(--ink); background: var(--sheet); padding: 22px 24px; display: grid; gap: 10px; align-content: start; } .label { font: 600 15px/1.2 var(--figures); color: var(--petrol); } aside h2 { font-size: 30px; line-height: 33px; } .why { font-size: 17px; line-height: 22px; color: var(--ink2); }
ol { list-style: none; margin: 6px 0; padding: 0; } li { display: grid; grid-template-columns: 1fr auto; gap: 12px; padding: 9px 0; border-bottom: 1px solid var(--line); font: 500 16px/1.25 var(--figures); } li b { text-align: right; } li.first { font-weight: 700; box-shadow: inset 4px 0 0 var(--petrol); padding-left: 12px; }
.log { grid-column: 1 / -1; display: grid; grid-template-columns: repeat(auto-fill, minmax(236px, 1fr)); border-top: 1.5px solid var(--ink); background: var(--sunk); } .log > .why { padding: 20px; } .visit { padding: 14px 18px; border-right: 1px solid var(--line); border-bottom: 1px solid var(--line); color: var(--ink); text-decoration: none; display: grid; grid-template-columns: 1fr auto; gap: 3px 10px; align-content: start; min-height: 100px; } .visit:first-child { background: var(--sheet); box-shadow: inset 0 4px 0 var(--petrol); } .visit b { font: 600 18px/1.2 var(--figures); } .visit span { font: 500 15px/1.3 var(--figures); color: var(--ink2); } .visit p { grid-column: 1 / -1; font-size: 15.5px; color: var(--ink2); }
@media (max-width: 900px) { .machine { display: block; } header { flex-wrap: wrap; padding: 12px 16px; } .charts { grid-template-columns: 1fr; } aside { border: 0; } }
</style>
