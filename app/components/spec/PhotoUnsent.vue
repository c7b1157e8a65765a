<script setup lang="ts">
import Button from 'primevue/button'
import { NuxtLink } from '#components'
import { t } from '../../words'

/** The figures are saved, and the photo of their page is not: why, and the ways on. */
defineProps<{ why: string; to: string }>()
defineEmits<{ again: [] }>()
</script>

<template>
  <p class="wrong" role="alert">
    {{ t('photo-unsent.saved-without-photo', { why }) }}
    <Button link :label="t('common.try-again')" @click="$emit('again')" />
    <NuxtLink :to="to">{{ t('photo-unsent.go-on-without-it') }}</NuxtLink>
  </p>
</template>
