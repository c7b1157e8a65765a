<script setup lang="ts">
import Button from 'primevue/button'
import { reactive, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { keepJobSchema } from '~~/shared/quick-jobs'
import CheckedForm from '../../../components/forms/CheckedForm.vue'
import ChoiceField from '../../../components/forms/ChoiceField.vue'
import { METER_UNITS } from '../../../components/forms/meter-units'
import OwnerPick, { type Owner } from '../../../components/forms/OwnerPick.vue'
import TextField from '../../../components/forms/TextField.vue'
import LoadingRows from '../../../components/shell/LoadingRows.vue'
import { useKeepJob } from '../../../composables/useKeepJob'
import { t } from '../../../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('quick.keep-wembric') })
const jobId = Number(useRoute().params.id)
const { form, reading, pin, keep } = useKeepJob(jobId)
const machine = reactive({
  name: '',
  tag: '',
  serial: '',
  plate: '',
  meterUnit: 'h' as 'h' | 'km' | 'mi' | null,
  maker: '',
  model: '',
})
const customer = ref<Owner | null>(null)
watch(pin, found => {
  if (found) machine.tag ||= `Q-${found.number}`
})
const body = () => ({ ...machine, customer: customer.value })
async function submit(): Promise<void> {
  const kept = await keep(body())
  if (kept) await navigateTo(`/machines/${kept.machineId}`)
}
</script>

<template>
  <main class="form">
    <h1>{{ t('quick.keep-title') }}</h1>
    <p v-if="reading.failed.value" class="wrong" role="alert">{{ reading.failed.value }}</p>
    <LoadingRows v-else-if="!pin" :words="t('quick.keep-title')" row-height="60px" />
    <p v-else-if="pin.quick === null || pin.machine.owner !== ''" class="said">{{ t('quick.no-job-kept') }}</p>
    <CheckedForm v-else class="keep" :form="form" :schema="keepJobSchema" :body="body" @send="submit">
      <p class="said">
        <b>{{ pin.machine.name }}</b> {{ t('quick.keep-lead') }}
      </p>
      <div class="grid">
        <TextField v-model="machine.name" :label="t('common.name')" name="name" />
        <OwnerPick v-model="customer" name="customer" />
        <TextField v-model="machine.maker" :label="t('quick.makers-name')" name="maker" />
        <TextField v-model="machine.model" :label="t('quick.makers-model')" name="model" />
        <TextField v-model="machine.tag" :label="t('common.tag')" name="tag" />
        <ChoiceField
          v-model="machine.meterUnit"
          :label="t('common.meter-counts')"
          :options="METER_UNITS"
          name="meterUnit"
        />
      </div>
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions">
        <Button type="submit" :label="t('quick.keep')" :loading="form.busy.value" />
        <NuxtLink class="quiet" :to="`/jobs/${jobId}`">{{ t('common.back') }}</NuxtLink>
      </div>
    </CheckedForm>
  </main>
</template>

<style scoped>
.keep {
  display: grid;
  gap: 18px;
}
</style>
