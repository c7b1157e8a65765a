<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import type { SheetTask } from '~~/shared/responses'
import PrintVerdict from './PrintVerdict.vue'
import SheetRule from './SheetRule.vue'

/** The job sheet on one page of A4 or Letter, in ink only. What is not on record says so. */
const props = defineProps<{
  sheet: Sheet
  shop: string
  timeZone: string
  signed: { at: string; by: string } | null
  tasks?: SheetTask[]
}>()
const s = computed(() => props.sheet)
const day = (iso: string) =>
  new Date(iso).toLocaleDateString('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: props.timeZone,
  })
const hour = (iso: string) =>
  new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: props.timeZone })
const all = computed(() =>
  s.value.valves
    .flatMap(v => [v.spec.minMm, v.spec.maxMm, v.asFound?.loMm, v.asFound?.hiMm, v.asLeft?.loMm, v.asLeft?.hiMm])
    .filter(v => v !== undefined && v !== null),
)
const topMm = computed(() => Math.ceil((Math.max(...all.value) + 0.02) * 50) / 50)
const fromMm = computed(() => Math.max(0, Math.floor((Math.min(...all.value) - 0.02) * 50) / 50))
/** Beside the verdicts: blade error near a limit, a bent blade, guesses by eye or ear. */
const beside = computed(() =>
  s.value.valves.flatMap(v =>
    [...(v.cautions ?? []), ...(v.estimates ?? []).map(e => `estimated ${e}, which proves nothing`)].map(
      words => `${v.name}: ${words}`,
    ),
  ),
)
const shims = computed(() => s.value.valves.filter(v => v.shim))
const rounds = computed(() => s.value.valves.filter(v => v.rounds.length > 0))
/** A valve's mark on the map: “I”, “E 2”, with its cylinder's first letter where there are several: “L I”. */
const cylinderPart = (name: string): string => name.replace(/\s*\b(intake|exhaust)\b.*$/i, '')
const several = computed(() => new Set(s.value.valves.map(v => cylinderPart(v.name))).size > 1)
const shortLabel = (name: string, role: string): string =>
  [several.value ? cylinderPart(name).charAt(0) : '', role === 'intake' ? 'I' : 'E', /\d$/.exec(name)?.[0] ?? '']
    .filter(Boolean)
    .join(' ')
const thouFirst = computed(() => s.value.unit === 'thou')
</script>

