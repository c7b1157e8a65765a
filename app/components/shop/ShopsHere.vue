<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { GRACE_DAYS, type ShopHere } from '~~/shared/shops'
import { LOCALE } from '../../language'
import { t } from '../../words'
import EndButton from '../forms/EndButton.vue'

/** The shops of a server: how much there is of each, and what can be done with it. */
const props = defineProps<{ shops: ShopHere[]; timeZone: string }>()
defineEmits<{ settle: [shop: ShopHere]; code: [id: number]; close: [id: number]; reopen: [id: number] }>()
const day = (iso: string): string =>
  new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeZone: props.timeZone }).format(new Date(iso))
/** Most of what a shop has, in one line. */
const use = ({ people, mostPeople, photoMb, mostPhotoMb, jobs, lastJobAt }: ShopHere): string[] => [
  t('page-shops.people', { people, most: mostPeople }),
  t('page-shops.photos', { mb: photoMb, most: mostPhotoMb }),
  t('page-shops.jobs', { jobs, last: lastJobAt && day(lastJobAt) }),
]
</script>

<template>
  <DataTable class="few" :value="shops" data-key="id">
    <Column field="name" sortable :header="t('common.shop')">
      <template #body="{ data }: { data: ShopHere }">
        <b>{{ data.name }}</b><template v-if="data.own"> ({{ t('page-shops.yours') }})</template>
        <p v-if="data.goesAt" class="wrong">{{ t('page-shops.closed-until', { day: day(data.goesAt) }) }}</p>
      </template>
    </Column>
    <Column field="shortName" sortable :header="t('page-shops.door')">
      <template #body="{ data }: { data: ShopHere }">
        <span class="figures">{{ data.shortName ?? t('page-shops.no-short-name') }}</span>
        <p v-if="data.host" class="note">{{ data.host }}</p>
      </template>
    </Column>
    <Column field="jobs" sortable :header="t('page-shops.in-use')">
      <template #body="{ data }: { data: ShopHere }">
        <p v-for="line in use(data)" :key="line" class="line">{{ line }}</p>
      </template>
    </Column>
    <Column>
      <template #header
        ><span class="hidden-words">{{ t('common.change') }}</span></template
      >
      <template #body="{ data }: { data: ShopHere }">
        <div class="keys">
          <Button
            v-if="data.goesAt"
            link
            :label="t('page-shops.reopen')"
            :aria-label="t('page-shops.reopen-of', { name: data.name })"
            @click="$emit('reopen', data.id)"
          />
          <template v-else>
            <Button
              link
              :label="t('page-shops.settle')"
              :aria-label="t('page-shops.settle-of', { name: data.name })"
              @click="$emit('settle', data)"
            />
            <Button
              link
              :label="t('page-shops.new-code')"
              :aria-label="t('page-shops.new-code-of', { name: data.name })"
              @click="$emit('code', data.id)"
            />
          </template>
          <Button
            as="a"
            link
            :label="t('page-shops.files')"
            :href="`/api/shops/${data.id}/files`"
            download="wembric-shop.zip"
            :aria-label="t('page-shops.files-of', { name: data.name })"
          />
          <EndButton
            v-if="!data.own && !data.goesAt"
            link
            :label="t('page-shops.close')"
            :ask="t('page-shops.close-asks', { name: data.name, days: GRACE_DAYS })"
            :aria-label="t('page-shops.close-of', { name: data.name })"
            @end="$emit('close', data.id)"
          />
        </div>
      </template>
    </Column>
  </DataTable>
</template>

<style scoped>
.line,
.note {
  margin: 0;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}
</style>
