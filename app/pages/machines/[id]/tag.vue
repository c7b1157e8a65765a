<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, useHead, useRoute } from '#imports'
import type { MachineResponse } from '~~/shared/machines'
import MachineTag from '../../../components/machine/MachineTag.vue'
import { tagAddress, tagLines } from '../../../components/machine/tag-words'
import { useForm } from '../../../composables/useForm'
import { api } from '../../../utils/api'
import { t } from '../../../words'

definePageMeta({ layout: false, words: ['pages'] })
const id = Number(useRoute().params.id)
const form = useForm()
const seen = ref<MachineResponse | null>(null)
onMounted(async () => {
  seen.value = await form.send(() => api('GET /api/machines/:id', { id }))
})
useHead({
  title: () =>
    seen.value ? t('page-machines-id-tag.tag-2', { tag: seen.value.machine.tag }) : t('common.tag-wembric'),
})
const print = () => window.print()
</script>

<template>
  <main class="page-of-tag">
    <nav :aria-label="t('common.tag')">
      <NuxtLink class="quiet" :to="`/machines/${id}`">{{ t('common.machine') }}</NuxtLink><Button
        severity="secondary"
        outlined
        :disabled="!seen"
        @click="print"
      >
        {{ t('common.print') }}
      </Button>
    </nav>
    <h1 class="hidden-words">{{ t('common.tag') }} {{ seen?.machine.tag }}</h1>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <template v-if="seen">
      <div class="paper">
        <MachineTag :tag="seen.machine.tag" :lines="tagLines(seen.machine)" :address="tagAddress(seen.machine.tag)" />
      </div>
      <p class="note">
        {{ t('page-machines-id-tag.85-32-mm-the-code', { tag: tagAddress(seen.machine.tag) }) }}
      </p>
    </template>
  </main>
</template>

<style scoped>
.page-of-tag {
  padding: 20px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  justify-items: start;
}
nav {
  display: flex;
  gap: 10px;
}
.paper {
  width: 85mm;
  max-width: 100%;
}
.note {
  max-width: 56ch;
  color: var(--ink2);
  font-size: 16px;
  overflow-wrap: anywhere;
}
@media print {
  nav,
  .note {
    display: none !important;
  }
  .page-of-tag {
    padding: 0;
  }
}
</style>
