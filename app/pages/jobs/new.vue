<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { computed, nextTick, onMounted, reactive, ref } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import type { Complaint } from '~~/core/complaint'
import { formatMeter } from '~~/core/units'
import { openJobSchema } from '~~/shared/jobs'
import type { MachineRow } from '~~/shared/machines'
import type { BladeSetRow } from '~~/shared/shelf'
import CheckedForm from '../../components/forms/CheckedForm.vue'
import ChoiceField from '../../components/forms/ChoiceField.vue'
import ComplaintsField from '../../components/forms/ComplaintsField.vue'
import MachineForm from '../../components/forms/MachineForm.vue'
import TasksField from '../../components/forms/TasksField.vue'
import TextField from '../../components/forms/TextField.vue'
import { meterEither, meterOf } from '../../components/machine/meter-field'
import { useDeviceShop } from '../../composables/useDeviceShop'
import { useForm } from '../../composables/useForm'
import { useMachineSearch } from '../../composables/useMachineSearch'
import { useNewJob } from '../../composables/useNewJob'
import { useSessionStore } from '../../stores/session'
import { api, isAway } from '../../utils/api'
import { dayAndTime } from '../../utils/day-and-time'
import { t } from '../../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-jobs-new.new-job-wembric') })
const session = useSessionStore()
const form = useForm()
const loading = useForm()
const { q: text, found, failed, find, fetchedAt } = useMachineSearch()
const device = useDeviceShop()
const jobs = useNewJob()
/** What the address looks for: what somebody types meanwhile chooses nothing by itself. */
const named = String(useRoute().query.q ?? '')
text.value = named
const machine = ref<MachineRow | null>(null)
const adding = ref(false)
const sets = ref<BladeSetRow[]>([])
const job = reactive({
  bladeSetId: null as number | null,
  meter: '',
  meterReplaced: false,
  complaints: [] as Complaint[],
  complaint: '',
  tasks: [] as { name: string; needs: 'cold' | 'warm' | 'either' }[],
})

/** A machine that was named in the address, as a tag's page does, or the only one that fits it, is chosen at once. */
const wanted = Number(useRoute().query.machine ?? 0)
onMounted(async () => {
  if (wanted)
    machine.value = await loading.send(async () => (await api('GET /api/machines/:id', { id: wanted })).machine)
  await find()
  if (!machine.value && named && text.value === named && found.value?.length === 1) await choose(found.value[0]!)
})
const reading = useForm()
/** Until then no job is opened: a tap before would find no blades, and say so of a set that comes in after it. */
const isRead = ref(false)
onMounted(async () => {
  sets.value =
    (await reading.send(async () => {
      try {
        return await api('GET /api/blade-sets')
      } catch (error) {
        const known = isAway(error) ? await device.known() : null
        if (!known) throw error
        return known.sets
      }
    })) ?? []
  const mine = sets.value.find(s => s.id === session.person?.favouriteSetId) ?? sets.value[0]
  job.bladeSetId = mine?.id ?? null
  isRead.value = true
})
const setOptions = computed(() => sets.value.map(s => ({ value: s.id, label: s.name })))

/** As it was read last, where it is the same meter. */
const lastMeter = computed(() => (job.meterReplaced ? null : (machine.value?.lastMeter ?? null)))
const body = () => ({ ...job, meter: meterOf(job.meter, lastMeter.value), machineId: machine.value?.id })
async function open(): Promise<void> {
  const chosen = machine.value
  if (!chosen) return
  const made = await form.send(() => jobs.open(chosen, openJobSchema.parse(body())))
  if (made) await navigateTo(`/jobs/${made.id}`)
}
/** The next field takes the focus, so that the keyboard goes on where the eye does. */
async function choose(row: MachineRow): Promise<void> {
  machine.value = row
  // what was typed may be of this one; that its meter was replaced was said of the one before, and of no other
  job.meterReplaced = false
  form.forget()
  await nextTick()
  document.querySelector<HTMLInputElement>('.open input')?.focus()
}
/** Enter takes the first of what fits what is typed by now. */
async function takeFirst(): Promise<void> {
  if (!text.value.trim() || !(await find())) return
  const [first] = found.value ?? []
  if (first) await choose(first)
}
function added(row: MachineRow): void {
  adding.value = false
  void choose(row)
}
</script>

