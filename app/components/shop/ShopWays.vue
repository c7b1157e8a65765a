<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch'
import { computed } from 'vue'
import { TARGET_SCHOOLS } from '~~/core/feeler'
import { BLADE_HABITS } from '~~/core/job'
import { say } from '~~/core/said'
import { type School, SCHOOLS } from '~~/core/stops'
import type { SessionResponse } from '~~/shared/session'
import type { ShopRequest } from '~~/shared/shop'
import { t, tell } from '../../words'
import ChoiceField from '../forms/ChoiceField.vue'

/** How this shop finds, sets, proves and plans: each is kept as it is chosen. */
const props = defineProps<{ shop: SessionResponse['shop']; wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ settle: [ways: ShopRequest] }>()
const NONE = 'none' as const
const schools = [
  { value: NONE, label: t('page-shop.none-marks-or-the-rod') },
  ...SCHOOLS.filter(s => s !== 'maker').map(s => ({ value: s, label: tell(say(`school.${s}`)) })),
]
const school = computed({
  get: () => props.shop.favouriteSchool ?? NONE,
  set: (chosen: School | typeof NONE | null) => emit('settle', { favouriteSchool: chosen === NONE ? null : chosen }),
})
const way = <K extends 'target' | 'bladeHabit' | 'valveMinutes' | 'taskMinutes'>(key: K) =>
  computed({
    get: (): SessionResponse['shop'][K] | null => props.shop[key],
    set: value => emit('settle', { [key]: value ?? undefined }),
  })
const [target, bladeHabit, valveMinutes, taskMinutes] = [
  way('target'),
  way('bladeHabit'),
  way('valveMinutes'),
  way('taskMinutes'),
]
const lengths = (of: number[], now: number | null) =>
  [...new Set([...of, ...(now === null ? [] : [now])])]
    .sort((a, b) => a - b)
    .map(value => ({ value, label: value < 60 ? t('page-shop.minutes', { value }) : `${value / 60} h` }))
</script>

<template>
  <h2>{{ t('page-shop.finding-stops') }}</h2>
  <div class="grid">
    <ChoiceField
      v-model="school"
      :label="t('page-shop.preferred-method')"
      :options="schools"
      :note="t('page-shop.new-jobs-begin-with-it')"
      :wrong="wrong('favouriteSchool')"
    />
  </div>
  <h2>{{ t('page-shop.setting-and-proving') }}</h2>
  <div class="grid">
    <ChoiceField
      v-model="target"
      :label="t('common.set-valves-to')"
      :options="TARGET_SCHOOLS.map(t => ({ value: t, label: tell(say(`target.${t}`)) }))"
      :note="t('page-shop.a-job-may-choose-another')"
      :wrong="wrong('target')"
    />
    <ChoiceField
      v-model="bladeHabit"
      :label="t('common.while-the-nut-is-locked')"
      :options="BLADE_HABITS.map(h => ({ value: h, label: tell(say(`habit.${h}`)) }))"
      :note="t('page-shop.a-pinched-blade-is-ruined')"
      :wrong="wrong('bladeHabit')"
    />
    <div class="wide tick">
      <ToggleSwitch
        :model-value="shop.pairToProve"
        input-id="pair"
        @update:model-value="emit('settle', { pairToProve: $event })"
      /><label for="pair">{{ t('page-shop.every-proof-needs-two-blades') }}</label>
    </div>
  </div>
  <h2>{{ t('page-shop.the-day') }}</h2>
  <div class="grid">
    <ChoiceField
      v-model="valveMinutes"
      :label="t('page-shop.the-valves-of-a-machine')"
      :options="lengths([20, 30, 45, 60, 90, 120], valveMinutes)"
      :note="t('page-shop.the-bay-orders-the-day')"
      :wrong="wrong('valveMinutes')"
    />
    <ChoiceField
      v-model="taskMinutes"
      :label="t('page-shop.another-task-takes')"
      :options="lengths([10, 15, 20, 30, 45, 60], taskMinutes)"
      :note="t('page-shop.oil-filters-and-the-like')"
      :wrong="wrong('taskMinutes')"
    />
  </div>
</template>

<style scoped>
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
</style>
