<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, reactive, ref, useTemplateRef } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, useHead } from '#imports'
import type { TrustedDevice } from '~~/shared/change-of-hands'
import type { CalendarAddressRow } from '~~/shared/machines'
import { personSchema } from '~~/shared/people'
import type { ShopChange } from '~~/shared/shop'
import type { ApiTokenRow } from '~~/shared/tokens'
import CheckedForm from '../components/forms/CheckedForm.vue'
import ChoiceField from '../components/forms/ChoiceField.vue'
import TextField from '../components/forms/TextField.vue'
import ApiTokens from '../components/shop/ApiTokens.vue'
import CalendarAddresses from '../components/shop/CalendarAddresses.vue'
import CrewPanel from '../components/shop/CrewPanel.vue'
import ShopIdentity from '../components/shop/ShopIdentity.vue'
import ShopWays from '../components/shop/ShopWays.vue'
import TrustedDevices from '../components/shop/TrustedDevices.vue'
import { useCrewChanges } from '../composables/useCrewChanges'
import { useForm } from '../composables/useForm'
import { useSaid } from '../composables/useSaid'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-shop.shop-wembric') })
const session = useSessionStore()
const crew = useCrewChanges()
const { form } = crew
const ways = useForm()
const person = reactive({ name: '', signIn: '', password: '', role: 'mechanic' as 'mechanic' | 'lead' | null })
const crewForm = useTemplateRef('crewForm')
const said = useSaid()
async function settle(settled: ShopChange): Promise<void> {
  const kept = await ways.send(() => api('PUT /api/shop', { body: settled }))
  if (kept || ways.isChangedMeanwhile()) await session.load()
  if (kept) said()
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
const devices = ref<TrustedDevice[]>([])
const deviceForm = useForm()
const loadDevices = async () => {
  devices.value = (await deviceForm.send(() => api('GET /api/devices'))) ?? devices.value
}
async function trustDevice(name: string): Promise<void> {
  if (await deviceForm.send(() => api('POST /api/devices', { body: { name } }))) await loadDevices()
}
async function endDevice(id: number): Promise<void> {
  if (await deviceForm.send(() => api('DELETE /api/devices/:id', { id }))) await loadDevices()
}
const load = async () => {
  await crew.load()
  if (!session.isLead) return
  await loadDevices()
  await loadTokens()
  await loadAddresses()
}
onMounted(load)
async function add(): Promise<void> {
  if (await form.send(() => api('POST /api/people', { body: person }))) {
    Object.assign(person, { name: '', signIn: '', password: '', role: 'mechanic' })
    crewForm.value?.forget()
    await load()
  }
}
</script>

<template>
  <main class="form wide">
    <h1>{{ session.shop?.name }}</h1>
    <div v-if="session.shop" class="beside">
      <section>
        <h2>{{ t('page-shop.the-shop') }}</h2>
        <ShopIdentity v-if="session.isLead" :shop="session.shop" :form="ways" @settle="settle" />
        <p v-else class="lead">
          {{ t('page-shop.time-zone-shown-first', { timeZone: session.shop.timeZone, unit: session.shop.unit }) }}
        </p>
        <ShopWays :shop="session.shop" :wrong="ways.wrong" @settle="settle" />
        <p v-if="!session.isLead" class="note">{{ t('page-shop.a-lead-sets-this-for') }}</p>
      </section>
      <section>
        <h2>{{ t('page-shop.crew') }}</h2>
        <CrewPanel
          :people="crew.people.value"
          :is-lead="session.isLead"
          :code="crew.code.value"
          :time-zone="session.shop.timeZone"
          @role="crew.role"
          @code="crew.makeCode"
          @sign-out="crew.signOut"
          @end="crew.end"
          @back="crew.back"
        />
        <p v-if="session.isLead">
          <NuxtLink to="/log">{{ t('page-log.title') }}</NuxtLink> ·
          <NuxtLink to="/backups">{{ t('page-backups.title') }}</NuxtLink> ·
          <NuxtLink to="/phones">{{ t('page-phones.title') }}</NuxtLink>
          <template v-if="session.person?.runsServer">
            · <NuxtLink to="/shops">{{ t('page-shops.title') }}</NuxtLink>
          </template>
        </p>
        <CheckedForm
          v-if="session.isLead"
          ref="crewForm"
          class="adding"
          :form="form"
          :schema="personSchema"
          :body="() => person"
          @send="add"
        >
          <h2>{{ t('page-shop.add-a-person') }}</h2>
          <div class="grid">
            <TextField v-model="person.name" :label="t('common.name')" name="name" /><TextField
              v-model="person.signIn"
              :label="t('common.sign-in-name')"
              name="signIn"
            />
            <TextField
              v-model="person.password"
              :label="t('page-shop.first-password')"
              type="password"
              autocomplete="new-password"
              :note="t('common.eight-characters-or-more')"
              name="password"
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
        </CheckedForm>
        <CalendarAddresses
          v-if="session.isLead"
          :addresses="addresses"
          :made="address"
          :time-zone="session.shop?.timeZone ?? 'UTC'"
          @make="makeAddress"
          @end="endAddress"
        />
        <TrustedDevices
          :devices="devices"
          :time-zone="session.shop.timeZone"
          :form="deviceForm"
          @trust="trustDevice"
          @end="endDevice"
        />
        <ApiTokens
          v-if="session.isLead"
          :tokens="tokens"
          :made="token"
          :time-zone="session.shop?.timeZone ?? 'UTC'"
          :form="tokenForm"
          @make="makeToken"
          @end="endToken"
        />
      </section>
    </div>
  </main>
</template>

<style scoped>
.adding {
  display: grid;
  gap: 16px;
}
</style>
