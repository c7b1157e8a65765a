<script setup lang="ts">
import Button from 'primevue/button'
import { reactive } from 'vue'
import { type ShopRequest, shopSchema } from '~~/shared/requests'
import type { useForm } from '../../composables/useForm'
import type { SessionResponse } from '~~/shared/responses'
import { LANGUAGES, type Language } from '~~/shared/languages'
import ChoiceField from '../forms/ChoiceField.vue'
import TextField from '../forms/TextField.vue'
import { zones } from '../../utils/zones'
import { t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'

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
    <ChoiceField
      v-model="given.timeZone"
      :label="t('page-setup.time-zone')"
      :options="zones(shop.timeZone)"
      filter
      :note="t('page-setup.says-when-your-day-begins')"
      name="timeZone"
    />
    <ChoiceField
      v-model="given.unit"
      :label="t('page-setup.unit-shown-first')"
      :options="[
        { value: 'mm', label: 'mm' },
        { value: 'thou', label: 'thou' },
      ]"
      :note="t('shop-identity.open-jobs-keep-theirs')"
      name="unit"
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
