<script setup lang="ts">
import Button from 'primevue/button'
import { reactive } from 'vue'
import { type Language, LANGUAGES } from '~~/shared/languages'
import type { SessionResponse } from '~~/shared/session'
import { type ShopRequest, shopSchema } from '~~/shared/shop'
import type { useForm } from '../../composables/useForm'
import { t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'
import ChoiceField from '../forms/ChoiceField.vue'
import ClockAndUnit from '../forms/ClockAndUnit.vue'
import TextField from '../forms/TextField.vue'

/** What the shop is called, and by which clock and unit it goes. */
const props = defineProps<{
  shop: SessionResponse['shop']
  form: ReturnType<typeof useForm>
}>()
const emit = defineEmits<{ settle: [shop: ShopRequest] }>()
const given = reactive({
  name: props.shop.name,
  timeZone: props.shop.timeZone as string | null,
  unit: props.shop.unit as 'mm' | 'thou' | null,
  language: props.shop.language,
})
function keep(): void {
  const { name, timeZone, unit, language } = given
  emit('settle', { name, language, ...(timeZone ? { timeZone } : {}), ...(unit ? { unit } : {}) })
}
</script>

<template>
  <CheckedForm class="grid" :form="form" :schema="shopSchema" :body="() => given" @send="keep">
    <TextField v-model="given.name" :label="t('common.shop')" name="name" />
    <ClockAndUnit
      v-model:time-zone="given.timeZone"
      v-model:unit="given.unit"
      :here="shop.timeZone"
      :unit-note="t('shop-identity.open-jobs-keep-theirs')"
    />
    <ChoiceField
      v-model="given.language"
      :label="t('shop-identity.owners-are-written-in')"
      :options="[
        { value: null, label: t('shop-identity.the-writers') },
        ...Object.entries(LANGUAGES).map(([value, label]) => ({ value: value as Language, label })),
      ]"
      :note="t('shop-identity.an-owner-may-have-another')"
      name="language"
    />
    <div class="wide"><Button type="submit" :label="t('common.keep')" :loading="form.busy.value" /></div>
  </CheckedForm>
</template>
