<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { definePageMeta, navigateTo, useHead } from '#imports'
import type { MachineRow } from '~~/shared/machines'
import MachineForm from '../../components/forms/MachineForm.vue'
import MachineFilters from '../../components/machine/MachineFilters.vue'
import MachineTable from '../../components/machine/MachineTable.vue'
import LoadingRows from '../../components/shell/LoadingRows.vue'
import { MACHINES_A_PAGE, useMachineList } from '../../composables/useMachineList'
import { t } from '../../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-machines.machines-wembric') })
const adding = ref(false)
const added = (row: MachineRow) => navigateTo(`/machines/${row.id}`)
const { q: text, found, failed, find, asked, ask } = useMachineList()
onMounted(find)
</script>

<template>
  <main class="form">
    <div class="top">
      <h1>{{ t('common.machines') }}</h1>
      <Button v-if="!adding" :label="t('common.add-a-machine')" severity="secondary" outlined @click="adding = true" />
    </div>
    <MachineForm v-if="adding" @added="added" @back="adding = false" />
    <template v-else>
      <MachineFilters
        v-model="text"
        :asked="asked"
        :counts="found?.counts ?? null"
        :kinds="found?.kinds ?? []"
        @ask="ask"
      />
      <p v-if="failed" class="wrong" role="alert">
        {{ failed }} <Button :label="t('common.try-again')" link @click="find" />
      </p>
      <p v-if="found?.total === 0" class="lead" role="status">
        {{
          t('page-machines.a-new-one-is-added', {
            text:
              text || asked.owner || asked.kind || asked.show !== 'all'
                ? t('page-machines.no-machine-like-that-in')
                : t('page-machines.this-shop-has-no-machines'),
          })
        }}
      </p>
      <MachineTable v-else-if="found" :found="found" :asked="asked" :most="MACHINES_A_PAGE" @ask="ask" />
      <LoadingRows v-else-if="!failed" :words="t('common.looking')" :rows="9" />
    </template>
  </main>
</template>

<style scoped>
.form {
  max-width: 1240px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 16px;
  align-items: center;
  justify-content: space-between;
}
</style>
