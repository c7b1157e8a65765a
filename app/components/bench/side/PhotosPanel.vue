<script setup lang="ts">
import { NuxtLink } from '#components'
import { t } from '../../../words'
import PhotoStrip from '../../machine/PhotoStrip.vue'
import BackButton from './BackButton.vue'
/** Photos of this job, and the way to the machine’s page. */
defineProps<{ machineId: number; jobId: number }>()
defineEmits<{ back: [] }>()
</script>

<template>
  <div class="side photos">
    <h2>
      {{ t('photos-panel.photos-of-this-job') }}
      <BackButton @back="$emit('back')" />
    </h2>
    <PhotoStrip :machine-id="machineId" :job-id="jobId" />
    <NuxtLink class="quiet" :to="`/machines/${machineId}`">{{ t('photos-panel.the-machines-page') }}</NuxtLink>
  </div>
</template>

<style scoped>
.photos {
  display: grid;
  gap: 14px;
  align-content: start;
  justify-items: start;
}
h2 {
  font-size: 26px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  justify-self: stretch;
}
</style>
