<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { eventWords, type JobEvent, type JobView } from '~~/core/job'
import type { Field, Panel } from '../../../bench/panel'
import { useDim, useUnitFirst } from '../../../composables/useOwnScreen'
import { LOCALE } from '../../../language'
import { t, tell } from '../../../words'
import BackButton from './BackButton.vue'
/** What stands under More: a panel of its own, a field, or a valve to set all the same. */
export type MoreChoice = Exclude<Panel['kind'], 'keys' | 'ask' | 'undo'> | Field | `set:${string}`
/** What stands in the keys' place when asked for: more actions, the answers so far, or help. */
const props = defineProps<{
  kind: 'more' | 'log' | 'help'
  view: JobView
  log: JobEvent[]
  settable: { valveId: string; name: string }[]
  shortcutsOn: boolean
  tryingBlade: boolean
}>()
defineEmits<{ back: []; choose: [choice: MoreChoice]; retract: [event: JobEvent]; shortcuts: [] }>()
const dim = useDim()
const unitFirst = useUnitFirst()
const entries = computed(() => [...props.log].reverse().filter(e => e.type !== 'retracted' && e.type !== 'placed'))
const gone = (e: JobEvent): boolean => props.view.state.retracted.has(e.id)
const time = (e: JobEvent): string => new Date(e.at).toLocaleTimeString(LOCALE, { hour: 'numeric', minute: '2-digit' })
const KEYS = [
  ['1–4', t('side-panels.the-answer-keys')],
  ['← →', t('side-panels.another-blade')],
  ['S', t('side-panels.a-blade-or-stack-by')],
  ['+', t('side-panels.stack')],
  ['X', t('side-panels.another-blade-set-2')],
  ['[ ]', t('side-panels.turn-5-less-more')],
  ['O', t('side-panels.where-the-slot-points-now')],
  ['T', t('side-panels.torque-wrench-adapter')],
  ['Enter', t('side-panels.the-first-answer-if-there')],
  ['U', t('side-panels.undo-the-last-answer')],
  ['V', t('side-panels.next-valve')],
  ['M', t('side-panels.more-finding-hold')],
  ['E', t('side-panels.something-else-you-saw-felt')],
  ['W', t('side-panels.why-the-crank-is-said-2')],
  ['L', t('side-panels.all-answers')],
  ['C', t('side-panels.caution-understood')],
  ['G', t('side-panels.skip-with-a-reason')],
  ['B', t('side-panels.to-the-bay')],
  ['?', t('side-panels.this-help')],
]
</script>

