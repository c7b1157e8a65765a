<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { NuxtLink } from '#components'
import { spanOf, targetOf } from '~~/core/feeler'
import type { ModelRow, RevisionRow } from '~~/shared/spec-book'
import { t } from '../../words'
import ClearanceRule from '../bench/ClearanceRule.vue'
import { revisionTitle, revisionWhen } from './revision-words'
import { toldComparison } from './spec-lines'

const props = defineProps<{ model: ModelRow; before: RevisionRow; after: RevisionRow; timeZone: string | undefined }>()
const lines = computed(() => toldComparison(props.before.engine, props.after.engine))
const allShown = ref(false)
const shown = computed(() => lines.value.filter(l => allShown.value || l.change !== 'same' || l.before.clearance))
const same = computed(() => lines.value.filter(l => l.change === 'same' && !l.before.clearance))
/** Both revisions are drawn to one scale, mm: with some room above the looser limit, on a round twentieth. */
const topMm = computed(() =>
  Math.max(
    0.2,
    ...[props.before, props.after].flatMap(r =>
      (['intake', 'exhaust'] as const).map(
        role => Math.ceil((spanOf(r.engine.clearance[role]).maxMm + 0.03) * 20) / 20,
      ),
    ),
  ),
)
const FLAGS = {
  same: t('side-by-side.same'),
  changed: t('side-by-side.changed'),
  added: t('side-by-side.added'),
  removed: t('side-by-side.removed'),
}
</script>

<template>
  <div class="lines">
    <div class="tr head">
      <div class="name">
        <h1>
          <NuxtLink :to="`/spec-book/${model.id}`">{{ model.maker }} {{ model.model }}</NuxtLink>
        </h1>
        <small>{{ model.code }}</small>
      </div>
      <div>
        <h2>{{ revisionTitle(before) }}</h2>
        <small>{{ revisionWhen(before, model.revisionId, timeZone) }}</small>
      </div>
      <div class="flag" />
      <div>
        <h2>{{ revisionTitle(after) }}</h2>
        <small>{{ revisionWhen(after, model.revisionId, timeZone) }}</small>
      </div>
    </div>
    <div v-for="l in shown" :key="l.id" class="tr" :class="l.change" :data-line="l.id">
      <div class="name">
        <b>{{ l.name }}</b><small>{{ l.sub }}</small>
      </div>
      <div>
        <ClearanceRule
          v-if="l.before.clearance"
          :min-mm="spanOf(l.before.clearance).minMm"
          :max-mm="spanOf(l.before.clearance).maxMm"
          :target-mm="targetOf(l.before.clearance)"
          :top-mm="topMm"
          :reading="null"
          verdict="not measured"
        />
        <p v-if="l.before.value">
          <b>{{ l.before.value }}</b> <small>{{ l.before.more }}</small>
        </p>
        <p v-else class="none">{{ t('side-by-side.none-given') }}</p>
      </div>
      <div class="flag">
        <span :class="l.change">{{ FLAGS[l.change] }}</span>
      </div>
      <div>
        <ClearanceRule
          v-if="l.after.clearance && l.change !== 'same'"
          :min-mm="spanOf(l.after.clearance).minMm"
          :max-mm="spanOf(l.after.clearance).maxMm"
          :target-mm="targetOf(l.after.clearance)"
          :top-mm="topMm"
          :reading="null"
          verdict="not measured"
          :ghost="spanOf(l.before.clearance!)"
        />
        <p v-if="l.change === 'removed'" class="none">
          <s>{{ l.before.value }}</s> {{ t('side-by-side.not-in-this-source') }}
        </p>
        <p v-else>
          <b>{{ l.after.value }}</b> <small>{{ l.after.more }}</small>
        </p>
        <p v-if="l.note" class="note">
          {{ l.note }}{{ l.after.clearance ? t('side-by-side.dashed', { revision: revisionTitle(before) }) : '' }}
        </p>
      </div>
    </div>
    <p v-if="same.length" class="folded">
      <b>{{ t('side-by-side.more-the-same', { count: same.length }) }}</b><span>{{
        same.map(l => l.name.toLowerCase()).join(', ')
      }}</span
      ><Button link @click="allShown = !allShown">
        {{ allShown ? t('side-by-side.hide-them') : t('side-by-side.show-them') }}
      </Button>
    </p>
  </div>
</template>

<style scoped>
.lines {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
}
.tr {
  display: grid;
  grid-template-columns: 140fr 312fr 132fr 312fr;
  border-bottom: 1px solid var(--line);
  font-family: var(--figures);
}
.tr > div {
  padding: 12px 16px;
  min-width: 0;
  border-right: 1px solid var(--line);
  display: grid;
  align-content: center;
  gap: 3px;
}
.tr > div:last-child {
  border-right: 0;
}
.tr > .flag {
  padding: 12px 8px;
  justify-items: center;
}
.tr.changed,
.tr.added,
.tr.removed {
  background: var(--sheet);
}
.head h1 {
  font-size: 19px;
  overflow-wrap: anywhere;
}
.head h1 a {
  color: var(--ink);
  text-decoration: none;
}
.head h2 {
  font-size: 21px;
}
small {
  font: 500 15px/1.3 var(--figures);
  color: var(--ink2);
}
.tr p {
  font-size: 17px;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.tr p b {
  font-size: 18px;
  font-weight: 600;
}
.name b {
  font-size: 18px;
}
.tr.same > div:last-child {
  color: var(--ink2);
}
.tr.same > div:last-child b {
  font-weight: 500;
}
.note,
.tr p.note {
  font-size: 15px;
  color: var(--ink2);
}
.none {
  color: var(--ink2);
}
.flag span {
  font: 600 16px/1 var(--figures);
  white-space: nowrap;
}
.flag .same {
  color: var(--ink2);
  font-weight: 500;
}
.flag .changed,
.flag .added,
.flag .removed {
  padding: 9px 22px 9px 10px;
  clip-path: polygon(0 0, calc(100% - 14px) 0, 100% 50%, calc(100% - 14px) 100%, 0 100%);
  background: var(--ink);
  color: var(--sheet);
}
.flag .added,
.flag .removed {
  background: var(--sunk);
  color: var(--ink);
}
.flag .removed {
  background: repeating-linear-gradient(135deg, var(--sunk) 0 6px, var(--line) 6px 8px);
}
.folded {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 10px 20px;
  font: 500 15.5px/1.3 var(--figures);
  color: var(--ink2);
  border-bottom: 1.5px solid var(--ink);
}
.folded b {
  color: var(--ink);
  white-space: nowrap;
}
.folded button {
  margin-left: auto;
  white-space: nowrap;
}
@media (max-width: 900px) {
  .tr {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .tr > .name {
    grid-column: 1 / -1;
    border: 0;
    padding-bottom: 0;
  }
  .tr > .flag {
    order: 3;
    grid-column: 1 / -1;
    justify-items: start;
    padding: 0 16px 12px;
  }
  .folded {
    flex-wrap: wrap;
  }
}
</style>
