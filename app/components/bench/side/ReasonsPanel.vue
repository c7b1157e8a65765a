<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { type JobView, reasons } from '~~/core/job'
import { named, t, tell } from '../../../words'
import PanelFrame from './PanelFrame.vue'

/** Why the crank is said to be there: what each answer did, and what the wheel would show without one of them. */
const props = defineProps<{ view: JobView; without: string | null }>()
defineEmits<{ see: [eventId: string | null]; retract: [eventId: string]; back: [] }>()
const all = computed(() => reasons(props.view))
const most = computed(() => Math.max(1, ...all.value.map(r => r.bits)))
const closed = computed(() =>
  props.view.pin.spec.engine.valves.map(v => ({
    name: named(v.name),
    percent: Math.round((props.view.position.closed[v.id] ?? 0) * 100),
    none: Math.round((props.view.position.noClearance[v.id] ?? 0) * 100),
  })),
)
const decompressor = computed(() =>
  props.view.pin.spec.engine.decompressor.kind === 'unknown'
    ? Math.round(props.view.position.decompressor * 100)
    : null,
)
</script>

<template>
  <PanelFrame
    :title="t('reasons-panel.why-here')"
    :label="t('reasons-panel.reasons-the-latest-first')"
    @back="$emit('back')"
  >
    <table>
      <thead>
        <tr>
          <th>{{ t('common.valve') }}</th>
          <th>{{ t('reasons-panel.closed-here') }}</th>
          <th>{{ t('reasons-panel.no-clearance') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="v in closed" :key="v.name">
          <td>{{ v.name }}</td>
          <td class="figures">{{ v.percent }} %</td>
          <td class="figures">{{ v.none }} %</td>
        </tr>
      </tbody>
    </table>
    <p v-if="decompressor !== null" class="note">
      {{ t('reasons-panel.a-decompressor-is-not-on', { decompressor }) }}
    </p>
    <p v-if="all.length === 0" class="note">{{ t('reasons-panel.nothing-seen-or-felt-yet') }}</p>
    <ol>
      <li
        v-for="r in all"
        :key="r.eventId"
        :class="{ out: without === r.eventId, idle: r.idle }"
        :data-reason="r.eventId"
      >
        <p class="words">
          {{ tell(r.words) }} <span v-if="r.clashes" class="flag">{{ t('reasons-panel.conflicts') }}</span>
        </p>
        <p class="did">
          {{
            r.idle
              ? t('reasons-panel.counts-for-nothing', { idle: tell(r.idle) })
              : tell(r.before) === tell(r.after)
                ? t('reasons-panel.still', { after: tell(r.after) })
                : `${tell(r.before)} → ${tell(r.after)}`
          }}
        </p>
        <span v-if="!r.idle" class="bar" :title="t('reasons-panel.bits', { bits: r.bits.toFixed(1) })"
          ><i :style="{ width: `${(r.bits / most) * 100}%` }"
        /></span>
        <div class="acts">
          <Button
            severity="secondary"
            outlined
            :aria-pressed="without === r.eventId"
            @click="$emit('see', without === r.eventId ? null : r.eventId)"
          >
            {{
              without === r.eventId ? t('reasons-panel.put-it-back') : t('reasons-panel.see-without-it')
            }}</Button><Button v-if="!r.gone" severity="secondary" outlined @click="$emit('retract', r.eventId)">
            {{ t('common.undo') }}
          </Button>
        </div>
      </li>
    </ol>
  </PanelFrame>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 15.5px;
}
th {
  text-align: left;
  font-size: 14px;
  color: var(--ink2);
  font-weight: 500;
}
th:not(:first-child),
td:not(:first-child) {
  text-align: right;
}
td {
  padding: 2px 0;
  border-top: 1px solid var(--line);
}
td.figures {
  font-weight: 600;
}
.note {
  font-size: 15px;
  color: var(--ink2);
  padding: 8px 0 0;
}
ol {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
li {
  border-top: 1px solid var(--line);
  padding: 8px 0 10px;
  display: grid;
  gap: 5px;
}
li.out {
  background: var(--petrol-tint);
  padding-inline: 8px;
}
li.idle .words {
  color: var(--ink3);
}
.words {
  font: 600 17px/1.2 var(--figures);
}
.flag {
  color: var(--tight);
}
.did {
  font-size: 15px;
  line-height: 1.25;
  color: var(--ink2);
}
.bar {
  height: 6px;
  background: var(--sunk);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--petrol);
}
.acts {
  display: flex;
  gap: 8px;
}
.acts .p-button {
  min-height: 44px;
}
</style>
