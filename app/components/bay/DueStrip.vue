<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { DAY_MS } from '~~/core/units'
import type { DueItem, DueResponse } from '~~/shared/machines'
import { LOCALE } from '../../language'
import { t } from '../../words'

/** What falls due in the next weeks, on a rule of days. What is over stands left of today. */
const props = defineProps<{ due: DueResponse }>()
const WIDTH = 1240
const [BEFORE, AFTER] = [5, 43]
const today = computed(() => Date.parse(props.due.today))
const x = (ms: number) => ((ms - (today.value - BEFORE * DAY_MS)) / ((BEFORE + AFTER) * DAY_MS)) * WIDTH
const days = computed(() => Array.from({ length: BEFORE + AFTER }, (_, i) => today.value + (i - BEFORE) * DAY_MS))
const isMonday = (ms: number) => new Date(ms).getUTCDay() === 1
const short = (ms: number) =>
  new Date(ms).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', timeZone: 'UTC' })
/** As many as stand beside each other; the first of them as near to its day as may be. */
const LABEL = 176
/** As wide as there is room to the next. */
const LABEL_WIDTH = `calc(${(LABEL / WIDTH) * 100}% - 6px)`
const MOST = Math.floor(WIDTH / LABEL)
/** A day's name on the rule. */
const WEEK_LABEL = 56
const at = (item: DueItem) => Math.max(20, Math.min(WIDTH, x(Date.parse(item.day))))
const when = (item: DueItem): string => {
  if (item.over) return item.days
  const day = short(Date.parse(item.day))
  return item.reason.use === null ? day : t('due-strip.about', { day })
}
/** What is on the bench already is seen to. */
const waiting = computed(() => props.due.items.filter(i => i.openJobId === null))
const shown = computed(() => {
  let free = 0
  const placed: { item: DueItem; pinX: number; textX: number }[] = []
  for (const item of waiting.value) {
    const pinX = at(item)
    const textX = Math.max(free, Math.min(pinX + 10, WIDTH - LABEL + 12))
    if (placed.length >= MOST || textX > WIDTH - LABEL + 12) break
    placed.push({ item, pinX, textX })
    free = textX + LABEL
  }
  return placed
})
const more = computed(() => waiting.value.length - shown.value.length)
</script>

<template>
  <section class="due" :aria-label="t('due-strip.due-soon')">
    <header>
      <h2>{{ t('due-strip.due-soon') }}</h2>
      <p>{{ t('due-strip.use-hours-or-date-whichever') }}</p>
      <p v-if="due.working" role="status">{{ t('due-strip.working-it-out') }}</p>
      <NuxtLink to="/due">{{
        more > 0 ? t('due-strip.more-by-week', { more, beyond: due.more }) : t('due-strip.by-week')
      }}</NuxtLink>
    </header>
    <p v-if="waiting.length === 0" class="none">
      {{ t('due-strip.nothing-is-due-in-the') }}
    </p>
    <template v-else>
      <svg :viewBox="`0 0 ${WIDTH} 48`" class="rule" aria-hidden="true">
        <rect
          x=".75"
          y="5"
          :width="WIDTH - 1.5"
          height="29"
          fill="var(--white)"
          stroke="var(--ink)"
          stroke-width="1.5"
        />
        <rect x="1" y="5.5" :width="x(today) - 1" height="28" fill="var(--band)" />
        <path
          v-for="d in days"
          :key="d"
          :d="`M ${x(d)} 5 v ${isMonday(d) ? 14 : 7}`"
          :stroke="d < today ? 'var(--ground)' : 'var(--ink)'"
          stroke-width="1.4"
        />
        <path :d="`M ${x(today)} 0 V 40`" stroke="var(--petrol)" stroke-width="4" />
        <text :x="x(today) + 8" y="25" font-size="14" font-weight="700" style="fill: var(--petrol)">
          {{ t('common.today') }}
        </text>
        <template v-for="d in days" :key="`w${d}`">
          <text
            v-if="isMonday(d) && d > today + 2 * DAY_MS && x(d) < WIDTH - WEEK_LABEL"
            :x="x(d) + 5"
            y="24"
            font-size="13"
          >
            {{ short(d) }}
          </text>
        </template>
        <g v-for="{ item, pinX, textX } in shown" :key="item.machineId">
          <path :d="`M ${pinX} 34 V 40 L ${textX - 6} 44 V 48`" fill="none" stroke="var(--ink)" stroke-width="1.6" />
          <circle
            :cx="pinX"
            cy="34"
            r="6.5"
            :fill="item.over ? 'var(--white)' : 'var(--ink)'"
            stroke="var(--ink)"
            stroke-width="3"
          />
        </g>
      </svg>
      <ol>
        <li
          v-for="{ item, textX } in shown"
          :key="item.machineId"
          :style="{ 'left': `${((textX - 6) / WIDTH) * 100}%`, '--room': LABEL_WIDTH }"
        >
          <NuxtLink :to="`/machines/${item.machineId}`" :data-due="item.tag"
            ><b>{{ item.name }}</b
            ><span
              ><em :class="{ over: item.over }">{{ when(item) }}</em> · {{ item.cause }}</span
            ></NuxtLink
          >
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.due {
  grid-row: 4;
  background: var(--sunk);
  border-top: 1.5px solid var(--ink);
  padding: 12px 20px 10px;
  min-height: 182px;
}
header {
  display: flex;
  gap: 12px;
  align-items: baseline;
  padding-bottom: 6px;
}
h2 {
  font-size: 18px;
}
header p {
  font: 500 15px/1.2 var(--figures);
  color: var(--ink2);
}
h2 {
  white-space: nowrap;
}
header a {
  margin-left: auto;
  white-space: nowrap;
  font: 600 16px/1.2 var(--figures);
  padding: 8px 0;
}
.none {
  color: var(--ink2);
  padding-top: 8px;
}
.rule {
  width: 100%;
  display: block;
  overflow: visible;
}
ol {
  position: relative;
  list-style: none;
  margin: 0;
  padding: 0;
  height: 74px;
}
li {
  position: absolute;
  top: 0;
  width: var(--room);
  border-left: 1.6px solid var(--ink);
  padding-left: 8px;
}
li a {
  display: grid;
  color: var(--ink);
  text-decoration: none;
  min-height: 66px;
  align-content: start;
}
li b {
  font: 600 17px/1.25 var(--figures);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
li span {
  font: 500 15px/1.25 var(--figures);
  color: var(--ink2);
}
li em {
  font-style: normal;
  white-space: nowrap;
}
li .over {
  color: var(--ink);
  font-weight: 700;
}
li a:hover b {
  text-decoration: underline;
}
@media (max-width: 900px) {
  header p {
    display: none;
  }
  .rule {
    display: none;
  }
  ol {
    height: auto;
    display: grid;
    gap: 10px;
  }
  li {
    position: static;
    width: auto;
  }
}
</style>
