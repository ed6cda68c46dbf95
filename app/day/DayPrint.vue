<script setup lang="ts">
import { computed } from 'vue'
import { DateTime } from 'luxon'
import { knownFinish } from '#core/box/own'
import HandFigure from '~/figures/HandFigure.vue'
import { type PlanOut, changesOf } from './export'
import { clock } from '~/reading/clock'
import { LURE_SHORT, cautionName } from '~/words/options'

/** The day on paper, in black: one A4 page, or one for a pocket. Nothing of it shows on a screen. */
const props = defineProps<{ out: PlanOut; size: 'a4' | 'pocket' }>()
const date = computed(() => DateTime.fromISO(props.out.request.date).toFormat('cccc d LLLL yyyy'))
const changes = computed(() => changesOf(props.out))
const lanes = computed(() =>
  props.out.request.lures.map((l, i) => ({
    lure: LURE_SHORT[l.lure],
    changes: changes.value.filter(c => c.lure === LURE_SHORT[l.lure]),
    i,
  })),
)
const pack = computed(() => props.out.plan.pack.map(p => ({ ...p, finish: knownFinish(p.finishId) })))
const sun = computed(() => {
  const { firstLight, sunrise, sunset, lastLight } = props.out.light.sun
  const of = (min: number | null) => (min === null ? 'none' : clock(min))
  return `First light ${of(firstLight)}, sun up ${of(sunrise)}, down ${of(sunset)}, last light ${of(lastLight)}.`
})
</script>

<template>
  <Teleport to="body">
    <section class="print-only" :class="size" aria-hidden="true">
      <component :is="'style'">
        {{ size === 'a4' ? '@page { size: A4; margin: 14mm }' : '@page { size: 105mm 148mm; margin: 6mm }' }}
      </component>
      <h1>{{ out.water }}</h1>
      <p class="date">{{ date }}. {{ sun }}</p>
      <div v-if="size === 'a4'" class="pack">
        <figure v-for="(p, i) in pack" :key="p.finishId">
          <HandFigure v-if="p.finish" :finish="p.finish" :line="2.4" />
          <figcaption>
            <b>{{ i + 1 }}</b>
            {{ p.finish?.name }}
          </figcaption>
        </figure>
      </div>
      <ul v-else class="list">
        <li v-for="(p, i) in pack" :key="p.finishId">
          <b>{{ i + 1 }}</b>
          {{ LURE_SHORT[out.request.lures[p.lane]!.lure] }}: {{ p.finish?.name }}
        </li>
      </ul>
      <template v-for="l in lanes" :key="l.i">
        <h2>{{ l.lure }}</h2>
        <table>
          <tbody>
            <tr v-for="c in l.changes" :key="c.min">
              <td class="hour">{{ clock(c.min) }}</td>
              <td>
                <b>{{ c.finish }}</b>
                <span v-if="size === 'a4'">. {{ c.why }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </template>
      <template v-if="out.plan.cautions.length">
        <h2>Mind these</h2>
        <table>
          <tbody>
            <tr v-for="c in out.plan.cautions" :key="c.kind + c.fromMin + c.text">
              <td class="hour">{{ clock(c.fromMin) }}</td>
              <td>
                <b>{{ cautionName(c.kind) }}</b>
                to {{ clock(c.toMin) }}.
                <span v-if="size === 'a4'">{{ c.text }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </template>
      <p class="foot">A plan is a guess about the sky. Local rules come first.</p>
    </section>
  </Teleport>
</template>

<style>
.print-only {
  display: none;
}
@media print {
  body > :not(.print-only) {
    display: none !important;
  }
  html,
  body {
    background: #fff !important;
    color: #000 !important;
  }
  .print-only {
    display: block;
    font-size: 11.5pt;
    line-height: 1.25;
    color: #000;
  }
  .print-only.pocket {
    font-size: 9.5pt;
    line-height: 1.15;
  }
  .print-only h1 {
    font: 800 22pt 'Archivo Variable';
  }
  .print-only h2 {
    margin-top: 6pt;
    border-bottom: 1.5pt solid #000;
    font: 700 14pt 'Archivo Variable';
  }
  .print-only.pocket h1 {
    font-size: 15pt;
  }
  .print-only.pocket h2 {
    margin-top: 2pt;
    font-size: 10pt;
  }
  .print-only .pack {
    display: grid;
    grid-template-columns: repeat(5, 1fr);
    gap: 6pt;
    margin-top: 8pt;
  }
  .print-only .pack img {
    height: 32pt;
  }
  .print-only table {
    width: 100%;
  }
  .print-only td {
    padding: 1pt 0;
    vertical-align: top;
  }
  .print-only .hour {
    width: 46pt;
    font-weight: 700;
  }
  .print-only.pocket .list {
    columns: 2;
  }
  .print-only.pocket td {
    padding: 0;
  }
  .print-only.pocket .foot {
    margin-top: 3pt;
    font-size: 8pt;
  }
  .print-only .foot {
    margin-top: 10pt;
    font-size: 9.5pt;
  }
}
</style>
