<script setup lang="ts">
import { useHead } from '#imports'
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref } from 'vue'
import Checkbox from 'primevue/checkbox'
import { TARGET_SCHOOLS } from '~~/core/feeler'
import { BLADE_HABITS } from '~~/core/job'
import { type School, SCHOOLS } from '~~/core/stops'
import type { ShopRequest } from '~~/shared/requests'
import type { PersonRow } from '~~/shared/responses'
import type { CalendarAddressRow } from '~~/shared/machines'
import type { ApiTokenRow } from '~~/shared/spec-book'
import ApiTokens from '../components/shop/ApiTokens.vue'
import CalendarAddresses from '../components/shop/CalendarAddresses.vue'
import ChoiceField from '../components/forms/ChoiceField.vue'
import TextField from '../components/forms/TextField.vue'
import { useForm } from '../composables/useForm'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { say } from '~~/core/said'
import { tell, t } from '../words'

useHead({ title: t('page-shop.shop-wembric') })
const session = useSessionStore()
const form = useForm()
const people = ref<PersonRow[]>([])
const person = reactive({ name: '', signIn: '', password: '', role: 'mechanic' as 'mechanic' | 'lead' | null })
const NONE = 'none' as const
const kept = ref(false)
const schools = [
  { value: NONE, label: t('page-shop.none-marks-or-the-rod') },
  ...SCHOOLS.filter(s => s !== 'maker').map(s => ({ value: s, label: tell(say(`school.${s}`)) })),
]
const school = computed({
  get: () => session.shop?.favouriteSchool ?? NONE,
  set: (chosen: School | typeof NONE | null) => {
    void settle({ favouriteSchool: chosen === NONE ? null : chosen })
  },
})
/** A way of the shop’s that is read from the session and settled on the server. */
const way = <K extends 'target' | 'bladeHabit' | 'pairToProve' | 'valveMinutes' | 'taskMinutes'>(key: K) =>
  computed({
    get: () => session.shop?.[key] ?? null,
    set: value => {
      void settle({ [key]: value ?? undefined })
    },
  })
const [target, bladeHabit, pairToProve, valveMinutes, taskMinutes] = [
  way('target'),
  way('bladeHabit'),
  way('pairToProve'),
  way('valveMinutes'),
  way('taskMinutes'),
]
const lengths = (of: number[], now: number | null) =>
  [...new Set([...of, ...(now === null ? [] : [now])])]
    .sort((a, b) => a - b)
    .map(value => ({ value, label: value < 60 ? t('page-shop.minutes', { value }) : `${value / 60} h` }))
async function settle(ways: ShopRequest): Promise<void> {
  kept.value = false
  if (await form.send(() => api('PUT /api/shop', { body: ways }))) {
    await session.load()
    kept.value = true
  }
}
const tokens = ref<ApiTokenRow[]>([])
const token = ref<string | null>(null)
const tokenForm = useForm()
const loadTokens = async () => {
  tokens.value = (await tokenForm.send(() => api('GET /api/tokens'))) ?? tokens.value
}
async function makeToken(name: string): Promise<void> {
  const made = await tokenForm.send(() => api('POST /api/tokens', { body: { name } }))
  if (!made) return
  token.value = made.token
  await loadTokens()
}
const addresses = ref<CalendarAddressRow[]>([])
const address = ref<string | null>(null)
const loadAddresses = async () => {
  addresses.value = (await tokenForm.send(() => api('GET /api/calendar-addresses'))) ?? addresses.value
}
async function makeAddress(): Promise<void> {
  const made = await tokenForm.send(() => api('POST /api/calendar-addresses'))
  if (!made) return
  address.value = `${location.origin}${made.path}`
  await loadAddresses()
}
async function endAddress(id: number): Promise<void> {
  if (!(await tokenForm.send(() => api('DELETE /api/calendar-addresses/:id', { id })))) return
  address.value = null
  await loadAddresses()
}
async function endToken(id: number): Promise<void> {
  if (await tokenForm.send(() => api('DELETE /api/tokens/:id', { id }))) await loadTokens()
}
const load = async () => {
  people.value = (await form.send(() => api('GET /api/people'))) ?? people.value
  if (!session.isLead) return
  await loadTokens()
  await loadAddresses()
}
onMounted(load)
async function signOutEverywhere(p: PersonRow): Promise<void> {
  await form.send(() => api('POST /api/people/:id/sign-out', { id: p.id }))
}
async function add(): Promise<void> {
  if (await form.send(() => api('POST /api/people', { body: person }))) {
    Object.assign(person, { name: '', signIn: '', password: '', role: 'mechanic' })
    await load()
  }
}
</script>