<template>
  <div class="side">
    <div class="title">
      <h2>
        {{ { more: t('common.more'), log: t('side-panels.answers-so-far'), help: t('side-panels.keys') }[kind] }}
      </h2>
      <BackButton @back="$emit('back')" />
    </div>
    <div v-if="kind === 'more'" class="choices">
      <Button severity="secondary" outlined @click="$emit('choose', 'evidence')">
        {{ t('side-panels.something-seen-felt-or-turned') }} <kbd>E</kbd>
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'reasons')">
        {{ t('side-panels.why-the-crank-is-said') }} <kbd>W</kbd>
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'school')">
        {{ t('side-panels.find-the-stops-by-another') }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'finding')">
        {{ t('side-panels.write-down-what-you-found') }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'pressure')">
        {{ t('side-panels.compression-or-leak-down') }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'note')">{{ t('side-panels.add-a-note') }}</Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'photos')">
        {{ t('side-panels.photos-the-machines-page') }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'item-in')">
        {{ t('side-panels.put-something-in') }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'item-off')">
        {{ t('side-panels.removed-something') }}
      </Button>
      <Button v-if="tryingBlade" severity="secondary" outlined @click="$emit('choose', 'blade')">
        {{ t('side-panels.another-blade-or-stack-by') }} <kbd>S</kbd>
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'sets')">
        {{ t('side-panels.another-blade-set') }} <kbd>X</kbd>
      </Button>
      <Button v-if="tryingBlade" severity="secondary" outlined @click="$emit('choose', 'estimate')">
        {{ t('side-panels.an-estimate-by-eye-or') }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'wrench')">
        {{ t('side-panels.torque-wrench-and-adapter') }} <kbd>T</kbd>
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'ways')">
        {{ t('side-panels.target-locking-and-proof') }}
      </Button>
      <Button
        v-for="v in settable"
        :key="v.valveId"
        severity="secondary"
        outlined
        @click="$emit('choose', `set:${v.valveId}`)"
      >
        {{ t('side-panels.set-the-all-the-same', { name: v.name.toLowerCase() }) }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'log')">
        {{ t('side-panels.all-answers-so-far') }} <kbd>L</kbd>
      </Button>
      <Button severity="secondary" outlined @click="dim = !dim">
        {{ dim ? t('side-panels.light-screen') : t('side-panels.dim-screen') }}
      </Button>
      <Button severity="secondary" outlined @click="unitFirst = view.pin.unit === 'mm' ? 'thou' : 'mm'">
        {{ t('side-panels.unit-first', { unit: view.pin.unit === 'mm' ? 'thou' : 'mm' }) }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'hold')">
        {{ t('side-panels.put-the-job-on-hold') }}
      </Button>
      <Button severity="secondary" outlined @click="$emit('choose', 'abandon')">
        {{ t('side-panels.abandon-the-job') }}
      </Button>
    </div>
    <ol v-else-if="kind === 'log'" class="log">
      <li v-for="e in entries" :key="e.id" :class="{ gone: gone(e) }">
        <span class="words"
          >{{ tell(eventWords(view.pin, e))
          }}<small
            >{{ e.personName }}, {{ time(e) }}{{ e.seq === null ? t('side-panels.not-sent-yet') : ''
            }}{{ gone(e) ? t('side-panels.undone') : '' }}</small
          ></span
        >
        <Button
          v-if="!gone(e) && e.type !== 'closed' && e.type !== 'reopened'"
          severity="secondary"
          outlined
          :aria-label="t('side-panels.undo', { answer: tell(eventWords(view.pin, e)) })"
          @click="$emit('retract', e)"
        >
          {{ t('common.undo') }}
        </Button>
      </li>
      <li v-if="entries.length === 0">{{ t('side-panels.nothing-answered-yet') }}</li>
    </ol>
    <template v-else>
      <dl class="help">
        <template v-for="[k, what] in KEYS" :key="k"
          ><dt>
            <kbd>{{ k }}</kbd>
          </dt>
          <dd>{{ what }}</dd></template
        >
      </dl>
      <Button severity="secondary" outlined @click="$emit('shortcuts')">
        {{ shortcutsOn ? t('side-panels.switch-single-keys-off') : t('side-panels.switch-single-keys-on') }}
      </Button>
      <p class="note">
        {{ t('side-panels.each-answer-is-saved-on') }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.side {
  display: grid;
  gap: 12px;
  align-content: start;
  min-height: 0;
  grid-template-rows: auto minmax(0, 1fr);
  height: 100%;
}
.title {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h2 {
  font-size: 26px;
}
.choices {
  display: grid;
  gap: 8px;
  align-content: start;
}
.choices .p-button {
  justify-content: space-between;
  min-height: 48px;
  font-size: 17px;
}
.log {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow: auto;
}
.log li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: center;
  padding: 8px 2px;
  border-bottom: 1px solid var(--line);
}
.words {
  font: 600 16.5px/1.25 var(--figures);
  overflow-wrap: anywhere;
  min-width: 0;
}
small {
  display: block;
  font: 400 14px/1.3 var(--sentences);
  color: var(--ink3);
}
.gone .words {
  text-decoration: line-through;
  color: var(--ink3);
}
.log .p-button {
  flex: none;
}
.help {
  display: grid;
  grid-template-columns: 70px 1fr;
  gap: 8px;
  margin: 0;
}
dd {
  margin: 0;
}
.note {
  font-size: 15px;
  color: var(--ink2);
}
</style>
