<script setup lang="ts">
import { computed } from 'vue'
import type { HeadMap } from '~~/core/engine'
import type { Sheet } from '~~/core/job'
import { t } from '../../words'
import HeadsDrawing from '../engine/HeadsDrawing.vue'

/** The heads where they are, in ink: each valve under the sign that its figures have. */
const props = defineProps<{ sheet: Sheet }>()
/** Sheets of earlier versions have the valves’ places alone, and one head for all. */
const earlier = ({ valves }: Sheet): HeadMap => ({
  heads: [{ name: '', x: 210, y: 202, width: 240, height: 280, leanDeg: 0 }],
  chambers: [],
  valves: valves.map(({ valveId, name, role, headX, headY }, i) => ({
    valveId,
    name,
    role,
    sign: `${i + 1}${role === 'intake' ? 'I' : 'E'}`,
    x: 90 + headX * 240,
    y: 62 + headY * 280,
    r: 40,
  })),
  crank: null,
  sides: { top: 'exhaust', bottom: 'intake' },
})
const map = computed(() => props.sheet.map ?? earlier(props.sheet))
</script>

<template>
  <HeadsDrawing
    class="sheet-map"
    :map="map"
    :label="t('sheet-valves.head-from-above-exhaust-at')"
    :words-of="v => [v.sign]"
    :letters="{ valve: 25, head: 24, side: 23 }"
  />
</template>

<style scoped>
/* on paper there is ink and nothing else */
.sheet-map {
  --drawn: #111;
  --sheet: #fff;
  --white: #fff;
}
</style>