<template>
  <main class="form">
    <h1>{{ t('common.new-job') }}</h1>
    <template v-if="!machine && !adding">
      <div class="field">
        <label for="find">{{ t('page-jobs-new.scan-a-tag-or-type') }}</label><InputText
          id="find"
          v-model="text"
          autofocus
          :placeholder="t('page-jobs-new.tag-name-or-owner')"
          @keydown.enter.prevent="takeFirst"
        />
      </div>
      <!-- above what is found: a list that comes in late moves no button from under a finger -->
      <div class="actions">
        <Button severity="secondary" outlined @click="adding = true"> {{ t('common.add-a-machine') }}</Button><NuxtLink
          class="quiet"
          to="/"
          >{{ t('page-jobs-new.back-to-the-bay') }}</NuxtLink
        >
      </div>
      <ul class="found" :aria-label="t('common.machines')">
        <li v-for="m in found" :key="m.id">
          <button type="button" class="key" :data-machine="m.tag" @click="choose(m)">
            <span
              ><b>{{ m.name }}</b
              ><small
                >{{ m.tag }} · {{ m.model }} · {{ m.owner }}{{ m.openJobId ? t('page-jobs-new.open') : '' }}</small
              ></span
            >
          </button>
        </li>
      </ul>
      <p v-if="fetchedAt" class="lead" role="status">
        {{ t('new-job.from-this-device', { at: dayAndTime(fetchedAt) }) }}
      </p>
      <p v-if="found?.length === 0" class="lead">
        {{ text ? t('page-jobs-new.no-machine-like-that-in') : t('page-jobs-new.this-shop-has-no-machines') }}
      </p>
      <p v-if="failed || loading.failed.value" class="wrong" role="alert">{{ failed || loading.failed.value }}</p>
    </template>
    <MachineForm v-else-if="adding" :called="found?.length === 0 ? text : ''" @added="added" @back="adding = false" />
    <CheckedForm v-else-if="machine" class="open" :form="form" :schema="openJobSchema" :body="body" @send="open">
      <p class="said">
        <b class="figures">{{ machine.name }}</b>{{
          t('page-jobs-new.spec-revision', {
            model: machine.model,
            owner: machine.owner,
            revision: machine.revision ?? 'none',
          })
        }}<b v-if="machine.status === 'draft'"> {{ t('page-jobs-new.draft') }}</b
        >{{ t('page-jobs-new.you-confirm-it-at-the') }}
      </p>
      <p v-if="machine.openJobId" class="said">
        {{ t('page-jobs-new.this-machine-has-an-open') }}
        <NuxtLink :to="`/jobs/${machine.openJobId}`">{{ t('page-jobs-new.open-that-one') }}</NuxtLink>.
      </p>
      <div class="grid">
        <TextField
          v-model="job.meter"
          :label="t('page-jobs-new.meter', { meterUnit: machine.meterUnit })"
          inputmode="decimal"
          :note="
            machine.lastMeter === null
              ? t('page-jobs-new.no-reading-yet-leave-it')
              : t('page-jobs-new.last-time', { lastMeter: formatMeter(machine.lastMeter, machine.meterUnit) })
          "
          :wrong="meterEither(job.meter, lastMeter) || undefined"
          name="meter"
        />
        <ChoiceField
          v-model="job.bladeSetId"
          :label="t('page-jobs-new.blade-set')"
          :options="setOptions"
          name="bladeSetId"
          :note="sets.length || !isRead || reading.failed.value ? undefined : t('page-jobs-new.none-on-the-shelf-yet')"
        />
        <ComplaintsField v-model="job.complaints" class="wide" />
        <TextField
          v-model="job.complaint"
          class="wide"
          :label="t('page-jobs-new.in-the-owners-words')"
          :placeholder="t('page-jobs-new.ticks-on-the-left')"
          name="complaint"
        />
        <TasksField v-model="job.tasks" class="wide" />
        <div v-if="form.refusal.value?.problem.code === 'meter-lower'" class="wide tick">
          <Checkbox v-model="job.meterReplaced" input-id="replaced" binary /><label for="replaced">{{
            t('page-jobs-new.the-meter-was-replaced')
          }}</label>
        </div>
      </div>
      <p v-if="reading.failed.value" class="wrong" role="alert">{{ reading.failed.value }}</p>
      <p v-if="form.failed.value && !form.wrong('meter')" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions">
        <Button type="submit" :label="t('page-jobs-new.open-the-job')" :loading="form.busy.value || !isRead" /><Button
          severity="secondary"
          outlined
          @click="machine = null"
        >
          {{ t('page-jobs-new.a-different-machine') }}
        </Button>
      </div>
    </CheckedForm>
  </main>
</template>

<style scoped>
.found {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.key {
  width: 100%;
  padding: 10px 16px;
}
b {
  font: 600 20px/1.2 var(--figures);
}
small {
  display: block;
  font-size: 15px;
  color: var(--ink2);
}
.open {
  display: grid;
  gap: 20px;
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
