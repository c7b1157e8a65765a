<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref, useTemplateRef } from 'vue'
import { definePageMeta, useHead } from '#imports'
import { type Blade, USUAL_SETS } from '~~/core/feeler'
import type { BodySent, Unfinished } from '~~/shared/api'
import { type BladeSetChange, bladeSetRequestSchema, type ShelfResponse } from '~~/shared/shelf'
import CheckedForm from '../components/forms/CheckedForm.vue'
import ChoiceField from '../components/forms/ChoiceField.vue'
import TextField from '../components/forms/TextField.vue'
import { bladeLine, bladesOf, usualSetOptions } from '../components/shelf/blade-line'
import BladeSetView from '../components/shelf/BladeSetView.vue'
import ShimStock from '../components/shelf/ShimStock.vue'
import TorqueTools from '../components/shelf/TorqueTools.vue'
import LoadingRows from '../components/shell/LoadingRows.vue'
import { useForm } from '../composables/useForm'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { wordsFor } from '../utils/errors'
import { shopDay } from '../utils/shop-day'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-shelf.shelf-wembric') })
const session = useSessionStore()
const reading = useForm()
const [setForm, bladeForm, toolForm, shimForm] = [useForm(), useForm(), useForm(), useForm()]
const shelf = ref<ShelfResponse | null>(null)
const typed = reactive({ name: '', unit: 'mm' as 'mm' | 'thou' | null, sizes: '' })
const addingSet = useTemplateRef('addingSet')
const load = async () => {
  shelf.value = (await reading.send(() => api('GET /api/shelf'))) ?? shelf.value
}
onMounted(load)
const favourite = computed(() => session.person?.favouriteSetId ?? shelf.value?.bladeSets[0]?.id ?? null)
const today = shopDay(new Date(), session.shop?.timeZone ?? 'UTC')

/** The blades of the line, or why it cannot be read. */
const read = computed((): { blades: Blade[]; wrong?: string } => {
  try {
    return { blades: bladesOf(typed.sizes, typed.unit ?? 'mm') }
  } catch (error) {
    return { blades: [], wrong: wordsFor(error) }
  }
})
/** As sets are usually sold: taken as they are, or corrected. */
const usualOptions = usualSetOptions()
const usual = ref<number | null>(null)
function takeUsual(index: number | null): void {
  usual.value = index
  const set = USUAL_SETS[index ?? -1]
  if (set) Object.assign(typed, { unit: set.unit, sizes: bladeLine(set.blades, set.unit) })
}
const body = () => ({ name: typed.name, unit: typed.unit, blades: read.value.blades })
async function add(): Promise<void> {
  if (await setForm.send(() => api('POST /api/blade-sets', { body: body() }))) {
    Object.assign(typed, { name: '', sizes: '' })
    addingSet.value?.forget()
    await load()
  }
}
/** @returns why it was not kept, empty where it was */
async function change(id: number, body: BladeSetChange): Promise<string> {
  const saved = await bladeForm.send(() => api('PUT /api/blade-sets/:id', { id, body }))
  if (saved || bladeForm.isChangedMeanwhile()) await load()
  return bladeForm.failed.value
}
async function makeMine(bladeSetId: number): Promise<void> {
  if (await reading.send(() => api('PUT /api/favourite-set', { body: { bladeSetId } }))) await session.load()
}
async function remove(id: number): Promise<void> {
  if (await reading.send(() => api('DELETE /api/blade-sets/:id', { id }))) await load()
}
async function sendTool(call: () => Promise<unknown>, done = () => {}): Promise<void> {
  const kept = await toolForm.send(call)
  if (kept) done()
  if (kept || toolForm.isChangedMeanwhile()) await load()
}
const keepWrench = (id: number | null, body: Unfinished<BodySent<'PUT /api/wrenches/:id'>>, done: () => void) =>
  sendTool(() => (id === null ? api('POST /api/wrenches', { body }) : api('PUT /api/wrenches/:id', { id, body })), done)
