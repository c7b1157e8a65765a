<script setup lang="ts">
import { onMounted } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'
import { t } from '../../words'

definePageMeta({ words: ['pages'] })
/** Where a tag's code leads: on to its machine. */
useHead({ title: t('common.tag-wembric') })
const tag = String(useRoute().params.tag)
const form = useForm()
onMounted(async () => {
  const found = await form.send(() => api('GET /api/tags/:tag', { tag }))
  if (found) await navigateTo(`/machines/${found.id}`, { replace: true })
})
</script>

<template>
  <main class="form">
    <h1>{{ t('page-t-tag.tag', { tag }) }}</h1>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <p v-else role="status">{{ t('page-t-tag.looking-for-the-machine') }}</p>
    <p v-if="form.failed.value" class="actions">
      <NuxtLink class="quiet" to="/machines">{{ t('page-t-tag.all-machines') }}</NuxtLink>
    </p>
  </main>
</template>