<template>
  <article class="sheet" lang="en">
    <header>
      <h1>Job sheet {{ s.number }}</h1>
      <p class="right">
        <b>{{ shop }}</b><br />{{ day(signed?.at ?? s.opened.at) }},
        <template v-if="signed">signed by {{ signed.by }} at {{ hour(signed.at) }}</template
        ><b v-else>not signed</b>
      </p>
    </header>
    <section class="cells">
      <div>
        <h2 class="small">Machine</h2>
        <b>{{ s.machine.name }}</b><span>{{ s.machine.model }}, tag {{ s.machine.tag }}</span>
      </div>
      <div>
        <h2 class="small">Owner</h2>
        <b>{{ s.machine.owner }}</b><span>{{ s.complaint ? `came for: ${s.complaint}` : 'nothing said' }}</span>
      </div>
      <div>
        <h2 class="small">Meter</h2>
        <b>{{ s.machine.meter }}</b><span>{{ s.machine.sinceLast }}</span>
      </div>
      <div>
        <h2 class="small">Engine, cold</h2>
        <b>{{ s.cold }}</b><span>by {{ s.people.join(', ') || 'nobody yet' }}</span>
      </div>
    </section>
    <h2>Valves, seen from above</h2>
    <section class="map" :class="{ many: s.valves.length > 2 }">
      <div v-for="valve in s.valves" :key="valve.valveId" class="valve" :class="valve.role">
        <p class="name">
          <b>{{ valve.name }}</b><span
            >Spec {{ thouFirst ? valve.spec.thou + ' thou' : valve.spec.words + ' mm' }}</span
          >
        </p>
        <p class="line">
          <span>As found</span><b>{{ valve.asFound?.words ?? 'not measured' }}</b
          ><PrintVerdict v-if="valve.asFound" :verdict="valve.asFound.verdict" :proof="valve.asFound.proof" />
        </p>
        <p class="line">
          <span>As left</span><b>{{ valve.asLeft?.words ?? 'not proved' }}</b
          ><PrintVerdict v-if="valve.asLeft" :verdict="valve.asLeft.verdict" :proof="valve.asLeft.proof" />
        </p>
        <SheetRule :valve="valve" :from-mm="fromMm" :top-mm="topMm" />
      </div>
      <figure>
        <svg viewBox="0 0 220 190" role="img" aria-label="Head from above, exhaust at the top">
          <text x="110" y="12" text-anchor="middle" font-size="12" font-weight="600">Muffler side</text>
          <text x="110" y="187" text-anchor="middle" font-size="12" font-weight="600">Carburettor side</text>
          <rect x="45" y="20" width="130" height="152" rx="9" fill="#fff" stroke="#111" stroke-width="1.5" />
          <template v-if="!several">
            <circle cx="110" cy="96" r="62" fill="none" stroke="#111" stroke-dasharray="4 3" />
            <circle cx="158" cy="96" r="7" fill="#fff" stroke="#111" />
            <path d="M 154.500 96 h 7 M 158 92.500 v 7" stroke="#111" />
          </template>
          <g
            v-for="valve in s.valves"
            :key="valve.valveId"
            :transform="`translate(${45 + valve.headX * 130} ${20 + valve.headY * 152})`"
          >
            <circle :r="valve.role === 'intake' ? 23 : 19" fill="#fff" stroke="#111" stroke-width="1.6" />
            <text y="5" text-anchor="middle" font-size="13" font-weight="600">
              {{ shortLabel(valve.name, valve.role) }}
            </text>
          </g>
        </svg>
        <figcaption>
          <i class="open" /> as found <i class="solid" /> as left, proved <i class="tint" /> spec; mm above, thou below
        </figcaption>
      </figure>
    </section>
    <section class="two">
      <div>
        <h2>Spec used: revision {{ s.spec.revision }}{{ s.spec.status === 'draft' ? ', a draft' : '' }}</h2>
        <p>
          {{ s.spec.source }}, {{ s.spec.sourceDate }}. Blades: {{ s.spec.bladeSet }}.<template
            v-if="s.strangeBlades?.length"
          >
            Of no set: {{ s.strangeBlades.join(', ') }} mm.</template
          >
        </p>
        <table>
          <thead>
            <tr>
              <th>Valve</th>
              <th>mm</th>
              <th>thou</th>
              <th>target</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="v in s.valves" :key="v.valveId">
              <td>{{ v.name }}</td>
              <td>
                <b>{{ v.spec.words }}</b>
              </td>
              <td>{{ v.spec.thou }}</td>
              <td>{{ v.spec.targetMm.toFixed(2) }} mm</td>
            </tr>
          </tbody>
        </table>
        <p v-for="f in s.figures ?? []" :key="f"><b>Two figures are printed.</b> {{ f }}</p>
        <p v-if="s.setting?.length">{{ s.setting.join(' ') }}</p>
      </div>
      <div>
        <h2>Proofs, after two full turns</h2>
        <table>
          <thead>
            <tr>
              <th>Valve</th>
              <th>Stop</th>
              <th>Went</th>
              <th>Did not go</th>
              <th>Verdict</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="v in s.valves" :key="v.valveId">
              <td>{{ v.name }}</td>
              <template v-if="v.proof && v.asLeft"
                ><td>{{ v.proof.place }}</td>
                <td>{{ v.proof.went }}</td>
                <td>{{ v.proof.refused }}</td>
                <td><PrintVerdict :verdict="v.asLeft.verdict" :proof="v.asLeft.proof" /></td
              ></template>
              <td v-else colspan="4">not proved</td>
            </tr>
          </tbody>
        </table>
        <p v-for="b in beside" :key="b" class="by">{{ b }}</p>
      </div>
    </section>
    <section class="two">
      <div>
        <h2>Rounds of setting</h2>
        <table v-if="rounds.length">
          <thead>
            <tr>
              <th>Valve</th>
              <th>Screw</th>
              <th>Before lock</th>
              <th>Nipped</th>
              <th>Torqued</th>
              <th>Verdict</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="v in rounds" :key="v.valveId"
              ><tr v-for="(r, i) in v.rounds" :key="i">
                <td>{{ i === 0 || r.round !== v.rounds[i - 1]?.round ? `${v.name} ${r.round}` : '' }}</td>
                <td class="whole">
                  {{
                    r.turnedDeg === null
                      ? 'as it was'
                      : `${Math.abs(r.turnedDeg)}° ${r.turnedDeg >= 0 ? 'clockwise' : 'back'}`
                  }}
                </td>
                <td>{{ r.beforeLock }}</td>
                <td>{{ r.nipped }}</td>
                <td>{{ r.torqued }}</td>
                <td><PrintVerdict v-if="r.torqued" :verdict="r.verdict" /></td></tr
            ></template>
          </tbody>
        </table>
        <p v-else-if="shims.length === 0">No valve was set: all were in as found, or left as they were.</p>
        <table v-if="shims.length">
          <thead>
            <tr>
              <th>Shim of</th>
              <th>Old</th>
              <th>In its place</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="v in shims" :key="v.valveId">
              <td>{{ v.name }}</td>
              <td>{{ v.shim?.old }}</td>
              <td>{{ v.shim?.fitted }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div>
        <h2>Departures</h2>
        <p v-for="(d, i) in s.departures" :key="i">
          <b>{{ d.missing }}</b> {{ d.reason }}. {{ d.by }}, {{ hour(d.at) }}.
        </p>
        <p v-if="s.departures.length === 0">None.</p>
        <template v-if="s.corrections?.length">
          <h2>Corrections</h2>
          <p v-for="(c, i) in s.corrections" :key="i">{{ c }}</p>
        </template>
        <h2>Run</h2>
        <p>{{ s.run }}.</p>
      </div>
    </section>
    <section class="three">
      <div>
        <h2>Came off, went back</h2>
        <table>
          <tbody>
            <tr v-for="i in s.cameOff" :key="i.item">
              <td>{{ i.item }}</td>
              <td>{{ i.back ? '☑ back' : '☐ not ticked' }}</td>
            </tr>
            <tr v-if="s.cameOff.length === 0">
              <td>nothing on record</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div>
        <h2>Went in, came out</h2>
        <table>
          <tbody>
            <tr v-for="i in s.wentIn" :key="i.item">
              <td>{{ i.item }}</td>
              <td>{{ i.out ? '☑ out' : '☐ not ticked' }}</td>
            </tr>
            <tr v-if="s.wentIn.length === 0">
              <td>nothing on record</td>
            </tr>
          </tbody>
        </table>
        <h2>Plug, gasket</h2>
        <p>{{ s.plug }}. {{ s.gasket }}.</p>
        <template v-if="s.replaced.length"
          ><h2>Replaced</h2>
          <p>{{ s.replaced.join('; ') }}.</p></template
        >
      </div>
      <div>
        <h2>Torques</h2>
        <table>
          <tbody>
            <tr v-for="t in s.torques" :key="t.what">
              <td>{{ t.what }}</td>
              <td>{{ t.wanted }}</td>
              <td>{{ t.done ? '☑' : '☐ not ticked' }}</td>
            </tr>
          </tbody>
        </table>
        <p v-for="t in s.torques.filter(t => t.by)" :key="`by ${t.what}`" class="by">{{ t.what }}: {{ t.by }}.</p>
      </div>
    </section>
    <section v-if="tasks?.length">
      <div>
        <h2>Other tasks of this visit</h2>
        <p>{{ tasks.map(t => `${t.name}: ${t.words}`).join('; ') }}.</p>
      </div>
    </section>
    <section v-if="s.findings.length || s.notes.length" class="two">
      <div>
        <h2>Findings</h2>
        <p v-for="(f, i) in s.findings" :key="i">{{ f.text }}. {{ f.by }}.</p>
        <p v-if="s.findings.length === 0">None.</p>
      </div>
      <div>
        <h2>Notes</h2>
        <p v-for="(n, i) in s.notes" :key="i">{{ n.text }}</p>
        <p v-if="s.notes.length === 0">None.</p>
      </div>
    </section>
    <footer>
      <div>
        <h2>Next due: {{ s.nextDue }}</h2>
        <p>Whichever comes first.</p>
      </div>
      <div class="sign"><span>Signed</span><span>Date</span></div>
      <p class="caution"><b>!</b> {{ s.caution }} Run the engine outdoors.</p>
    </footer>
  </article>
</template>

<style scoped>
.whole {
  white-space: nowrap;
}
.sheet {
  background: #fff;
  color: #111;
  width: 190mm;
  padding: 4mm;
  font: 12.5px/1.35 var(--sentences);
}
.sheet :deep(text) {
  fill: #111;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: end;
  border-bottom: 2px solid #111;
  padding-bottom: 6px;
}
h1 {
  font-size: 29px;
  line-height: 1.1;
}
.right {
  text-align: right;
}
h2 {
  font-size: 15px;
  margin: 7px 0 3px;
}
.small {
  font-size: 12px;
  font-weight: 500;
  color: #444;
  margin: 0;
}
section {
  border-bottom: 1px solid #111;
  display: grid;
}
section > div {
  padding: 2px 12px 7px 0;
  min-width: 0;
}
section > div + div {
  padding-left: 12px;
  border-left: 1px solid #111;
}
.cells {
  grid-template-columns: 1.3fr 1fr 0.9fr 1fr;
  padding-top: 5px;
}
.cells b,
.cells span {
  display: block;
  overflow-wrap: anywhere;
}
.cells b {
  font: 600 15px/1.25 var(--figures);
}
.two {
  grid-template-columns: 1fr 1fr;
}
.three {
  grid-template-columns: 1fr 1fr 1fr;
}
.map {
  grid-template-columns: 1fr 250px;
  grid-auto-flow: row;
  column-gap: 18px;
}
.map > div {
  border: 0;
  padding: 0 0 4px;
  grid-column: 1;
  max-width: 330px;
}
.map .exhaust {
  order: -1;
}
.map figure {
  grid-column: 2;
  grid-row: 1 / span 4;
  margin: 0;
  align-self: center;
}
.map.many {
  grid-template-columns: 1fr 1fr 170px;
  column-gap: 16px;
}
.map.many > div {
  grid-column: auto;
}
.map.many figure {
  grid-column: 3;
}
.map.many .sheet-rule {
  width: 100%;
}
.map.many .line {
  grid-template-columns: 58px 104px 1fr;
}
.name,
.line {
  display: grid;
  grid-template-columns: 70px 120px 1fr;
  align-items: center;
}
.name {
  grid-template-columns: 1fr auto;
  font-size: 13px;
}
.name b {
  font: 600 16px/1.2 var(--figures);
}
.line b {
  font: 600 14.5px/1.3 var(--figures);
}
figcaption {
  font-size: 11px;
  text-align: center;
}
.sheet-rule {
  width: 300px;
  overflow: visible;
}
i {
  display: inline-block;
  width: 22px;
  height: 8px;
  border: 1.4px solid #111;
  margin: 0 2px 0 6px;
}
.solid {
  background: #111;
}
.tint {
  background: #e4e4e4;
  border-color: #999;
}
table {
  width: 100%;
  border-collapse: collapse;
  font: 500 12.5px/1.3 var(--figures);
}
td,
th {
  padding: 2px 8px 2px 0;
  border-bottom: 1px solid #ccc;
  text-align: left;
  vertical-align: top;
  overflow-wrap: anywhere;
}
td:first-child {
  overflow-wrap: normal;
}
th {
  color: #444;
  font-weight: 500;
  overflow-wrap: normal;
}
.by {
  font-size: 11.5px;
  line-height: 1.25;
  color: #444;
}
footer {
  display: grid;
  grid-template-columns: 1.2fr 1fr;
  column-gap: 16px;
}
.sign {
  display: grid;
  grid-template-columns: 2fr 1fr;
  gap: 12px;
  align-items: end;
  padding-top: 34px;
}
.sign span {
  border-top: 1px solid #111;
}
.caution {
  grid-column: 1 / -1;
  border-top: 2px solid #111;
  margin-top: 6px;
  padding-top: 4px;
}
@media print {
  .sheet {
    zoom: 0.93;
    padding: 0;
  }
}
@media screen and (max-width: 760px) {
  .sheet {
    width: 100%;
  }
  .cells,
  .two,
  .three,
  .map,
  footer {
    grid-template-columns: 1fr;
  }
  .map.many {
    grid-template-columns: 1fr;
  }
  .map figure,
  .map.many figure {
    grid-column: 1;
    grid-row: auto;
    max-width: 260px;
  }
  section > div + div {
    border-left: 0;
    padding-left: 0;
  }
  .line {
    grid-template-columns: 62px 1fr auto;
  }
}
</style>
