<script setup lang="ts">
import Button from 'primevue/button'
import { watch } from 'vue'
import { type Language, LANGUAGES } from '~~/shared/languages'
import type { SessionResponse } from '~~/shared/session'
import { type ShopChange, shopSchema } from '~~/shared/shop'
import type { useForm } from '../../composables/useForm'
import { useTypedOver } from '../../composables/useTypedOver'
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
const emit = defineEmits<{ settle: [shop: ShopChange] }>()
const fieldsOf = ({ name, timeZone, unit, language }: SessionResponse['shop']) => ({
  ...{ name, language },
  timeZone: timeZone as string | null,
  unit: unit as 'mm' | 'thou' | null,
})
const { given, seen, follow } = useTypedOver(fieldsOf(props.shop), fieldsOf)
watch(() => props.shop, follow, { immediate: true })
function keep(): void {
  const { name, timeZone, unit, language } = given
  emit('settle', {
    ...{ name, language, was: seen() },
    ...(timeZone ? { timeZone } : {}),
    ...(unit ? { unit } : {}),
  })
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
