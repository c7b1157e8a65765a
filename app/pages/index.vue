<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, onMounted, ref } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead } from '#imports'
import type { BayCard } from '~~/shared/board'
import { isOpen, type Lane, lanesByPerson, lanesByStage, moveMeant } from '../bay/lanes'
import BayCardView from '../components/bay/BayCardView.vue'
import DayBar from '../components/bay/DayBar.vue'
import DueStrip from '../components/bay/DueStrip.vue'
import FirstRun from '../components/bay/FirstRun.vue'
import MovePanel from '../components/bay/MovePanel.vue'
import UnkeptStrip from '../components/bay/UnkeptStrip.vue'
import LoadingRows from '../components/shell/LoadingRows.vue'
import { useBoard } from '../composables/useBoard'
import { useFirstRun } from '../composables/useFirstRun'
import { useKeys } from '../composables/useKeys'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-bay.bay-wembric') })
const session = useSessionStore()
const outbox = useOutboxStore()
onMounted(() => outbox.readOpenings())
const { bay, due, failed, nowMs, clock, load, columnOf, place } = useBoard()
/** The columns are the stages of the work, or the people who do it. */
const by = useLocalStorage<'stage' | 'person'>('wembric-bay', 'stage')
const lanes = computed((): Lane[] => {
  if (!bay.value) return []
  return by.value === 'stage' ? lanesByStage(bay.value.cards, columnOf) : lanesByPerson(bay.value)
})
/** Quick jobs that nobody has kept: those on the board say so on their cards. */
const keepable = computed(() => new Set(bay.value?.unkept.map(u => u.jobId)))
const onTheBoard = computed(() => new Set(bay.value?.cards.map(c => c.jobId)))
const offTheBoard = computed(() => bay.value?.unkept.filter(u => !onTheBoard.value.has(u.jobId)) ?? [])
const startedHere = computed(() => outbox.openings.filter(o => !onTheBoard.value.has(o.jobId)))
const open = computed(() => bay.value?.cards.filter(isOpen).length ?? 0)
const mine = computed(
  () => bay.value?.cards.filter(c => isOpen(c) && c.assigned?.id === session.person?.id).length ?? 0,
)
const moving = ref<number | null>(null)
const has = useFirstRun(() => bay.value?.cards.length === 0)
useKeys({ n: () => navigateTo('/jobs/new'), q: () => navigateTo('/quick') })

function dropped(lane: Lane, cards: BayCard[]): void {
  const move = moveMeant(lane, cards)
  if (move) void place(move.jobId, move.personId, move.beforeJobId)
}
async function placed(card: BayCard, personId: number | null, beforeJobId: number | null): Promise<void> {
  moving.value = null
  await place(card.jobId, personId, beforeJobId)
}
const amongOf = (card: BayCard) =>
  bay.value!.cards.filter(c => isOpen(c) && (c.assigned?.id ?? null) === (card.assigned?.id ?? null))
</script>

<template>
  <main class="bay">
    <DayBar v-model:by="by" :today="bay?.today ?? null" :open="open" :mine="mine" />
    <p v-if="bay?.room" class="said room" :class="{ urgent: bay.room.urgent }" role="alert">
      <b>{{ t('page-bay.mb-are-left-on-the', { freeMb: bay.room.freeMb }) }}</b>
      {{ bay.room.urgent ? t('page-bay.make-room-now-when-it') : t('page-bay.make-room-before-it-is') }}
    </p>
    <p v-if="bay?.backup" class="said room" role="alert">
      <b>{{ t('page-bay.backup', { age: bay.backup }) }}</b>
      <NuxtLink to="/backups">{{ t('page-backups.title') }}</NuxtLink>
    </p>
    <p v-if="failed" class="said" role="alert">
      {{ failed }} <Button link @click="load">{{ t('common.try-again') }}</Button>
    </p>
    <LoadingRows v-else-if="!bay" class="said" :words="t('page-bay.fetching-the-board')" row-height="110px" />
    <FirstRun v-if="bay && bay.cards.length === 0" :has="has" />
    <div v-else-if="bay" class="columns" :style="{ '--n': lanes.length }">
      <section v-for="lane in lanes" :key="lane.key" :class="lane.key" :aria-label="lane.name">
        <h2>
          {{ lane.name }}<span>{{ lane.cards.length }}</span>
        </h2>
        <VueDraggable
          :model-value="lane.cards"
          :group="by === 'person' ? 'people' : { name: lane.key, put: false, pull: false }"
          :disabled="lane.key === 'done'"
          handle=".grip"
          :force-fallback="true"
          :fallback-tolerance="4"
          :animation="120"
          class="cards"
          :data-lane="lane.name"
          @update:model-value="dropped(lane, $event)"
        >
          <BayCardView
            v-for="card in lane.cards"
            :key="card.jobId"
            :card="card"
            :now-ms="nowMs"
            :clock="clock"
            :moving="moving === card.jobId"
            :keepable="keepable.has(card.jobId)"
            @move="moving = moving === card.jobId ? null : card.jobId"
            @changed="load"
          >
            <MovePanel
              :card="card"
              :crew="bay.crew"
              :among="amongOf(card)"
              @place="(person, before) => placed(card, person, before)"
              @changed="load"
              @done="moving = null"
            />
          </BayCardView>
        </VueDraggable>
        <p v-if="lane.cards.length === 0" class="empty">{{ lane.empty }}</p>
      </section>
    </div>
    <UnkeptStrip :unkept="offTheBoard" :openings="startedHere" />
    <DueStrip v-if="due && bay && bay.cards.length > 0" :due="due" />
  </main>
</template>

<style scoped>
.room {
  border-left: 6px solid var(--loose);
  padding-left: 10px;
}
.room.urgent {
  border-left-color: var(--alarm);
  color: var(--alarm);
}
.bay {
  display: grid;
  grid-template-rows: 84px auto 1fr auto;
  min-height: calc(100dvh - var(--shop-header));
}
.columns {
  display: grid;
  grid-template-columns: repeat(var(--n), minmax(0, 1fr));
  grid-row: 3;
}
section {
  padding: 12px 20px 0;
  border-right: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  min-width: 0;
}
section.bench {
  background: var(--sheet);
}
.cards {
  min-height: 44px;
}
.columns > section > .cards:has(+ .empty) {
  min-height: 0;
}
h2 {
  font-size: 18px;
  display: flex;
  justify-content: space-between;
  padding-bottom: 12px;
}
h2 span {
  color: var(--ink2);
  font-weight: 500;
}
.empty {
  border-top: 3px solid var(--line);
  padding-top: 12px;
  font-size: 15.5px;
  color: var(--ink3);
}
.said {
  margin: 12px 20px;
}
:deep(.sortable-ghost) {
  opacity: 0.35;
}
:deep(.sortable-drag),
:deep(.sortable-fallback) {
  background: var(--sheet);
  outline: 2px solid var(--ink);
  padding-inline: 10px;
}
@media (min-width: 901px) and (min-height: 700px) {
  .bay {
    height: calc(100dvh - var(--shop-header));
    min-height: 0;
    grid-template-rows: 84px auto minmax(0, 1fr) auto;
  }
  .columns {
    min-height: 0;
  }
  section {
    overflow-y: auto;
    scrollbar-width: thin;
  }
}
@media (max-width: 900px) {
  .bay {
    grid-template: auto / minmax(0, 1fr);
  }
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  section {
    border-right: 0;
  }
  .empty {
    padding-bottom: 16px;
  }
}
</style>
