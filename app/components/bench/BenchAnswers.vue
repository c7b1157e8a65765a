<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { NextThing } from '~~/core/job'
import type { BenchScreen } from '../../composables/useBenchScreen'
import { t, tell } from '../../words'
import GlossedText from '../shell/GlossedText.vue'
import AnswerPanel from './AnswerPanel.vue'
import ClashFacts from './ClashFacts.vue'

/**
 * The question of the moment and its keys: somebody else’s hand comes before a clash, a clash before the next thing.
 */
const props = defineProps<{ screen: BenchScreen; next: NextThing }>()
defineEmits<{ pass: [] }>()
const other = computed(() => props.screen.handOver.asked.value)
const clash = computed(() => props.screen.clash.value)
const passable = computed(() => {
  const { requirement, keys } = props.next
  return requirement !== null && !requirement.firm && !keys.some(k => k.asks === 'reason')
})
</script>

<template>
  <AnswerPanel
    v-if="other"
    :label="other.label"
    :instruction="other.instruction"
    :why="other.why"
    :keys="other.keys"
    :passable="false"
    data-testid="hand-over"
    @press="screen.press($event)"
  />
  <AnswerPanel
    v-else-if="clash"
    :label="t('bench-answers.conflicting-answer')"
    :instruction="t('bench-answers.these-answers-conflict')"
    why=""
    :keys="screen.clashKeys.value"
    :passable="false"
    @press="screen.press($event)"
  >
    <ClashFacts :clash="clash" />
  </AnswerPanel>
  <AnswerPanel
    v-else
    :label="next.label"
    :instruction="screen.instruction.value"
    :why="next.why"
    :keys="screen.keys.value"
    :passable="passable"
    @press="screen.press($event)"
    @pass="$emit('pass')"
  >
    <p class="why"><GlossedText :text="tell(next.why)" /></p>
    <p v-if="next.doubted.length" class="doubted">
      {{ t('bench-answers.undo')
      }}<Button
        v-for="d in next.doubted"
        :key="d.eventId"
        severity="secondary"
        outlined
        @click="screen.retractId(d.eventId)"
      >
        {{ tell(d.words) }}
      </Button>
    </p>
  </AnswerPanel>
</template>

<style scoped>
.why {
  font-size: 17px;
  line-height: 22px;
  color: var(--ink2);
  margin: 8px 0 12px;
}
@media (max-width: 700px) {
  .why {
    font-size: 16px;
    line-height: 20px;
    margin-block: 6px 0;
  }
}
.doubted {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin-top: 6px;
  font: 600 15px/1 var(--figures);
}
</style>
