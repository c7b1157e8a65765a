<script setup lang="ts">
import Textarea from 'primevue/textarea'
import type { SpecField, SpecText } from '~~/core/spec-book'
import ChoiceField from '../forms/ChoiceField.vue'
import TextField from '../forms/TextField.vue'
import { FIRING_CHOICES } from '../../composables/useModelForm'

/** The plain fields of a spec, in the order of a manual's page. */
const spec = defineModel<SpecText>('spec', { required: true })
const firing = defineModel<string | null>('firing', { required: true })
const props = defineProps<{ wrong: Partial<SpecText>; odd: (field: SpecField) => string | undefined }>()
const same = (...values: string[]) => values.map(value => ({ value, label: value }))
/** What is wrong with a field, or odd about it. */
const said = (field: SpecField): string | undefined => props.wrong[field] ?? props.odd(field)
</script>

<template>
  <h2>Source</h2>
  <div class="grid source">
    <TextField
      v-model="spec.source"
      label="Source"
      placeholder="Workshop manual, 2nd printing, p. 61"
      :wrong="wrong.source"
    /><TextField v-model="spec.sourceDate" label="Source’s date" placeholder="2024-09-09" :wrong="wrong.sourceDate" />
  </div>
  <h2>Clearances</h2>
  <div class="grid">
    <ChoiceField v-model="spec.unit" label="Printed in" :options="same('mm', 'thou', 'in')" :wrong="wrong.unit" />
    <TextField
      v-model="spec.intake"
      label="Intake"
      placeholder="0.08–0.12"
      note="Limits, figure ± tolerance, or one figure; the one to set to in brackets: 0.08–0.14 (0.10)."
      :wrong="said('intake')"
    />
    <TextField v-model="spec.exhaust" label="Exhaust" placeholder="0.16 ± 0.03" :wrong="said('exhaust')" />
    <TextField
      v-model="spec.intakeAlso"
      label="Intake in the page’s other unit"
      placeholder=".003–.005"
      note="As printed. It is held against the first and never used."
      :wrong="said('intakeAlso')"
    />
    <TextField
      v-model="spec.exhaustAlso"
      label="Exhaust in the page’s other unit"
      placeholder=".005–.007"
      :wrong="said('exhaustAlso')"
    />
    <div class="field wide">
      <label for="others">Other printed figures that disagree, a line each: valve, figure; source</label
      ><Textarea
        id="others"
        v-model="spec.others"
        rows="1"
        auto-resize
        placeholder="exhaust 0.13–0.17; Bulletin 4"
        :invalid="!!wrong.others"
      />
      <p v-if="wrong.others" class="wrong" role="alert">{{ wrong.others }}</p>
      <p v-else class="note">They are never averaged: at each job a lead says which stands.</p>
    </div>
    <ChoiceField v-model="spec.setWhen" label="Set" :options="same('cold', 'hot')" :wrong="wrong.setWhen" /><TextField
      v-model="spec.coldLimit"
      label="Cold means under, °C"
      inputmode="decimal"
      :wrong="wrong.coldLimit"
    />
  </div>
  <h2>Engine</h2>
  <div class="grid">
    <TextField v-model="spec.bore" label="Bore, mm" inputmode="decimal" :wrong="wrong.bore" /><TextField
      v-model="spec.stroke"
      label="Stroke, mm"
      inputmode="decimal"
      :wrong="wrong.stroke"
    /><TextField
      v-model="spec.rod"
      label="Rod length, mm"
      inputmode="decimal"
      note="Empty: 1.75 × stroke, assumed."
      :wrong="wrong.rod"
    />
    <ChoiceField
      v-model="spec.layout"
      label="Valve gear"
      :options="same('overhead cam', 'push-rods')"
      :wrong="wrong.layout"
    /><ChoiceField v-model="spec.valves" label="Valves a cylinder" :options="same('2', '4')" />
    <ChoiceField v-model="firing" label="Firing interval" :options="FIRING_CHOICES" /><TextField
      v-model="spec.cylinders"
      label="Cylinders and firing angles"
      placeholder="Left 0, Right 360"
      note="One to four; degrees of the 720° cycle at compression top."
      :wrong="wrong.cylinders"
    />
    <ChoiceField v-model="spec.intakeBy" label="Intakes set by" :options="same('screw', 'shim', 'none')" /><ChoiceField
      v-model="spec.exhaustBy"
      label="Exhausts set by"
      :options="same('screw', 'shim', 'none')"
    />
    <template v-if="spec.intakeBy === 'shim' || spec.exhaustBy === 'shim'"
      ><TextField
        v-model="spec.shimDiameter"
        label="Shims across, mm"
        placeholder="9.5"
        :wrong="wrong.shimDiameter" /><TextField
        v-model="spec.shimStep"
        label="in steps of, mm"
        placeholder="0.05"
        :wrong="wrong.shimStep"
    /></template>
    <ChoiceField
      v-model="spec.measuredAt"
      label="Where does the source measure?"
      :options="[
        { value: 'not said', label: 'it does not say' },
        { value: 'top', label: 'at the T line' },
        { value: 'past top', label: 'past the top by …' },
        { value: 'makers stops', label: 'at the maker’s stops' },
      ]"
      note="Its own place is believed. Where it does not say, a decompressor may hold a valve at the top, so it is measured past it."
      :wrong="wrong.measuredAt"
    />
    <TextField
      v-if="spec.measuredAt === 'past top'"
      v-model="spec.measuredDrop"
      label="The piston is below its top by, mm"
      placeholder="6"
      :wrong="wrong.measuredDrop"
    />
    <ChoiceField
      v-model="spec.decompressor"
      label="Automatic decompressor"
      :options="[
        { value: 'unknown', label: 'not known' },
        { value: 'none', label: 'none' },
        { value: 'arc', label: 'holds the exhaust' },
      ]"
      note="Not known is treated as possible: you will be sent past top."
      :wrong="wrong.decompressor"
    />
    <template v-if="spec.decompressor === 'arc'"
      ><TextField
        v-model="spec.heldFrom"
        label="Holds from, ° after TDC"
        placeholder="-120"
        :wrong="wrong.heldFrom" /><TextField
        v-model="spec.heldTo"
        label="to, ° after TDC"
        placeholder="10"
        :wrong="wrong.heldTo" /><TextField
        v-model="spec.heldOn"
        label="On which cylinder"
        placeholder="Left"
        note="Empty: on each."
        :wrong="wrong.heldOn"
    /></template>
  </div>
  <h2>Cam timing, where the source gives it</h2>
  <div class="grid">
    <TextField
      v-model="spec.checkLift"
      label="At lift, mm"
      placeholder="1"
      note="Empty: seat timing. All five empty: assumed."
      :wrong="wrong.checkLift"
    /><TextField v-model="spec.io" label="Intake opens, ° before TDC" :wrong="said('io')" /><TextField
      v-model="spec.ic"
      label="Intake closes, ° after BDC"
      :wrong="said('ic')"
    /><TextField v-model="spec.eo" label="Exhaust opens, ° before BDC" :wrong="said('eo')" /><TextField
      v-model="spec.ec"
      label="Exhaust closes, ° after TDC"
      :wrong="said('ec')"
    />
  </div>
  <h2>Marks and turning</h2>
  <div class="grid">
    <TextField
      v-model="spec.marks"
      label="Marks, letter and degrees"
      placeholder="T 0, F 346"
      note="Degrees at the pointer. Empty: no marks, the rod finds top."
      :wrong="wrong.marks"
    /><TextField
      v-model="spec.markWindow"
      label="Where they show"
      placeholder="the rotor window"
      note="Pointer, notch or window that the marks are held against."
      :wrong="wrong.markWindow"
    />
    <div class="field wide">
      <label for="signs">Cam signs, a line each: how it looks when right, and degrees</label
      ><Textarea
        id="signs"
        v-model="spec.camMarks"
        rows="2"
        auto-resize
        placeholder="the two dots face each other 0"
        :invalid="!!wrong.camMarks"
      />
      <p v-if="wrong.camMarks" class="wrong" role="alert">{{ wrong.camMarks }}</p>
    </div>
    <div class="field wide">
      <label for="stops">The maker’s own stops, a line each: degrees, place, valves</label
      ><Textarea
        id="stops"
        v-model="spec.stops"
        rows="2"
        auto-resize
        placeholder="14 P: left intake, left exhaust"
        :invalid="!!said('stops')"
      />
      <p v-if="said('stops')" class="wrong" role="alert">{{ said('stops') }}</p>
      <p v-else class="note">
        Place: a mark’s letter, “top Left”, “rod 6 mm Left” or “sign 1”. For turns from one stop to the next, type
        “+270” or “270 on”: it counts from the line above. A valve that the cam data says is open there is flagged.
      </p>
    </div>
    <ChoiceField
      v-model="spec.direction"
      label="Turns"
      :options="[
        { value: 'clockwise', label: 'clockwise' },
        { value: 'anticlockwise', label: 'counterclockwise' },
      ]"
    /><TextField v-model="spec.seenFrom" label="Seen from" placeholder="the left" :wrong="wrong.seenFrom" /><TextField
      v-model="spec.means"
      label="Turned by"
      placeholder="the crank nut"
      :wrong="wrong.means"
    />
  </div>
  <h2>Adjuster, torques, strip-down</h2>
  <div class="grid">
    <ChoiceField
      v-model="spec.adjuster"
      label="Adjuster"
      :options="[
        { value: 'valve-end', label: 'screw at the valve end' },
        { value: 'pushrod-end', label: 'screw at the push-rod end' },
        { value: 'pivot-nut', label: 'pivot nut on a stud' },
      ]"
      :wrong="wrong.adjuster"
    /><ChoiceField v-model="spec.head" label="Screw head" :options="same('slot', 'square', 'hex socket', 'Torx')" />
    <TextField
      v-model="spec.pitch"
      label="Screw thread, or pitch in mm"
      placeholder="M6×0.75"
      note="Empty: 0.75, assumed."
      :wrong="wrong.pitch"
    /><TextField v-model="spec.ratio" label="Rocker ratio" :wrong="wrong.ratio" />
    <TextField v-model="spec.locknut" label="Locknut, N·m" :wrong="said('locknut')" /><TextField
      v-model="spec.cover"
      label="Cover, N·m"
      :wrong="said('cover')"
    /><TextField v-model="spec.plug" label="Plug, N·m" :wrong="said('plug')" />
    <TextField v-model="spec.tools" label="Tools" /><TextField
      v-model="spec.plugGap"
      label="Plug gap"
      placeholder="0.7 mm"
    /><TextField v-model="spec.coverPattern" label="Cover bolts" placeholder="crosswise" /><TextField
      v-model="spec.gasket"
      label="Gasket"
      placeholder="new each time"
    />
    <TextField v-model="spec.use" label="Check every, on the meter" :wrong="wrong.use" /><TextField
      v-model="spec.firstUse"
      label="First check at, on the meter"
      note="Where the maker asks for an early one."
      :wrong="wrong.firstUse"
    /><TextField v-model="spec.months" label="and every, months" :wrong="wrong.months" />
    <div class="field wide">
      <label for="strip">Comes off first, a line each</label
      ><Textarea id="strip" v-model="spec.stripDown" rows="3" auto-resize />
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
