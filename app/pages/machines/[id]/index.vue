<script setup lang="ts">
import Button from 'primevue/button'
import Drawer from 'primevue/drawer'
import { computed, onMounted, ref } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { spanOf } from '~~/core/feeler'
import { causeWords, whenWords, whyWords } from '~~/core/history'
import { formatMeter } from '~~/core/units'
import type { MachineResponse } from '~~/shared/machines'
import LiftCurve from '../../../components/machine/LiftCurve.vue'
import MachineActions from '../../../components/machine/MachineActions.vue'
import MachineTag from '../../../components/machine/MachineTag.vue'
import PhotoStrip from '../../../components/machine/PhotoStrip.vue'
import ReminderPanel from '../../../components/machine/ReminderPanel.vue'
import { tagAddress, tagLines } from '../../../components/machine/tag-words'
import ValveChart from '../../../components/machine/ValveChart.vue'
import VisitLog from '../../../components/machine/VisitLog.vue'
import LoadingRows from '../../../components/shell/LoadingRows.vue'
import { useForm } from '../../../composables/useForm'
import { useSessionStore } from '../../../stores/session'
import { api } from '../../../utils/api'
import { t, tell } from '../../../words'

definePageMeta({ words: ['pages'] })
const id = Number(useRoute().params.id)
const session = useSessionStore()
const form = useForm()
const seen = ref<MachineResponse | null>(null)
const load = async () => {
  seen.value = (await form.send(() => api('GET /api/machines/:id', { id }))) ?? seen.value
}
onMounted(load)
useHead({
  title: () =>
    seen.value
      ? t('page-machines-id.wembric', { name: seen.value.machine.name })
      : t('page-machines-id.machine-wembric'),
})
const unit = computed(() => seen.value?.machine.meterUnit ?? 'h')
const timeZone = computed(() => session.shop?.timeZone ?? 'UTC')
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
const when = computed(() =>
  due.value
    ? tell(whenWords(due.value.first, seen.value!.firstMeter, unit.value))
    : t('page-machines-id.not-enough-yet'),
)
/** What stands in the side panel instead of the due date and the tag. */
const panel = ref<
  { kind: 'lift'; valveId: string } | { kind: 'actions' } | { kind: 'tell' } | { kind: 'photos' } | null
>(null)
const liftOf = computed(() =>
  panel.value?.kind === 'lift'
    ? (seen.value?.valves.find(v => v.valveId === (panel.value as { valveId: string }).valveId) ?? null)
    : null,
)
async function changed(intoId?: number): Promise<void> {
  if (intoId !== undefined) await navigateTo(`/machines/${intoId}`)
  else await load()
}
const about = computed(() => {
  const m = seen.value!.machine
  return [m.plate, m.model, m.lastMeter === null ? t('common.meter-not-read') : formatMeter(m.lastMeter, unit.value)]
    .filter(Boolean)
    .join(', ')
})
</script>

<template>
  <main v-if="seen" class="machine">
    <header>
      <h1>{{ seen.machine.name }}</h1>
      <p>
        <NuxtLink :to="`/customers/${seen.machine.customerId}`">{{ seen.machine.owner }}</NuxtLink>{{
          t('page-machines-id.spec-revision', { about, revision: seen.machine.revision ?? 'none' })
        }}
      </p>
      <Button severity="secondary" outlined @click="panel = { kind: 'photos' }">
        {{ t('common.photos') }}</Button><Button severity="secondary" outlined @click="panel = { kind: 'actions' }">
        {{ t('common.edit') }}</Button
      ><NuxtLink v-if="seen.machine.openJobId" class="key go" :to="`/jobs/${seen.machine.openJobId}`">{{
        t('page-machines-id.to-the-open-job')
      }}</NuxtLink
      ><NuxtLink v-else class="key go" :to="`/jobs/new?machine=${id}`">{{ t('common.new-job') }}</NuxtLink>
    </header>
    <div class="charts" :class="{ few: seen.valves.length <= 2 }">
      <ValveChart
        v-for="v in seen.valves"
        :key="v.valveId"
        :valve="v"
        :limits="spanOf(seen.engine.clearance[v.role])"
        :span="span"
        :meter-at="seen.firstMeter ?? 0"
        :unit="unit"
        :due="due?.first.use ?? null"
        :causes="due?.first.valveId === v.valveId"
        @effect="panel = { kind: 'lift', valveId: v.valveId }"
      />
    </div>
    <ReminderPanel
      v-if="panel?.kind === 'tell'"
      :customer-id="seen.machine.customerId"
      :weeks="60"
      @done="panel = null"
    />
    <aside v-else :aria-label="panel ? t('common.more') : t('page-machines-id.next-due')">
      <LiftCurve v-if="liftOf" :engine="seen.engine" :valve="liftOf" :time-zone="timeZone" @done="panel = null" />
      <template v-else>
        <p class="label">{{ t('page-machines-id.next-due') }}</p>
        <h2 data-testid="due">{{ when }}</h2>
        <p class="why">{{ tell(whyWords(due, name, Date.parse(seen.now))) }}</p>
        <ol v-if="due">
          <li v-for="(r, i) in due.all" :key="i" :class="{ first: i === 0 }">
            <span>{{ tell(causeWords(r, name, seen.engine.interval, unit)) }}</span><b>{{
              tell(whenWords(r, seen.firstMeter, unit))
            }}</b>
          </li>
        </ol>
        <p class="foot">
          <span>{{
            seen.usePerDay === null
              ? t('page-machines-id.use-a-day-not-enough')
              : t('page-machines-id.a-day-shaded-band-right', { usePerDay: seen.usePerDay.toFixed(1), unit })
          }}</span><Button v-if="due" severity="secondary" outlined @click="panel = { kind: 'tell' }">
            {{ t('common.tell-the-owner') }}
          </Button>
        </p>
        <NuxtLink class="tag-link" :to="`/machines/${id}/tag`" :aria-label="t('page-machines-id.print-the-tag')"
          ><MachineTag
            :tag="seen.machine.tag"
            :lines="[...tagLines(seen.machine), t('page-machines-id.print-the-tag-2')]"
            :address="tagAddress(seen.machine.tag)"
        /></NuxtLink>
      </template>
    </aside>
    <VisitLog :seen="seen" :time-zone="timeZone" />
    <Drawer
      :visible="panel?.kind === 'actions' || panel?.kind === 'photos'"
      position="right"
      class="side-drawer"
      :header="panel?.kind === 'photos' ? t('common.photos') : t('common.edit')"
      @update:visible="panel = null"
    >
      <PhotoStrip v-if="panel?.kind === 'photos'" :machine-id="id" /><MachineActions
        v-else
        :seen="seen"
        :unit="session.shop?.unit ?? 'mm'"
        :time-zone="timeZone"
        @changed="changed"
      />
    </Drawer>
  </main>
  <main v-else class="form">
    <h1>{{ t('common.machine') }}</h1>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <LoadingRows v-else :words="t('page-machines-id.looking-at-the-machine')" row-height="120px" :rows="3" />
  </main>
