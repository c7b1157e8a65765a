<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref, useTemplateRef } from 'vue'
import { definePageMeta, useHead } from '#imports'
import { newShopSchema, type ShopHere, shopLimitsSchema } from '~~/shared/shops'
import CheckedForm from '../components/forms/CheckedForm.vue'
import ClockAndUnit from '../components/forms/ClockAndUnit.vue'
import TextField from '../components/forms/TextField.vue'
import LoadingRows from '../components/shell/LoadingRows.vue'
import ShopsHere from '../components/shop/ShopsHere.vue'
import { limitsOf, typedLimits, useShopsHere } from '../composables/useShopsHere'
import { useSessionStore } from '../stores/session'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-shops.title-wembric') })
const session = useSessionStore()
const here = useShopsHere()
const { list, adding, settling, shops, wayIn } = here
onMounted(here.load)

const zone = session.shop?.timeZone ?? 'UTC'
const empty = () => ({
  shop: '',
  shortName: '',
  timeZone: zone as string | null,
  unit: (session.shop?.unit ?? 'mm') as 'mm' | 'thou' | null,
  lead: { name: '', signIn: '' },
})
const given = reactive(empty())
const addForm = useTemplateRef('addForm')
async function add(): Promise<void> {
  if (!(await here.add(given))) return
  Object.assign(given, empty())
  addForm.value?.forget()
}

/** The shop whose limits are open. */
const settled = ref<ShopHere | null>(null)
const typed = reactive({ shortName: '', host: '', mostPeople: '', mostPhotoMb: '' })
function open(shop: ShopHere): void {
  settled.value = shop
  Object.assign(typed, typedLimits(shop))
}
async function settle(): Promise<void> {
  if (settled.value && (await here.settle(settled.value.id, typed))) settled.value = null
}
const way = computed(() => {
  if (!wayIn.value) return ''
  const { signIn, code, shop } = wayIn.value
  const path = `${location.origin}/sign-in${shop ? `?shop=${shop}` : ''}`
  return t('page-shops.way-in', { signIn, code, path })
})
</script>

<template>
  <main class="form wide">
    <h1>{{ t('page-shops.title') }}</h1>
    <p class="lead">{{ t('page-shops.what') }}</p>
    <p v-if="list.failed.value" class="wrong" role="alert">{{ list.failed.value }}</p>
    <LoadingRows v-else-if="!shops" :words="t('page-shops.title')" />
    <p v-if="way" class="said" role="status">{{ way }}</p>
    <template v-if="shops">
      <ShopsHere
        :shops="shops"
        :time-zone="zone"
        @settle="open"
        @code="here.newCode"
        @close="here.close"
        @reopen="here.reopen"
      />
      <CheckedForm
        v-if="settled"
        :key="settled.id"
        class="part"
        :form="settling"
        :schema="shopLimitsSchema"
        :body="() => limitsOf(typed)"
        @send="settle"
      >
        <h2>{{ settled.name }}</h2>
        <div class="grid">
          <TextField
            v-model="typed.shortName"
            :label="t('page-shops.short-name')"
            :note="t('page-shops.short-name-note')"
            name="shortName"
          />
          <TextField v-model="typed.host" :label="t('page-shops.host')" :note="t('page-shops.host-note')" name="host" />
          <TextField
            v-model="typed.mostPeople"
            :label="t('page-shops.most-people')"
            :note="t('page-shops.no-limit')"
            inputmode="numeric"
            name="mostPeople"
          />
          <TextField
            v-model="typed.mostPhotoMb"
            :label="t('page-shops.most-photos')"
            :note="t('page-shops.no-limit')"
            inputmode="numeric"
            name="mostPhotoMb"
          />
        </div>
        <p v-if="settling.failed.value" class="wrong" role="alert">{{ settling.failed.value }}</p>
        <div class="actions">
          <Button type="submit" :label="t('common.save')" :loading="settling.busy.value" />
          <Button severity="secondary" outlined :label="t('common.leave-it')" @click="settled = null" />
        </div>
      </CheckedForm>
      <CheckedForm ref="addForm" class="part" :form="adding" :schema="newShopSchema" :body="() => given" @send="add">
        <h2>{{ t('page-shops.add') }}</h2>
        <div class="grid">
          <TextField v-model="given.shop" :label="t('common.shop')" name="shop" />
          <TextField
            v-model="given.shortName"
            :label="t('page-shops.short-name')"
            :note="t('page-shops.short-name-note')"
            name="shortName"
          />
          <ClockAndUnit
            v-model:time-zone="given.timeZone"
            v-model:unit="given.unit"
            :here="zone"
            :unit-note="t('page-setup.both-are-always-shown')"
          />
        </div>
        <h3>{{ t('page-shops.its-lead') }}</h3>
        <div class="grid">
          <TextField v-model="given.lead.name" :label="t('common.name')" name="lead.name" />
          <TextField v-model="given.lead.signIn" :label="t('common.sign-in-name')" name="lead.signIn" />
        </div>
        <p v-if="adding.failed.value" class="wrong" role="alert">{{ adding.failed.value }}</p>
        <div class="actions"><Button type="submit" :label="t('common.add')" :loading="adding.busy.value" /></div>
      </CheckedForm>
    </template>
  </main>
</template>

<style scoped>
.part {
  display: grid;
  gap: 16px;
}
</style>
