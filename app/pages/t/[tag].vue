<script setup lang="ts">
import { navigateTo, useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import { onMounted } from 'vue'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'

/** Where a tag's code leads: on to its machine. */
useHead({ title: 'Tag, Wembric' })
const tag = String(useRoute().params.tag)
const form = useForm()
onMounted(async () => {
  const found = await form.send(() => api('GET /api/tags/:tag', { tag }))
  if (found) await navigateTo(`/machines/${found.id}`, { replace: true })
})
</script>

<template>
  <main class="form">
    <h1>Tag {{ tag }}</h1>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <p v-else role="status">Looking for the machine …</p>
    <p v-if="form.failed.value" class="actions"><NuxtLink class="quiet" to="/machines">All machines</NuxtLink></p>
  </main>
</template>
