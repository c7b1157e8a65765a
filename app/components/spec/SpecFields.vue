<script setup lang="ts">
import Accordion from 'primevue/accordion'
import AccordionContent from 'primevue/accordioncontent'
import AccordionHeader from 'primevue/accordionheader'
import AccordionPanel from 'primevue/accordionpanel'
import { nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Engine } from '~~/core/engine'
import type { LearnedParts } from '~~/core/job/learned-parts'
import { type Exact, SPEC_DEFAULTS, type SpecField, type SpecText } from '~~/core/spec-book'
import { t } from '../../words'
import AreaField from '../forms/AreaField.vue'
import AdjusterFields from './fields/AdjusterFields.vue'
import CareFields from './fields/CareFields.vue'
import EngineFields from './fields/EngineFields.vue'
import HeadsFields from './fields/HeadsFields.vue'
import MarksFields from './fields/MarksFields.vue'
import MoreFigures from './fields/MoreFigures.vue'
import MustFields from './fields/MustFields.vue'
import PartsFields from './fields/PartsFields.vue'
import TimingFields from './fields/TimingFields.vue'

/** The plain fields of a spec: what must be known above, the rest in parts that open as they are wanted. */
const spec = defineModel<SpecText>('spec', { required: true })
const firing = defineModel<string | null>('firing', { required: true })
/** What has no plain field: parts, and how the heads stand. */
const exact = defineModel<Exact>('exact', { required: true })
defineProps<{
  odd: (field: SpecField) => string | undefined
  engine: Engine | null
  kind: string
  learned?: LearnedParts | null
}>()

const PARTS = {
  engine: [
    ...(['bore', 'stroke', 'rod', 'layout', 'valves', 'cylinders', 'intakeBy', 'exhaustBy', 'measuredAt'] as const),
    ...(['shimDiameter', 'shimStep', 'measuredDrop', 'decompressor', 'heldFrom', 'heldTo', 'heldOn'] as const),
  ],
  adjuster: ['adjuster', 'head', 'lockedBy', 'headSize', 'nutSize', 'pitch', 'ratio'],
  marks: ['marks', 'markWindow', 'camMarks', 'stops', 'direction', 'seenFrom', 'means', 'turnedWith'],
  timing: ['checkLift', 'io', 'ic', 'eo', 'ec'],
  care: [
    ...(['locknut', 'cover', 'plug', 'tools', 'plugGap', 'plugUse', 'plugMonths', 'coverPattern', 'gasket'] as const),
    ...(['use', 'firstUse', 'months'] as const),
  ],
  parts: ['stripDown'],
  more: ['intakeAlso', 'exhaustAlso', 'others', 'superseded', 'setWhen', 'coldLimit'],
} as const satisfies Record<string, readonly SpecField[]>
type Part = keyof typeof PARTS
const open = ref<Part[]>([])

/** How many fields of a part were told. */
const told = (part: Part): number =>
  PARTS[part].filter(f => spec.value[f] !== SPEC_DEFAULTS[f]).length +
  (part === 'parts' ? (exact.value.parts?.length ?? 0) + (exact.value.heads ? 1 : 0) : 0)
/** Two changes may come before the form has given the first one back: the second goes on from it. */
let latest = exact.value
watch(exact, now => (latest = now))
const put = (part: Exact) => {
  latest = { ...latest, ...part }
  exact.value = latest
}
const element = useTemplateRef<HTMLElement>('element')
/** Opens the part in which these fields are; the first of them is gone to. */
async function show(...fields: SpecField[]): Promise<void> {
  const parts = (Object.keys(PARTS) as Part[]).filter(p => PARTS[p].some(f => fields.includes(f)))
  open.value = [...new Set([...open.value, ...parts])]
  await nextTick()
  const field = element.value?.querySelector<HTMLElement>(fields.map(f => `[name="${f}"], [data-field="${f}"]`).join())
  field?.scrollIntoView({ block: 'center' })
  field?.focus()
}
defineExpose({ show })
</script>

<template>
  <div ref="element" class="spec">
    <h2>{{ t('spec-fields.clearances-and-where-from') }}</h2>
    <MustFields v-model:spec="spec" :odd="odd" />
    <Accordion v-model:value="open" multiple>
      <AccordionPanel v-for="(_, part) in PARTS" :key="part" :value="part">
        <AccordionHeader>
          <span class="title">{{ t(`spec-part.${part}`) }}</span>
          <span class="told">{{ t('spec-fields.told', { count: told(part) }) }}</span>
        </AccordionHeader>
        <AccordionContent>
          <EngineFields v-if="part === 'engine'" v-model:spec="spec" v-model:firing="firing" />
          <AdjusterFields v-else-if="part === 'adjuster'" v-model:spec="spec" />
          <MarksFields v-else-if="part === 'marks'" v-model:spec="spec" :odd="odd" />
          <TimingFields v-else-if="part === 'timing'" v-model:spec="spec" :odd="odd" />
          <CareFields v-else-if="part === 'care'" v-model:spec="spec" :odd="odd" />
          <template v-else-if="part === 'parts'">
            <HeadsFields
              :model-value="exact.heads"
              :valves="exact.valves"
              :engine="engine"
              @update:model-value="put({ heads: $event })"
              @update:valves="put({ valves: $event })"
            />
            <PartsFields
              :parts="exact.parts"
              :safe="exact.safe"
              :engine="engine"
              :kind="kind"
              :learned="learned"
              @update:parts="put({ parts: $event })"
              @update:safe="put({ safe: $event })"
            />
            <AreaField
              v-if="!exact.parts"
              v-model="spec.stripDown"
              :label="t('spec-fields.comes-off-first-a-line')"
              :rows="3"
              name="stripDown"
            />
          </template>
          <MoreFigures v-else v-model:spec="spec" :odd="odd" />
        </AccordionContent>
      </AccordionPanel>
    </Accordion>
  </div>
</template>

<style scoped>
.spec {
  display: grid;
  gap: 20px;
}
.title {
  font: 600 20px/1.2 var(--figures);
}
.told {
  margin-left: auto;
  padding-right: 12px;
  color: var(--ink3);
  font-size: 15.5px;
}
</style>
