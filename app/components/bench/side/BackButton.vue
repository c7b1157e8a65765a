<script setup lang="ts">
import Button from 'primevue/button'
import { t } from '../../../words'

/** The way back to the question and its keys. */
defineEmits<{ back: [] }>()
</script>

<template>
  <Button severity="secondary" outlined @click="$emit('back')">
    {{ t('common.back') }} <kbd>{{ t('common.esc') }}</kbd>
  </Button>
</template>