const keepAdapter = (id: number | null, body: Unfinished<BodySent<'PUT /api/adapters/:id'>>, done: () => void) =>
  sendTool(() => (id === null ? api('POST /api/adapters', { body }) : api('PUT /api/adapters/:id', { id, body })), done)
async function count(shim: Unfinished<BodySent<'PUT /api/shims'>>): Promise<boolean> {
  const saved = (await shimForm.send(() => api('PUT /api/shims', { body: shim }))) !== null
  if (saved || shimForm.isChangedMeanwhile()) await load()
  return saved
}
</script>

<template>
  <main class="form">
    <h1>{{ t('common.shelf') }}</h1>
    <p class="lead">
      {{ t('page-shelf.the-blades-and-tools-that') }}
    </p>
    <p v-if="reading.failed.value" class="wrong" role="alert">{{ reading.failed.value }}</p>
    <div v-if="shelf" class="columns">
      <section>
        <h2>{{ t('common.blade-sets') }}</h2>
        <p v-if="shelf.bladeSets.length === 0" class="lead">
          {{ t('page-shelf.no-blade-set-yet-a') }}
        </p>
        <BladeSetView
          v-for="set in shelf.bladeSets"
          :key="set.id"
          :set="set"
          :mine="set.id === favourite"
          :is-lead="session.isLead"
          :busy="reading.busy.value || bladeForm.busy.value"
          :change="body => change(set.id, body)"
          @favourite="makeMine(set.id)"
          @remove="remove(set.id)"
        />
        <CheckedForm
          v-if="session.isLead"
          ref="addingSet"
          class="adding"
          :form="setForm"
          :schema="bladeSetRequestSchema"
          :body="body"
          @send="add"
        >
          <h2>{{ t('common.add-a-blade-set') }}</h2>
          <div class="grid">
            <TextField
              v-model="typed.name"
              :label="t('common.name')"
              :placeholder="t('page-shelf.set-c-thou')"
              name="name"
            /><ChoiceField
              v-model="typed.unit"
              :label="t('page-shelf.engraved-in')"
              :options="[
                { value: 'mm', label: 'mm' },
                { value: 'thou', label: 'thou' },
              ]"
            />
            <ChoiceField
              :model-value="usual"
              :label="t('page-shelf.as-usually-sold')"
              :options="usualOptions"
              @update:model-value="takeUsual"
            />
            <TextField
              v-model="typed.sizes"
              class="wide"
              :label="t('page-shelf.sizes-in-one-line')"
              placeholder="0.03 0.04 0.05 0.06 0.08 0.10 …"
              :note="t('page-shelf.spaces-between-a-figure-may')"
              :wrong="typed.sizes.trim() ? read.wrong : undefined"
              name="blades"
            />
          </div>
          <p v-if="setForm.failed.value" class="wrong" role="alert">{{ setForm.failed.value }}</p>
          <div class="actions">
            <Button type="submit" :label="t('common.add-it')" :loading="setForm.busy.value" />
          </div>
        </CheckedForm>
        <p v-else class="lead">
          {{ t('page-shelf.a-lead-adds-sets-and') }}
        </p>
      </section>
      <section>
        <TorqueTools
          :wrenches="shelf.wrenches"
          :adapters="shelf.adapters"
          :is-lead="session.isLead"
          :today="today"
          :form="toolForm"
          @keep-wrench="keepWrench"
          @keep-adapter="keepAdapter"
          @remove-wrench="sendTool(() => api('DELETE /api/wrenches/:id', { id: $event }))"
          @remove-adapter="sendTool(() => api('DELETE /api/adapters/:id', { id: $event }))"
        />
        <p v-if="toolForm.failed.value" class="wrong" role="alert">{{ toolForm.failed.value }}</p>
        <ShimStock :shims="shelf.shims" :form="shimForm" :count="count" />
      </section>
    </div>
    <LoadingRows v-else-if="!reading.failed.value" :words="t('page-shelf.looking-at-the-shelf')" />
  </main>
</template>

<style scoped>
.form {
  max-width: 1320px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 0 48px;
  align-items: start;
}
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  align-content: start;
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
.adding {
  display: grid;
  gap: 16px;
}
</style>
