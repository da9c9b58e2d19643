<script setup lang="ts">
import { format } from 'date-fns'
import { formatReading } from '#core/quantity/reading'
import type { UsualLevels } from '#core/sound/usual-levels'
import type { Levels } from '#core/sound/verdicts'
import { LEVEL_LABELS } from '#core/sound/words'
import type { EntryBodies } from '#core/visit/entry'

/** A recording laid beside the last of the same machine, and beside the shop's machines of its kind. */
const {
  levels,
  side,
  hash = undefined,
} = defineProps<{
  levels: Levels
  side: EntryBodies['recording']['side']
  /** Of the recording itself, where it is kept. */
  hash?: string
}>()
const { visit, state } = useVisitContext()
const { system } = useUnits()
const LEVELS = ['hiss', 'turn'] as const
/** As a difference is heard: half as much is none. */
const NOTEWORTHY_DECIBELS = 6

const usual = shallowRef<UsualLevels>()
watch(
  [() => state.value.machine.kind, () => side],
  async ([kind]) => {
    usual.value = undefined
    const answer = await ask(`/api/sounds?kind=${kind}&side=${side}`).catch(() => undefined)
    if (answer?.ok) usual.value = (await answer.json()) as UsualLevels
  },
  { immediate: true },
)
/** Those of this visit that were made before it. */
const earlier = computed(() => {
  const own = state.value.recordings.findIndex((each) => each.hash === hash)
  return state.value.recordings.slice(0, own < 0 ? undefined : own).filter((each) => each.side === side)
})
const rows = computed(() =>
  LEVELS.map((level) => {
    const now = levels[`${level}Decibels`]
    const last = earlier.value.findLast(({ heard }) => heard[`${level}Decibels`] !== undefined)
    const before = last
      ? { value: last.heard[`${level}Decibels`] as number, at: last.at }
      : visit.history.findLast(
          ({ check, setup, value }) => check === `${level}-level` && setup === side && value !== null,
        )
    return {
      level,
      label: LEVEL_LABELS[level],
      now,
      before: before && { value: before.value as number, at: before.at },
      kind: usual.value?.[level],
    }
  }),
)
const decibels = (value: number | undefined) =>
  value === undefined ? 'not heard' : formatReading(Math.round(value), 'dB', system.value)
function compared(now: number | undefined, before: number): string {
  if (now === undefined) return ''
  const by = now - before
  if (Math.abs(by) < NOTEWORTHY_DECIBELS) return 'as before'
  return `${Math.abs(by).toFixed(0)} dB ${by > 0 ? 'more' : 'less'} now`
}
</script>

<template>
  <table class="w-full text-[0.95rem]" data-testid="sound-levels">
    <caption class="sr-only">
      how loud it is beside its own low tones
    </caption>
    <thead>
      <tr class="border-b border-ink text-left">
        <th scope="col" class="py-1 pr-3">beside its own low tones</th>
        <th scope="col" class="pr-3">now</th>
        <th scope="col" class="pr-3">this machine before</th>
        <th scope="col">the shop’s of its kind</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.level" class="border-b border-rule align-baseline">
        <th scope="row" class="py-1 pr-3 text-left font-normal">{{ row.label }}</th>
        <td class="number pr-3 font-bold whitespace-nowrap">{{ decibels(row.now) }}</td>
        <td class="pr-3" :data-testid="`before-${row.level}`">
          <template v-if="row.before"
            ><span class="number whitespace-nowrap">{{ decibels(row.before.value) }}</span
            ><span class="block text-[0.85rem] text-slate"
              >{{ format(new Date(row.before.at), 'd MMM yyyy') }}, {{ compared(row.now, row.before.value) }}</span
            ></template
          ><span v-else class="text-slate">none</span>
        </td>
        <td>
          <span v-if="row.kind" class="number">{{ decibels(row.kind.low) }} to {{ decibels(row.kind.high) }}</span
          ><span v-else class="text-slate">{{
            usual ? `too few: ${counted(usual.machines, 'machine')}` : 'not known here'
          }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
