<script setup lang="ts">
import Textarea from 'primevue/textarea'
import type { SpecField, SpecText } from '~~/core/spec-book'
import ChoiceField from '../forms/ChoiceField.vue'
import TextField from '../forms/TextField.vue'
import { FIRING_CHOICES } from '../../composables/useModelForm'
import { t } from '../../words'

/** The plain fields of a spec, in the order of a manual's page. */
const spec = defineModel<SpecText>('spec', { required: true })
const firing = defineModel<string | null>('firing', { required: true })
const props = defineProps<{ wrong: Partial<SpecText>; odd: (field: SpecField) => string | undefined }>()
const same = (...values: string[]) => values.map(value => ({ value, label: value }))
type Named =
  'cold' | 'hot' | 'overhead cam' | 'push-rods' | 'screw' | 'shim' | 'none' | 'slot' | 'square' | 'hex socket' | 'Torx'
const named = (...values: Named[]) => values.map(value => ({ value, label: t(`spec-value.${value}`) }))
/** What is wrong with a field, or odd about it. */
const said = (field: SpecField): string | undefined => props.wrong[field] ?? props.odd(field)
</script>

<template>
  <h2>{{ t('common.source') }}</h2>
  <div class="grid source">
    <TextField
      v-model="spec.source"
      :label="t('common.source')"
      :placeholder="t('spec-fields.workshop-manual-2nd-printing-p')"
      :wrong="wrong.source"
    /><TextField
      v-model="spec.sourceDate"
      :label="t('spec-fields.sources-date')"
      placeholder="2024-09-09"
      :wrong="wrong.sourceDate"
    />
  </div>
  <h2>{{ t('common.clearances') }}</h2>
  <div class="grid">
    <ChoiceField
      v-model="spec.unit"
      :label="t('spec-fields.printed-in')"
      :options="same('mm', 'thou', 'in')"
      :wrong="wrong.unit"
    />
    <TextField
      v-model="spec.intake"
      :label="t('common.intake')"
      placeholder="0.08–0.12"
      :note="t('spec-fields.limits-figure-tolerance-or-one')"
      :wrong="said('intake')"
    />
    <TextField v-model="spec.exhaust" :label="t('common.exhaust')" placeholder="0.17 ± 0.02" :wrong="said('exhaust')" />
    <TextField
      v-model="spec.intakeAlso"
      :label="t('spec-fields.intake-in-the-pages-other')"
      placeholder=".0032–.0046"
      :note="t('spec-fields.as-printed-it-is-held')"
      :wrong="said('intakeAlso')"
    />
    <TextField
      v-model="spec.exhaustAlso"
      :label="t('spec-fields.exhaust-in-the-pages-other')"
      placeholder=".0059–.0075"
      :wrong="said('exhaustAlso')"
    />
    <div class="field wide">
      <label for="others">{{ t('spec-fields.other-printed-figures-that-disagree') }}</label><Textarea
        id="others"
        v-model="spec.others"
        rows="1"
        auto-resize
        :placeholder="t('spec-fields.exhaust-0-13-0-17')"
        :invalid="!!wrong.others"
      />
      <p v-if="wrong.others" class="wrong" role="alert">{{ wrong.others }}</p>
      <p v-else class="note">{{ t('spec-fields.they-are-never-averaged-at') }}</p>
    </div>
    <ChoiceField
      v-model="spec.setWhen"
      :label="t('spec-fields.set')"
      :options="named('cold', 'hot')"
      :wrong="wrong.setWhen"
    /><TextField
      v-model="spec.coldLimit"
      :label="t('spec-fields.cold-means-under-c')"
      inputmode="decimal"
      :wrong="wrong.coldLimit"
    />
  </div>
  <h2>{{ t('common.engine') }}</h2>
  <div class="grid">
    <TextField
      v-model="spec.bore"
      :label="t('spec-fields.bore-mm')"
      inputmode="decimal"
      :wrong="wrong.bore"
    /><TextField
      v-model="spec.stroke"
      :label="t('spec-fields.stroke-mm')"
      inputmode="decimal"
      :wrong="wrong.stroke"
    /><TextField
      v-model="spec.rod"
      :label="t('spec-fields.rod-length-mm')"
      inputmode="decimal"
      :note="t('spec-fields.empty-1-75-stroke-assumed')"
      :wrong="wrong.rod"
    />
    <ChoiceField
      v-model="spec.layout"
      :label="t('spec-fields.valve-gear')"
      :options="named('overhead cam', 'push-rods')"
      :wrong="wrong.layout"
    /><ChoiceField v-model="spec.valves" :label="t('spec-fields.valves-a-cylinder')" :options="same('2', '4')" />
    <ChoiceField v-model="firing" :label="t('spec-fields.firing-interval')" :options="FIRING_CHOICES" /><TextField
      v-model="spec.cylinders"
      :label="t('spec-fields.cylinders-and-firing-angles')"
      :placeholder="t('spec-fields.left-0-right-360')"
      :note="t('spec-fields.one-to-four-degrees-of')"
      :wrong="wrong.cylinders"
    />
    <ChoiceField
      v-model="spec.intakeBy"
      :label="t('spec-fields.intakes-set-by')"
      :options="named('screw', 'shim', 'none')"
    /><ChoiceField
      v-model="spec.exhaustBy"
      :label="t('spec-fields.exhausts-set-by')"
      :options="named('screw', 'shim', 'none')"
    />
    <template v-if="spec.intakeBy === 'shim' || spec.exhaustBy === 'shim'"
      ><TextField
        v-model="spec.shimDiameter"
        :label="t('spec-fields.shims-across-mm')"
        placeholder="9.5"
        :wrong="wrong.shimDiameter" /><TextField
        v-model="spec.shimStep"
        :label="t('spec-fields.in-steps-of-mm')"
        placeholder="0.05"
        :wrong="wrong.shimStep"
    /></template>
    <ChoiceField
      v-model="spec.measuredAt"
      :label="t('spec-fields.where-does-the-source-measure')"
      :options="[
        { value: 'not said', label: t('spec-fields.it-does-not-say') },
        { value: 'top', label: t('spec-fields.at-the-t-line') },
        { value: 'past top', label: t('spec-fields.past-the-top-by') },
        { value: 'makers stops', label: t('spec-fields.at-the-makers-stops') },
      ]"
      :note="t('spec-fields.its-own-place-is-believed')"
      :wrong="wrong.measuredAt"
    />
    <TextField
      v-if="spec.measuredAt === 'past top'"
      v-model="spec.measuredDrop"
      :label="t('spec-fields.the-piston-is-below-its')"
      placeholder="6"
      :wrong="wrong.measuredDrop"
    />
    <ChoiceField
      v-model="spec.decompressor"
      :label="t('spec-fields.automatic-decompressor')"
      :options="[
        { value: 'unknown', label: t('common.not-known') },
        { value: 'none', label: t('spec-fields.none') },
        { value: 'arc', label: t('spec-fields.holds-the-exhaust') },
      ]"
      :note="t('spec-fields.not-known-is-treated-as')"
      :wrong="wrong.decompressor"
    />
    <template v-if="spec.decompressor === 'arc'"
      ><TextField
        v-model="spec.heldFrom"
        :label="t('spec-fields.holds-from-after-tdc')"
        placeholder="-120"
        :wrong="wrong.heldFrom" /><TextField
        v-model="spec.heldTo"
        :label="t('spec-fields.to-after-tdc')"
        placeholder="10"
        :wrong="wrong.heldTo" /><TextField
        v-model="spec.heldOn"
        :label="t('spec-fields.on-which-cylinder')"
        :placeholder="t('spec-fields.left')"
        :note="t('spec-fields.empty-on-each')"
        :wrong="wrong.heldOn"
    /></template>
  </div>
  <h2>{{ t('spec-fields.cam-timing-where-the-source') }}</h2>
  <div class="grid">
    <TextField
      v-model="spec.checkLift"
      :label="t('spec-fields.at-lift-mm')"
      placeholder="1"
      :note="t('spec-fields.empty-seat-timing-all-five')"
      :wrong="wrong.checkLift"
    /><TextField v-model="spec.io" :label="t('spec-fields.intake-opens-before-tdc')" :wrong="said('io')" /><TextField
      v-model="spec.ic"
      :label="t('spec-fields.intake-closes-after-bdc')"
      :wrong="said('ic')"
    /><TextField v-model="spec.eo" :label="t('spec-fields.exhaust-opens-before-bdc')" :wrong="said('eo')" /><TextField
      v-model="spec.ec"
      :label="t('spec-fields.exhaust-closes-after-tdc')"
      :wrong="said('ec')"
    />
  </div>
  <h2>{{ t('spec-fields.marks-and-turning') }}</h2>
  <div class="grid">
    <TextField
      v-model="spec.marks"
      :label="t('spec-fields.marks-letter-and-degrees')"
      placeholder="T 0, F 346"
      :note="t('spec-fields.degrees-at-the-pointer-empty')"
      :wrong="wrong.marks"
    /><TextField
      v-model="spec.markWindow"
      :label="t('spec-fields.where-they-show')"
      :placeholder="t('spec-fields.the-rotor-window')"
      :note="t('spec-fields.pointer-notch-or-window-that')"
      :wrong="wrong.markWindow"
    />
    <div class="field wide">
      <label for="signs">{{ t('spec-fields.cam-signs-a-line-each') }}</label><Textarea
        id="signs"
        v-model="spec.camMarks"
        rows="2"
        auto-resize
        :placeholder="t('spec-fields.the-two-dots-face-each')"
        :invalid="!!wrong.camMarks"
      />
      <p v-if="wrong.camMarks" class="wrong" role="alert">{{ wrong.camMarks }}</p>
    </div>
    <div class="field wide">
      <label for="stops">{{ t('spec-fields.the-makers-own-stops-a') }}</label><Textarea
        id="stops"
        v-model="spec.stops"
        rows="2"
        auto-resize
        :placeholder="t('spec-fields.14-p-left-intake-left')"
        :invalid="!!said('stops')"
      />
      <p v-if="said('stops')" class="wrong" role="alert">{{ said('stops') }}</p>
      <p v-else class="note">
        {{ t('spec-fields.place-a-marks-letter-top') }}
      </p>
    </div>
    <ChoiceField
      v-model="spec.direction"
      :label="t('spec-fields.turns')"
      :options="[
        { value: 'clockwise', label: t('runs.clockwise') },
        { value: 'anticlockwise', label: t('runs.anticlockwise') },
      ]"
    /><TextField
      v-model="spec.seenFrom"
      :label="t('spec-fields.seen-from')"
      :placeholder="t('spec-fields.the-left')"
      :wrong="wrong.seenFrom"
    /><TextField
      v-model="spec.means"
      :label="t('spec-fields.turned-by')"
      :placeholder="t('spec-fields.the-crank-nut')"
      :wrong="wrong.means"
    />
  </div>
  <h2>{{ t('spec-fields.adjuster-torques-strip-down') }}</h2>
  <div class="grid">
    <ChoiceField
      v-model="spec.adjuster"
      :label="t('spec-fields.adjuster')"
      :options="[
        { value: 'valve-end', label: t('spec-fields.screw-at-the-valve-end') },
        { value: 'pushrod-end', label: t('spec-fields.screw-at-the-push-rod') },
        { value: 'pivot-nut', label: t('spec-fields.pivot-nut-on-a-stud') },
      ]"
      :wrong="wrong.adjuster"
    /><ChoiceField
      v-model="spec.head"
      :label="t('spec-fields.screw-head')"
      :options="named('slot', 'square', 'hex socket', 'Torx')"
    />
    <TextField
      v-model="spec.pitch"
      :label="t('spec-fields.screw-thread-or-pitch-in')"
      placeholder="M6×0.75"
      :note="t('spec-fields.empty-0-75-assumed')"
      :wrong="wrong.pitch"
    /><TextField v-model="spec.ratio" :label="t('spec-fields.rocker-ratio')" :wrong="wrong.ratio" />
    <TextField v-model="spec.locknut" :label="t('spec-fields.locknut-n-m')" :wrong="said('locknut')" /><TextField
      v-model="spec.cover"
      :label="t('spec-fields.cover-n-m')"
      :wrong="said('cover')"
    /><TextField v-model="spec.plug" :label="t('spec-fields.plug-n-m')" :wrong="said('plug')" />
    <TextField v-model="spec.tools" :label="t('common.tools')" /><TextField
      v-model="spec.plugGap"
      :label="t('common.plug-gap')"
      placeholder="0.7 mm"
    /><TextField
      v-model="spec.coverPattern"
      :label="t('spec-fields.cover-bolts')"
      :placeholder="t('spec-fields.crosswise')"
    /><TextField v-model="spec.gasket" :label="t('common.gasket')" :placeholder="t('spec-fields.new-each-time')" />
    <TextField v-model="spec.use" :label="t('spec-fields.check-every-on-the-meter')" :wrong="wrong.use" /><TextField
      v-model="spec.firstUse"
      :label="t('spec-fields.first-check-at-on-the')"
      :note="t('spec-fields.where-the-maker-asks-for')"
      :wrong="wrong.firstUse"
    /><TextField v-model="spec.months" :label="t('spec-fields.and-every-months')" :wrong="wrong.months" />
    <div class="field wide">
      <label for="strip">{{ t('spec-fields.comes-off-first-a-line') }}</label><Textarea
        id="strip"
        v-model="spec.stripDown"
        rows="3"
        auto-resize
      />
    </div>
  </div>
</template>

<style scoped>
.source {
  grid-template-columns: 2fr 1fr;
}
@media (max-width: 700px) {
  .source {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
