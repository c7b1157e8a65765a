<script setup lang="ts">
import type { SpecField, SpecText } from '~~/core/spec-book'
import AreaField from '../forms/AreaField.vue'
import ChoiceField from '../forms/ChoiceField.vue'
import TextField from '../forms/TextField.vue'
import { FIRING_CHOICES } from '../../composables/useModelForm'
import { t } from '../../words'

/** The plain fields of a spec, in the order of a manual's page. */
const spec = defineModel<SpecText>('spec', { required: true })
const firing = defineModel<string | null>('firing', { required: true })
defineProps<{ odd: (field: SpecField) => string | undefined }>()
const same = (...values: string[]) => values.map(value => ({ value, label: value }))
type Named =
  'cold' | 'hot' | 'overhead cam' | 'push-rods' | 'screw' | 'shim' | 'none' | 'slot' | 'square' | 'hex socket' | 'Torx'
const named = (...values: Named[]) => values.map(value => ({ value, label: t(`spec-value.${value}`) }))
</script>

<template>
  <h2>{{ t('common.source') }}</h2>
  <div class="grid source">
    <TextField
      v-model="spec.source"
      :label="t('common.source')"
      :placeholder="t('spec-fields.workshop-manual-2nd-printing-p')"
      name="source"
    /><TextField
      v-model="spec.sourceDate"
      :label="t('spec-fields.sources-date')"
      placeholder="2024-09-09"
      name="sourceDate"
    />
  </div>
  <h2>{{ t('common.clearances') }}</h2>
  <div class="grid">
    <ChoiceField
      v-model="spec.unit"
      :label="t('spec-fields.printed-in')"
      :options="same('mm', 'thou', 'in')"
      name="unit"
    />
    <TextField
      v-model="spec.intake"
      :label="t('common.intake')"
      placeholder="0.08–0.12"
      :note="t('spec-fields.limits-figure-tolerance-or-one')"
      :odd="odd('intake')"
      name="intake"
    />
    <TextField
      v-model="spec.exhaust"
      :label="t('common.exhaust')"
      placeholder="0.17 ± 0.02"
      :odd="odd('exhaust')"
      name="exhaust"
    />
    <TextField
      v-model="spec.intakeAlso"
      :label="t('spec-fields.intake-in-the-pages-other')"
      placeholder=".0032–.0046"
      :note="t('spec-fields.as-printed-it-is-held')"
      :odd="odd('intakeAlso')"
      name="intakeAlso"
    />
    <TextField
      v-model="spec.exhaustAlso"
      :label="t('spec-fields.exhaust-in-the-pages-other')"
      placeholder=".0059–.0075"
      :odd="odd('exhaustAlso')"
      name="exhaustAlso"
    />
    <AreaField
      v-model="spec.others"
      class="wide"
      :label="t('spec-fields.other-printed-figures-that-disagree')"
      :rows="1"
      :placeholder="t('spec-fields.exhaust-0-13-0-17')"
      :note="t('spec-fields.they-are-never-averaged-at')"
      name="others"
    />
    <ChoiceField
      v-model="spec.setWhen"
      :label="t('spec-fields.set')"
      :options="named('cold', 'hot')"
      name="setWhen"
    /><TextField
      v-model="spec.coldLimit"
      :label="t('spec-fields.cold-means-under-c')"
      inputmode="decimal"
      name="coldLimit"
    />
  </div>
  <h2>{{ t('common.engine') }}</h2>
  <div class="grid">
    <TextField v-model="spec.bore" :label="t('spec-fields.bore-mm')" inputmode="decimal" name="bore" /><TextField
      v-model="spec.stroke"
      :label="t('spec-fields.stroke-mm')"
      inputmode="decimal"
      name="stroke"
    /><TextField
      v-model="spec.rod"
      :label="t('spec-fields.rod-length-mm')"
      inputmode="decimal"
      :note="t('spec-fields.empty-1-75-stroke-assumed')"
      name="rod"
    />
    <ChoiceField
      v-model="spec.layout"
      :label="t('spec-fields.valve-gear')"
      :options="named('overhead cam', 'push-rods')"
      name="layout"
    /><ChoiceField v-model="spec.valves" :label="t('spec-fields.valves-a-cylinder')" :options="same('2', '4')" />
    <ChoiceField v-model="firing" :label="t('spec-fields.firing-interval')" :options="FIRING_CHOICES" /><TextField
      v-model="spec.cylinders"
      :label="t('spec-fields.cylinders-and-firing-angles')"
      :placeholder="t('spec-fields.left-0-right-360')"
      :note="t('spec-fields.one-to-four-degrees-of')"
      name="cylinders"
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
        name="shimDiameter" /><TextField
        v-model="spec.shimStep"
        :label="t('spec-fields.in-steps-of-mm')"
        placeholder="0.05"
        name="shimStep"
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
      name="measuredAt"
    />
    <TextField
      v-if="spec.measuredAt === 'past top'"
      v-model="spec.measuredDrop"
      :label="t('spec-fields.the-piston-is-below-its')"
      placeholder="6"
      name="measuredDrop"
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
      name="decompressor"
    />
    <template v-if="spec.decompressor === 'arc'"
      ><TextField
        v-model="spec.heldFrom"
        :label="t('spec-fields.holds-from-after-tdc')"
        placeholder="-120"
        name="heldFrom" /><TextField
        v-model="spec.heldTo"
        :label="t('spec-fields.to-after-tdc')"
        placeholder="10"
        name="heldTo" /><TextField
        v-model="spec.heldOn"
        :label="t('spec-fields.on-which-cylinder')"
        :placeholder="t('spec-fields.left')"
        :note="t('spec-fields.empty-on-each')"
        name="heldOn"
    /></template>
  </div>
  <h2>{{ t('spec-fields.cam-timing-where-the-source') }}</h2>
  <div class="grid">
    <TextField
      v-model="spec.checkLift"
      :label="t('spec-fields.at-lift-mm')"
      placeholder="1"
      :note="t('spec-fields.empty-seat-timing-all-five')"
      name="checkLift"
    /><TextField
      v-model="spec.io"
      :label="t('spec-fields.intake-opens-before-tdc')"
      :odd="odd('io')"
      name="io"
    /><TextField
      v-model="spec.ic"
      :label="t('spec-fields.intake-closes-after-bdc')"
      :odd="odd('ic')"
      name="ic"
    /><TextField
      v-model="spec.eo"
      :label="t('spec-fields.exhaust-opens-before-bdc')"
      :odd="odd('eo')"
      name="eo"
    /><TextField v-model="spec.ec" :label="t('spec-fields.exhaust-closes-after-tdc')" :odd="odd('ec')" name="ec" />
  </div>
  <h2>{{ t('spec-fields.marks-and-turning') }}</h2>
  <div class="grid">
    <TextField
      v-model="spec.marks"
      :label="t('spec-fields.marks-letter-and-degrees')"
      placeholder="T 0, F 346"
      :note="t('spec-fields.degrees-at-the-pointer-empty')"
      name="marks"
    /><TextField
      v-model="spec.markWindow"
      :label="t('spec-fields.where-they-show')"
      :placeholder="t('spec-fields.the-rotor-window')"
      :note="t('spec-fields.pointer-notch-or-window-that')"
      name="markWindow"
    />
    <AreaField
      v-model="spec.camMarks"
      class="wide"
      :label="t('spec-fields.cam-signs-a-line-each')"
      :rows="2"
      :placeholder="t('spec-fields.the-two-dots-face-each')"
      name="camMarks"
    />
    <AreaField
      v-model="spec.stops"
      class="wide"
      :label="t('spec-fields.the-makers-own-stops-a')"
      :rows="2"
      :placeholder="t('spec-fields.14-p-left-intake-left')"
      :note="t('spec-fields.place-a-marks-letter-top')"
      :odd="odd('stops')"
      name="stops"
    />
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
      name="seenFrom"
    /><TextField
      v-model="spec.means"
      :label="t('spec-fields.turned-by')"
      :placeholder="t('spec-fields.the-crank-nut')"
      name="means"
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
      name="adjuster"
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
      name="pitch"
    /><TextField v-model="spec.ratio" :label="t('spec-fields.rocker-ratio')" name="ratio" />
    <TextField
      v-model="spec.locknut"
      :label="t('spec-fields.locknut-n-m')"
      :odd="odd('locknut')"
      name="locknut"
    /><TextField v-model="spec.cover" :label="t('spec-fields.cover-n-m')" :odd="odd('cover')" name="cover" /><TextField
      v-model="spec.plug"
      :label="t('spec-fields.plug-n-m')"
      :odd="odd('plug')"
      name="plug"
    />
    <TextField v-model="spec.tools" :label="t('common.tools')" /><TextField
      v-model="spec.plugGap"
      :label="t('common.plug-gap')"
      placeholder="0.7 mm"
    /><TextField
      v-model="spec.coverPattern"
      :label="t('spec-fields.cover-bolts')"
      :placeholder="t('spec-fields.crosswise')"
    /><TextField v-model="spec.gasket" :label="t('common.gasket')" :placeholder="t('spec-fields.new-each-time')" />
    <TextField v-model="spec.use" :label="t('spec-fields.check-every-on-the-meter')" name="use" /><TextField
      v-model="spec.firstUse"
      :label="t('spec-fields.first-check-at-on-the')"
      :note="t('spec-fields.where-the-maker-asks-for')"
      name="firstUse"
    /><TextField v-model="spec.months" :label="t('spec-fields.and-every-months')" name="months" />
    <AreaField
      v-model="spec.stripDown"
      class="wide"
      :label="t('spec-fields.comes-off-first-a-line')"
      :rows="3"
      name="stripDown"
    />
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
