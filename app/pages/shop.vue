<script setup lang="ts">
import { useHead } from '#imports'
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref } from 'vue'
import Checkbox from 'primevue/checkbox'
import { TARGET_SCHOOLS } from '~~/core/feeler'
import { BLADE_HABITS, HABIT_NAMES, SCHOOL_NAMES, TARGET_NAMES } from '~~/core/job'
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

useHead({ title: 'Shop, Wembric' })
const session = useSessionStore()
const form = useForm()
const people = ref<PersonRow[]>([])
const person = reactive({ name: '', signIn: '', password: '', role: 'mechanic' as 'mechanic' | 'lead' | null })
const NONE = 'none' as const
const kept = ref(false)
const schools = [
  { value: NONE, label: 'None: marks, or the rod' },
  ...SCHOOLS.filter(s => s !== 'maker').map(s => ({ value: s, label: SCHOOL_NAMES[s] })),
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
    .map(value => ({ value, label: value < 60 ? `${value} minutes` : `${value / 60} h` }))
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
    <p class="lead">Time zone {{ session.shop?.timeZone }}; {{ session.shop?.unit }} shown first.</p>
    <h2>Finding stops</h2>
    <div class="grid">
      <ChoiceField
        v-model="school"
        label="Preferred method"
        :options="schools"
        note="New jobs begin with it where the engine allows; the maker’s own list still comes first."
        :wrong="form.wrong('favouriteSchool')"
      />
    </div>
    <h2>Setting and proving</h2>
    <div class="grid">
      <ChoiceField
        v-model="target"
        label="Set valves to"
        :options="TARGET_SCHOOLS.map(t => ({ value: t, label: TARGET_NAMES[t] }))"
        note="A job may choose another."
        :wrong="form.wrong('target')"
      />
      <ChoiceField
        v-model="bladeHabit"
        label="While the nut is locked"
        :options="BLADE_HABITS.map(h => ({ value: h, label: HABIT_NAMES[h] }))"
        note="A pinched blade is ruined."
        :wrong="form.wrong('bladeHabit')"
      />
      <div class="wide tick">
        <Checkbox v-model="pairToProve" input-id="pair" binary /><label for="pair"
          >Every proof needs two blades: one that goes and one that doesn’t</label
        >
      </div>
    </div>
    <h2>The day</h2>
    <div class="grid">
      <ChoiceField
        v-model="valveMinutes"
        label="The valves of a machine take"
        :options="lengths([20, 30, 45, 60, 90, 120], valveMinutes)"
        note="The Bay orders the day by it."
        :wrong="form.wrong('valveMinutes')"
      />
      <ChoiceField
        v-model="taskMinutes"
        label="Another task takes"
        :options="lengths([10, 15, 20, 30, 45, 60], taskMinutes)"
        note="Oil, filters and the like."
        :wrong="form.wrong('taskMinutes')"
      />
    </div>
    <p v-if="!session.isLead" class="note">A lead sets this for the shop.</p>
    <p v-else-if="kept" class="note" role="status">Saved.</p>
    <h2>Crew</h2>
    <table class="rows">
      <thead>
        <tr>
          <th>Name</th>
          <th>Signs in as</th>
          <th>Role</th>
          <th v-if="session.isLead">Devices</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in people" :key="p.id">
          <td class="figures">{{ p.name }}</td>
          <td>{{ p.signIn }}</td>
          <td>{{ p.role }}</td>
          <td v-if="session.isLead">
            <button
              type="button"
              class="quiet"
              :aria-label="`Sign out ${p.name} everywhere`"
              @click="signOutEverywhere(p)"
            >
              Sign out everywhere
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form v-if="session.isLead" class="adding" @submit.prevent="add">
      <h2>Add a person</h2>
      <div class="grid">
        <TextField v-model="person.name" label="Name" :wrong="form.wrong('name')" /><TextField
          v-model="person.signIn"
          label="Sign-in name"
          :wrong="form.wrong('signIn')"
        />
        <TextField
          v-model="person.password"
          label="First password"
          type="password"
          autocomplete="new-password"
          note="Eight characters or more."
          :wrong="form.wrong('password')"
        /><ChoiceField
          v-model="person.role"
          label="Role"
          :options="[
            { value: 'mechanic', label: 'mechanic' },
            { value: 'lead', label: 'lead' },
          ]"
        />
      </div>
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions"><Button type="submit" label="Add" :loading="form.busy.value" /></div>
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
