<script setup lang="ts">
import { NuxtLink } from '#components'
import type { JobPin } from '~~/core/job'
import { useNotOpened } from '../../../composables/useNotOpened'
import { t } from '../../../words'
import EndButton from '../../forms/EndButton.vue'
import PanelFrame from './PanelFrame.vue'

/** A job that began here and that the shop refused: why, and what can be done with what was answered in it. */
const props = defineProps<{ pin: JobPin }>()
const emit = defineEmits<{ back: [] }>()
const job = useNotOpened(props.pin)
const { opening, thereId, answers, meter, meterInWay, isOwn, wrong, busy } = job
async function again() {
  if (await job.again()) emit('back')
}
async function withoutMeter() {
  await job.withoutMeter()
  if (!wrong.value) emit('back')
}
</script>

<template>
  <PanelFrame :title="t('not-opened.title')" :label="t('bench-notices.what-can-be-done')" @back="emit('back')">
    <p>
      <b>{{ opening?.refused }}</b>
    </p>
    <p>{{ t('not-opened.answers', { answers }) }}</p>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <template v-if="thereId !== null"
      ><button type="button" class="key pick" :disabled="busy" @click="job.bring()">
        <b>{{ t('not-opened.bring', { answers }) }}</b><span>{{ t('not-opened.bring-note') }}</span></button
      ><NuxtLink class="key pick" :to="`/jobs/${thereId}`"
        ><b>{{ t('not-opened.see-it') }}</b
        ><span>{{ t('not-opened.see-it-note') }}</span></NuxtLink
      ></template
    >
    <button v-if="meterInWay" type="button" class="key pick" :disabled="busy" @click="withoutMeter">
      <b>{{ t('not-opened.without-meter') }}</b><span>{{ t('not-opened.without-meter-note', { meter }) }}</span>
    </button>
    <button type="button" class="key pick" :disabled="busy" @click="again">
      <b>{{ t('not-opened.again') }}</b><span>{{ t('not-opened.again-note') }}</span>
    </button>
    <EndButton
      v-if="isOwn"
      :label="t('not-opened.discard')"
      :ask="t('not-opened.discard-ask', { answers })"
      @end="job.discard()"
    />
  </PanelFrame>
</template>

<style scoped>
a.key {
  text-decoration: none;
  color: inherit;
}
</style>
