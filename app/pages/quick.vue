<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead } from '#imports'
import type { Clearance } from '~~/core/engine'
import { limitsOf, targetOf } from '~~/core/feeler'
import { QUICK_ASSUMED, QUICK_ENGINES, type SaidClearances } from '~~/core/quick'
import { formatLength, thouFromMm } from '~~/core/units'
import ChoiceField from '../components/forms/ChoiceField.vue'
import ComplaintsField from '../components/forms/ComplaintsField.vue'
import TextField from '../components/forms/TextField.vue'
import TileChoice from '../components/forms/TileChoice.vue'
import AdjusterPicture from '../components/quick/AdjusterPicture.vue'
import EnginePicture from '../components/quick/EnginePicture.vue'
import { usualSetOptions } from '../components/shelf/blade-line'
import { useQuickJob } from '../composables/useQuickJob'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('quick.title-wembric') })
const job = useQuickJob()
const { taps, text, chosen, readings, reading, sets, setName, sizes, usual, complaints, wrong, busy } = job
/** Most quick jobs come for their valves alone: the complaints are opened by a tap. */
const asking = ref(false)
/** Said once the field was left, and when the job is begun. */
const left = ref(false)
const odd = computed(() => (left.value && text.value.trim() && readings.value.length === 0 ? job.figuresWrong() : ''))
/** What to do stands in one place from the first key on: nothing moves away under a finger. */
const hint = computed(() => (readings.value.length > 1 ? t('quick.choose-how-it-is-meant') : t('quick.intake-first')))

const ENGINES = QUICK_ENGINES.map(value => ({ value, label: t(`quick.${value}`) }))
const VALVES = ([2, 4] as const).map(value => ({ value, label: t('quick.valves', { count: value }) }))
const ADJUSTERS = (['valve-end', 'pushrod-end', 'pivot-nut'] as const).map(value => ({
  value,
  label: t(`quick.${value}`),
}))
const MARKS = [true, false].map(value => ({ value, label: value ? t('quick.t-seen') : t('quick.t-not-seen') }))
const PLACES = (['not said', 'top'] as const).map(value => ({
  value,
  label: value === 'top' ? t('quick.at-the-t') : t('quick.not-said'),
}))
const usualOptions = usualSetOptions()
const span = (clearance: Clearance, f: (mm: number) => string): string => {
  const limits = limitsOf(clearance)
  return limits && clearance.form === 'limits' ? `${f(limits.minMm)}–${f(limits.maxMm)}` : f(targetOf(clearance))
}
const figures = ({ clearance }: SaidClearances) =>
  (['intake', 'exhaust'] as const).map(role => ({
    role,
    mm: span(clearance[role], mm => formatLength(mm, 'mm')),
    thou: span(clearance[role], mm => thouFromMm(mm).toFixed(1)),
  }))

async function begin(): Promise<void> {
  left.value = true
  const id = await job.begin()
  if (id !== null) await navigateTo(`/jobs/${id}`)
}
</script>

