<script setup lang="ts">
import type { SpecText } from '~~/core/spec-book'
import { FIRING_CHOICES } from '../../../composables/useModelForm'
import { t } from '../../../words'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import { named, same } from './options'

/** How the engine is built, where its source measures, what holds its valves. */
const spec = defineModel<SpecText>('spec', { required: true })
const firing = defineModel<string | null>('firing', { required: true })
</script>

<template>
  <div class="grid">
    <TextField v-model="spec.bore" :label="t('spec-fields.bore-mm')" name="bore" /><TextField
      v-model="spec.stroke"
      :label="t('spec-fields.stroke-mm')"
      :note="t('spec-fields.stroke-is-used-where')"
      name="stroke"
    /><TextField
      v-model="spec.rod"
      :label="t('spec-fields.rod-length-mm')"
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
</template>