<template>
  <main class="form">
    <h1>{{ session.shop?.name }}</h1>
    <p class="lead">
      {{
        t('page-shop.time-zone-shown-first', { timeZone: session.shop?.timeZone ?? '', unit: session.shop?.unit ?? '' })
      }}
    </p>
    <h2>{{ t('page-shop.finding-stops') }}</h2>
    <div class="grid">
      <ChoiceField
        v-model="school"
        :label="t('page-shop.preferred-method')"
        :options="schools"
        :note="t('page-shop.new-jobs-begin-with-it')"
        :wrong="form.wrong('favouriteSchool')"
      />
    </div>
    <h2>{{ t('page-shop.setting-and-proving') }}</h2>
    <div class="grid">
      <ChoiceField
        v-model="target"
        :label="t('common.set-valves-to')"
        :options="TARGET_SCHOOLS.map(t => ({ value: t, label: tell(say(`target.${t}`)) }))"
        :note="t('page-shop.a-job-may-choose-another')"
        :wrong="form.wrong('target')"
      />
      <ChoiceField
        v-model="bladeHabit"
        :label="t('common.while-the-nut-is-locked')"
        :options="BLADE_HABITS.map(h => ({ value: h, label: tell(say(`habit.${h}`)) }))"
        :note="t('page-shop.a-pinched-blade-is-ruined')"
        :wrong="form.wrong('bladeHabit')"
      />
      <div class="wide tick">
        <Checkbox v-model="pairToProve" input-id="pair" binary /><label for="pair">{{
          t('page-shop.every-proof-needs-two-blades')
        }}</label>
      </div>
    </div>
    <h2>{{ t('page-shop.the-day') }}</h2>
    <div class="grid">
      <ChoiceField
        v-model="valveMinutes"
        :label="t('page-shop.the-valves-of-a-machine')"
        :options="lengths([20, 30, 45, 60, 90, 120], valveMinutes)"
        :note="t('page-shop.the-bay-orders-the-day')"
        :wrong="form.wrong('valveMinutes')"
      />
      <ChoiceField
        v-model="taskMinutes"
        :label="t('page-shop.another-task-takes')"
        :options="lengths([10, 15, 20, 30, 45, 60], taskMinutes)"
        :note="t('page-shop.oil-filters-and-the-like')"
        :wrong="form.wrong('taskMinutes')"
      />
    </div>
    <p v-if="!session.isLead" class="note">{{ t('page-shop.a-lead-sets-this-for') }}</p>
    <p v-else-if="kept" class="note" role="status">{{ t('common.saved') }}</p>
    <h2>{{ t('page-shop.crew') }}</h2>
    <table class="rows">
      <thead>
        <tr>
          <th>{{ t('common.name') }}</th>
          <th>{{ t('page-shop.signs-in-as') }}</th>
          <th>{{ t('page-shop.role') }}</th>
          <th v-if="session.isLead">{{ t('page-shop.devices') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in people" :key="p.id">
          <td class="figures">{{ p.name }}</td>
          <td>{{ p.signIn }}</td>
          <td>{{ t(`common.${p.role}`) }}</td>
          <td v-if="session.isLead">
            <Button
              severity="secondary"
              outlined
              :aria-label="t('page-shop.sign-out-everywhere', { name: p.name })"
              @click="signOutEverywhere(p)"
            >
              {{ t('page-shop.sign-out-everywhere-2') }}
            </Button>
          </td>
        </tr>
      </tbody>
    </table>
    <form v-if="session.isLead" class="adding" @submit.prevent="add">
      <h2>{{ t('page-shop.add-a-person') }}</h2>
      <div class="grid">
        <TextField v-model="person.name" :label="t('common.name')" :wrong="form.wrong('name')" /><TextField
          v-model="person.signIn"
          :label="t('common.sign-in-name')"
          :wrong="form.wrong('signIn')"
        />
        <TextField
          v-model="person.password"
          :label="t('page-shop.first-password')"
          type="password"
          autocomplete="new-password"
          :note="t('common.eight-characters-or-more')"
          :wrong="form.wrong('password')"
        /><ChoiceField
          v-model="person.role"
          :label="t('page-shop.role')"
          :options="[
            { value: 'mechanic', label: t('common.mechanic') },
            { value: 'lead', label: t('common.lead') },
          ]"
        />
      </div>
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions"><Button type="submit" :label="t('common.add')" :loading="form.busy.value" /></div>
    </form>
    <CalendarAddresses
      v-if="session.isLead"
      :addresses="addresses"
      :made="address"
      :time-zone="session.shop?.timeZone ?? 'UTC'"
      @make="makeAddress"
      @end="endAddress"
    />
    <ApiTokens
      v-if="session.isLead"
      :tokens="tokens"
      :made="token"
      :time-zone="session.shop?.timeZone ?? 'UTC'"
      :wrong="tokenForm.wrong('name')"
      @make="makeToken"
      @end="endToken"
    />
  </main>
</template>

<style scoped>
.adding {
  display: grid;
  gap: 16px;
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
</style>