<template>
  <main class="form quick">
    <h1>{{ t('quick.title') }}</h1>
    <form @submit.prevent="begin">
      <div class="field">
        <label for="said">{{ t('quick.clearances') }}</label>
        <InputText
          id="said"
          v-model="text"
          autocomplete="off"
          autocapitalize="off"
          :placeholder="t('quick.clearances-as-said')"
          :invalid="!!odd"
          aria-describedby="said-more"
          @blur="left = true"
        />
        <p v-if="odd" id="said-more" class="wrong" role="alert">{{ odd }}</p>
        <p v-else id="said-more" class="note" :class="{ choose: readings.length > 1 && !reading }">{{ hint }}</p>
        <div v-if="readings.length" class="readings" role="group" :aria-label="t('quick.read-as')">
          <component
            :is="readings.length > 1 ? 'button' : 'div'"
            v-for="r in readings"
            :key="r.as"
            :type="readings.length > 1 ? 'button' : undefined"
            class="reading"
            :class="{ chosen: reading === r }"
            :aria-pressed="readings.length > 1 ? reading === r : undefined"
            :data-as="r.as"
            @click="readings.length > 1 && (chosen = r.as)"
          >
            <span v-for="f in figures(r)" :key="f.role"
              ><b>{{ t(`common.${f.role}`) }}</b> {{ f.mm }} mm <small>{{ f.thou }} thou</small></span
            >
          </component>
        </div>
        <p v-if="reading?.exhaustTighter" class="note odd" role="status">{{ t('quick.exhaust-tighter') }}</p>
      </div>
      <TileChoice v-model="taps.engine" :label="t('common.engine')" :options="ENGINES">
        <template #default="{ value }"><EnginePicture :engine="value" /></template>
      </TileChoice>
      <TileChoice v-model="taps.valves" :label="t('quick.each-cylinder')" :options="VALVES" />
      <TileChoice v-model="taps.adjuster" :label="t('quick.where-it-is-set')" :options="ADJUSTERS">
        <template #default="{ value }"><AdjusterPicture :kind="value" /></template>
      </TileChoice>
      <TileChoice v-model="taps.mark" :label="t('quick.t-line')" :options="MARKS" />
      <TileChoice v-model="taps.measuredAt" :label="t('quick.where-the-source-measures')" :options="PLACES" />
      <ChoiceField
        v-if="sets?.length"
        v-model="setName"
        :label="t('quick.blades')"
        :options="sets.map(s => ({ value: s.name, label: s.name }))"
      />
      <div v-else-if="sets" class="field drawer">
        <ChoiceField
          :model-value="usual"
          :label="t('quick.which-blades')"
          :options="usualOptions"
          @update:model-value="job.takeUsual($event ?? 0)"
        />
        <TextField v-model="sizes" :label="t('quick.sizes')" :note="t('quick.correct-the-sizes')" />
      </div>
      <ComplaintsField v-if="asking" v-model="complaints" />
      <Button
        v-else
        type="button"
        severity="secondary"
        outlined
        class="asks"
        :label="t('quick.comes-for')"
        @click="asking = true"
      />
      <p v-if="wrong && wrong !== odd" class="wrong" role="alert">{{ wrong }}</p>
      <div class="actions begin">
        <Button type="submit" :label="t('quick.begin')" :loading="busy" />
        <NuxtLink class="quiet" to="/">{{ t('common.back') }}</NuxtLink>
      </div>
      <section class="assumed">
        <h2>{{ t('quick.assumed') }}</h2>
        <ul>
          <li v-for="what in QUICK_ASSUMED" :key="what">{{ t(`quick.assumed.${what}`) }}</li>
        </ul>
        <p class="note">{{ t('quick.caution') }}</p>
      </section>
    </form>
  </main>
</template>

<style scoped>
form {
  display: grid;
  gap: 20px;
}
.asks {
  justify-self: start;
}
#said {
  min-height: 60px;
  font: 600 24px/1.2 var(--figures);
  width: 100%;
}
.readings {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
.reading {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  padding: 10px 12px;
  min-height: 48px;
  align-items: center;
  border: 1.5px dashed var(--edge);
  border-radius: 8px;
  background: transparent;
  color: var(--ink);
  font: 500 18px/1.25 var(--figures);
  text-align: left;
}
button.reading {
  cursor: pointer;
  background: var(--sheet);
}
.reading.chosen {
  border: 1.5px solid var(--petrol);
  box-shadow: inset 0 0 0 1px var(--petrol);
}
.reading small {
  color: var(--ink2);
  font-size: 15px;
}
.choose {
  color: var(--ink);
  font-weight: 600;
}
#said-more {
  min-height: 2.6em;
}
.odd {
  border-left: 4px solid var(--loose);
  padding-left: 10px;
}
.drawer {
  display: grid;
  gap: 14px;
}
.assumed ul {
  margin: 6px 0 10px;
  padding-left: 20px;
  font-size: 16px;
  line-height: 1.4;
  color: var(--ink2);
}
.assumed h2 {
  font-size: 18px;
}
.begin {
  position: sticky;
  bottom: 0;
  background: var(--ground);
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
@media (max-height: 500px) {
  .begin {
    position: static;
  }
}
</style>
