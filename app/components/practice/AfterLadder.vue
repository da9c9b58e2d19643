<script setup lang="ts">
import type { Afterwards, LadderRow, Rung } from '#core/practice/afterwards'
import { formatMinutes } from '#core/quantity/format'
import { moneyOf } from '#core/visit/shop'
import { usePractice } from '~/stores/practice'

/** Three ways through one case, step by step with their minutes: the own, the lamp’s, the best in hindsight. */
const { after } = defineProps<{ after: Afterwards }>()
const practice = usePractice()
const WAYS = [
  ['you', 'you'],
  ['lamp', 'the lamp'],
  ['best', 'hindsight'],
] as const
const rungOf = (row: LadderRow, way: 'you' | 'lamp' | 'best'): Rung | undefined => row[way]
const money = (amount: number) => (practice.state ? moneyOf(practice.state.begun.body.shop)(amount) : '')
const whole = (minutes: number) => (minutes >= 100 ? formatMinutes(minutes) : String(Math.round(minutes)))
/** Between its first and its last rung a way is a pipe. */
const within = (way: 'you' | 'lamp' | 'best') => {
  const places = after.rows.flatMap((row, index) => (row[way] ? [index] : []))
  return [places[0] ?? 0, places.at(-1) ?? -1] as const
}
const isOn = (way: 'you' | 'lamp' | 'best', index: number) => {
  const [from, to] = within(way)
  return index >= from && index <= to
}
</script>

<template>
  <div class="scroller" tabindex="0" role="group" aria-label="the three ways">
    <table>
      <thead>
        <tr>
          <th v-for="[id, label] in WAYS" :key="id" scope="col">{{ label }}</th>
          <th scope="col" class="quiet">step, minutes beside it</th>
          <th scope="col" class="quiet">what it told</th>
          <th><span class="sr-only">what is to be said of it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, index) in after.rows" :key="index" :data-testid="`ladder-${row.key}`">
          <td v-for="[id] in WAYS" :key="id" class="way" :class="{ 'is-piped': isOn(id, index) }">
            <span v-if="rungOf(row, id)" class="rung" :class="{ 'is-open': id === 'you' && row.flags.length > 0 }">{{
              rungOf(row, id)!.number
            }}</span><span v-if="rungOf(row, id)" class="number minutes">{{ whole(rungOf(row, id)!.minutes) }}</span>
          </td>
          <th scope="row">{{ row.title }}</th>
          <td class="told">
            <span class="inline-flex items-start gap-2"
              ><StateMark v-if="row.verdict" :verdict="row.verdict" :size="18" />{{ row.told }}</span
            >
          </td>
          <td class="flags">
            <span
              v-for="flag in row.flags"
              :key="flag"
              class="flag"
              :class="flag === 'unsafe' ? 'text-rust' : 'text-ochre'"
              ><FlagMark :flag="flag" />{{ flag }}</span
            >
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td v-for="[id] in WAYS" :key="id">
            <strong class="number block text-[1.3rem]">{{ formatMinutes(after.totals[id].minutes) }}</strong><span
              class="number"
              >{{ money(after.totals[id].price) }}</span
            >
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.scroller {
  overflow-x: auto;
}
table {
  width: 100%;
  min-width: 46rem;
  border-collapse: collapse;
}
th {
  text-align: left;
}
thead th {
  padding: 0.3rem 0.6rem 0.3rem 0;
  border-bottom: 1px solid var(--rule);
}
.quiet {
  color: var(--slate);
  font-weight: 400;
}
tbody tr {
  border-bottom: 1px solid var(--rule);
}
.way {
  position: relative;
  width: 6rem;
  height: 2.6rem;
  padding: 0;
  white-space: nowrap;
}
/* A way is a pipe with its steps as couplings. */
.is-piped::before {
  content: '';
  position: absolute;
  inset-block: -1px;
  left: 9px;
  width: 10px;
  border-inline: 2px solid var(--ink);
}
.rung {
  position: relative;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 28px;
  height: 28px;
  border: 2px solid var(--ink);
  border-radius: 7px;
  background: var(--ink);
  color: var(--on-ink);
  font: 700 0.9rem var(--font-mono);
}
.rung.is-open {
  background: var(--paper);
  color: var(--ink);
}
.minutes {
  display: inline-block;
  width: 2.8rem;
  text-align: right;
}
tbody th {
  padding: 0.2rem 0.8rem 0.2rem 0;
}
.told {
  color: var(--slate);
  padding-right: 0.6rem;
}
.flags {
  text-align: right;
}
.flag {
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  margin-left: 0.6rem;
  font-weight: 700;
}
tfoot td {
  padding-top: 0.5rem;
}
</style>
