<script setup lang="ts">
import Button from 'primevue/button'
import { reactive } from 'vue'
import type { ShopRequest } from '~~/shared/requests'
import type { SessionResponse } from '~~/shared/responses'
import ChoiceField from '../forms/ChoiceField.vue'
import TextField from '../forms/TextField.vue'
import { zones } from '../../utils/zones'
import { t } from '../../words'

/** What the shop is called, and by which clock and unit it goes. */
const props = defineProps<{
  shop: SessionResponse['shop']
  wrong: (field: string) => string | undefined
  busy: boolean
}>()
const emit = defineEmits<{ settle: [shop: ShopRequest] }>()
const given = reactive({
  name: props.shop.name,
  timeZone: props.shop.timeZone as string | null,
  unit: props.shop.unit as 'mm' | 'thou' | null,
})
function keep(): void {
  const { name, timeZone, unit } = given
  emit('settle', { name, ...(timeZone ? { timeZone } : {}), ...(unit ? { unit } : {}) })
}
</script>

<template>
  <form class="grid" @submit.prevent="keep">
    <TextField v-model="given.name" :label="t('common.shop')" :wrong="wrong('name')" />
    <ChoiceField
      v-model="given.timeZone"
      :label="t('page-setup.time-zone')"
      :options="zones(shop.timeZone)"
      filter
      :note="t('page-setup.says-when-your-day-begins')"
      :wrong="wrong('timeZone')"
    />
    <ChoiceField
      v-model="given.unit"
      :label="t('page-setup.unit-shown-first')"
      :options="[
        { value: 'mm', label: 'mm' },
        { value: 'thou', label: 'thou' },
      ]"
      :note="t('shop-identity.open-jobs-keep-theirs')"
      :wrong="wrong('unit')"
    />
    <div class="wide"><Button type="submit" :label="t('common.keep')" :loading="busy" /></div>
  </form>
</template>