</template>

<style scoped>
.machine {
  display: grid;
  grid-template: 76px minmax(540px, 1fr) auto / minmax(0, 1fr) 384px;
  min-height: calc(100dvh - var(--shop-header));
}
.machine > header {
  grid-column: 1 / -1;
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 0 20px;
  border-bottom: 1.5px solid var(--ink);
}
h1 {
  font-size: 34px;
  line-height: 36px;
}
.machine > header p {
  color: var(--ink2);
  flex: 1;
  min-width: 0;
}
.go {
  place-items: center;
  padding: 0 18px;
  background: var(--petrol);
  color: var(--on-petrol);
  font: 600 19px/1 var(--figures);
  text-decoration: none;
  white-space: nowrap;
}
.charts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  grid-auto-rows: minmax(239px, 1fr);
  min-width: 0;
}
.charts.few {
  grid-template-columns: 1fr;
}
/* what stands in the panel never stretches the charts */
aside,
:deep(.tell) {
  overflow-y: auto;
  height: 0;
  min-height: 100%;
}
aside {
  border-left: 1.5px solid var(--ink);
  background: var(--sheet);
  padding: 20px 24px;
  display: grid;
  gap: 10px;
  align-content: start;
  min-width: 0;
}
aside > header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.label {
  font: 600 15px/1.2 var(--figures);
  color: var(--petrol);
}
aside h2 {
  font-size: 30px;
  line-height: 33px;
}
.why {
  font-size: 17px;
  line-height: 22px;
  color: var(--ink2);
}
ol {
  list-style: none;
  margin: 2px 0;
  padding: 0;
}
ol li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  font: 500 16px/1.25 var(--figures);
}
li b {
  text-align: right;
}
li.first {
  font-weight: 700;
  box-shadow: inset 4px 0 0 var(--petrol);
  padding-left: 12px;
}
.foot {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  font-size: 15.5px;
  line-height: 1.25;
  color: var(--ink2);
}
.foot .p-button {
  flex: none;
}
.tag-link {
  display: block;
  margin-top: 8px;
}
/* On paper: one valve under the other, then what is due and the visits; no keys. */
@media print {
  .machine {
    display: block;
    height: auto;
  }
  .machine > header :deep(.p-button),
  .machine > header .quiet,
  .machine > header .go,
  aside .p-button {
    display: none;
  }
  .charts {
    grid-template-columns: 1fr;
  }
  .charts > * {
    break-inside: avoid;
  }
  aside {
    border: 0;
    height: auto;
    min-height: 0;
    break-inside: avoid;
  }
}
@media (max-width: 900px) {
  .machine {
    display: block;
  }
  .machine > header {
    flex-wrap: wrap;
    padding: 12px 16px;
  }
  .machine > header p {
    flex: 1 1 100%;
  }
  .charts {
    grid-template-columns: 1fr;
  }
  aside {
    border: 0;
    padding: 16px;
  }
  aside,
  :deep(.tell) {
    height: auto;
    min-height: 0;
  }
}
</style>
