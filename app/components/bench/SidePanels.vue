<script setup lang="ts">
import { LOCALE } from '~~/core/units'
import { computed } from 'vue'
import { eventWords, type JobEvent, type JobView } from '~~/core/job'
import type { Panel } from '../../bench/panel'
import type { Field } from './AskForm.vue'

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
const entries = computed(() => [...props.log].reverse().filter(e => e.type !== 'retracted' && e.type !== 'placed'))
const gone = (e: JobEvent): boolean => props.view.state.retracted.has(e.id)
const time = (e: JobEvent): string => new Date(e.at).toLocaleTimeString(LOCALE, { hour: 'numeric', minute: '2-digit' })
const KEYS = [
  ['1–4', 'the answer keys'],
  ['← →', 'another blade'],
  ['S', 'a blade or stack by its size'],
  ['+', 'stack: tap adds a blade'],
  ['X', 'another blade set'],
  ['[ ]', 'turn 5° less, more'],
  ['O', 'where the slot points now'],
  ['T', 'torque wrench, adapter'],
  ['Enter', 'the first answer, if there is only one'],
  ['U', 'undo the last answer'],
  ['V', 'next valve'],
  ['M', 'more: finding, hold'],
  ['E', 'something else you saw, felt or turned'],
  ['W', 'why the crank is said to be there'],
  ['L', 'all answers'],
  ['C', 'caution understood'],
  ['G', 'skip with a reason'],
  ['B', 'to the Bay'],
  ['?', 'this help'],
]
</script>

<template>
  <div class="side">
    <div class="title">
      <h2>{{ { more: 'More', log: 'Answers so far', help: 'Keys' }[kind] }}</h2>
      <button type="button" class="quiet" @click="$emit('back')">Back <kbd>Esc</kbd></button>
    </div>
    <div v-if="kind === 'more'" class="choices">
      <button type="button" class="quiet" @click="$emit('choose', 'evidence')">
        Something seen, felt or turned <kbd>E</kbd>
      </button>
      <button type="button" class="quiet" @click="$emit('choose', 'reasons')">
        Why the crank is said to be there <kbd>W</kbd>
      </button>
      <button type="button" class="quiet" @click="$emit('choose', 'school')">Find the stops by another method</button>
      <button type="button" class="quiet" @click="$emit('choose', 'finding')">Write down what you found</button>
      <button type="button" class="quiet" @click="$emit('choose', 'note')">Add a note</button>
      <button type="button" class="quiet" @click="$emit('choose', 'photos')">Photos, the machine’s page</button>
      <button type="button" class="quiet" @click="$emit('choose', 'replaced')">Replaced a part</button>
      <button type="button" class="quiet" @click="$emit('choose', 'item-in')">Put something in</button>
      <button type="button" class="quiet" @click="$emit('choose', 'item-off')">Removed something</button>
      <button v-if="tryingBlade" type="button" class="quiet" @click="$emit('choose', 'blade')">
        Another blade or stack, by size <kbd>S</kbd>
      </button>
      <button type="button" class="quiet" @click="$emit('choose', 'sets')">Another blade set <kbd>X</kbd></button>
      <button v-if="tryingBlade" type="button" class="quiet" @click="$emit('choose', 'estimate')">
        An estimate by eye or ear
      </button>
      <button type="button" class="quiet" @click="$emit('choose', 'wrench')">
        Torque wrench and adapter <kbd>T</kbd>
      </button>
      <button type="button" class="quiet" @click="$emit('choose', 'ways')">Target, locking and proof</button>
      <button
        v-for="v in settable"
        :key="v.valveId"
        type="button"
        class="quiet"
        @click="$emit('choose', `set:${v.valveId}`)"
      >
        Set the {{ v.name.toLowerCase() }} all the same
      </button>
      <button type="button" class="quiet" @click="$emit('choose', 'log')">All answers so far <kbd>L</kbd></button>
      <button type="button" class="quiet" @click="$emit('choose', 'hold')">Put the job on hold</button>
      <button type="button" class="quiet" @click="$emit('choose', 'abandon')">Abandon the job</button>
    </div>
    <ol v-else-if="kind === 'log'" class="log">
      <li v-for="e in entries" :key="e.id" :class="{ gone: gone(e) }">
        <span class="words"
          >{{ eventWords(view.pin, e)
          }}<small
            >{{ e.personName }}, {{ time(e) }}{{ e.seq === null ? ', not sent yet' : ''
            }}{{ gone(e) ? ', undone' : '' }}</small
          ></span
        >
        <button
          v-if="!gone(e) && e.type !== 'closed' && e.type !== 'reopened'"
          type="button"
          class="quiet"
          :aria-label="`Undo: ${eventWords(view.pin, e)}`"
          @click="$emit('retract', e)"
        >
          Undo
        </button>
      </li>
      <li v-if="entries.length === 0">Nothing answered yet.</li>
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
      <button type="button" class="quiet" @click="$emit('shortcuts')">
        {{ shortcutsOn ? 'Switch single keys off' : 'Switch single keys on' }}
      </button>
      <p class="note">
        Each answer is saved on this device first, then sent. “Saved” means the shop’s database has it.
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
.choices .quiet {
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
.log .quiet {
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
