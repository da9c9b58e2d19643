<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'
import { jobRow, jobsHere } from '#core/takedown/step-plan'
import { jobLabel } from '#core/language/other-words'
import type { JobSource } from '#core/visit/entry'

/** Jobs beside the chosen repair: from a wish, from what lies open, from the shop. Each is agreed, offered, or left. */
const { visit, state, options, wishes, bill } = useVisitContext()
const money = useMoney()
const FROM: Record<JobSource, string> = {
  lamp: 'the lamp’s',
  wish: 'a wish',
  open: 'it lies open',
  damage: 'damage met',
  shop: 'the shop’s',
}
const priced = computed(() => new Map([...options.value, ...wishes.value].map((option) => [option.id, option])))
const rows = computed(() =>
  state.value.jobs
    .filter(({ id }) => !isAmongOptions(id) || (id !== state.value.decision && isAgreed(id)))
    .map((job) => {
      const line = bill.value?.lines.find(({ id }) => id === job.id)
      const added = wishes.value.find(({ id }) => id === job.id)?.added
      const alone = priced.value.get(job.id)
      return {
        ...job,
        label: alone?.label ?? jobLabel(job.id),
        because: alone?.because,
        minutes: line?.minutes ?? added?.minutes ?? alone?.minutes.p50,
        price: line?.price ?? added?.price ?? alone?.price,
        plannable: alone !== undefined,
      }
    }),
)
const known = computed(() => new Set(state.value.jobs.map(({ id }) => id)))
const catalogue = computed(() => wishes.value.filter(({ id }) => !known.value.has(id)))
/** What else can be done to this machine here, whatever the lamp thinks of it: a technician knows what he came for. */
const repairs = computed(() => {
  const { machine, plate, standing, pump } = state.value
  const shown = new Set([...options.value, ...wishes.value].map(({ id }) => id))
  return jobsHere(machine.kind, machine.construction, { motorType: plate.motorType, standing })
    .filter((id) => !shown.has(id) && !known.value.has(id))
    .flatMap((id) => {
      const row = jobRow(machine.kind, machine.construction, id)
      if (!row || !('cures' in row) || row.cures.includes('nothing-wrong')) return []
      return row.onlyUnderWarranty && !pump.underWarranty ? [] : [{ id, label: row.label, because: row.reason }]
    })
})
/** The ways of mending it stand as cards above. */
function isAmongOptions(id: string): boolean {
  return options.value.some((option) => option.id === id)
}
function isAgreed(id: string): boolean {
  return state.value.agreed.includes(id)
}
const leaving = ref<string>()
const why = ref('')
function leave(id: string): void {
  visit.append('job', { job: id, state: 'left', ...(why.value.trim() ? { why: why.value.trim() } : {}) })
  leaving.value = undefined
  why.value = ''
}
</script>

<template>
  <section aria-label="other jobs" data-testid="job-rows">
    <ul v-if="rows.length > 0" class="ruled border-b border-rule">
      <li
        v-for="job in rows"
        :key="job.id"
        class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 py-2 sm:grid-cols-[minmax(0,1fr)_auto_5rem_auto]"
        :class="{ 'text-slate': job.state === 'left' || job.state === 'done' }"
        :data-testid="`job-${job.id}`"
      >
        <span
          ><span :class="{ 'font-bold': job.state === 'agreed' }">{{ job.label }}</span
          ><span class="block text-[0.9rem] text-slate"
            >{{ FROM[job.from] }}, <strong>{{ job.state }}</strong><template v-if="job.state === 'offered'"
              >, not in the sum</template
            ><template v-if="job.state === 'left'">, said on sheet and card</template
            ><template v-if="job.why">: {{ job.why }}</template></span
          ></span
        >
        <span class="number text-right max-sm:order-3">{{
          job.minutes === undefined || job.state === 'left' ? '' : `+${formatMinutes(job.minutes)}`
        }}</span>
        <span class="number text-right font-bold max-sm:order-4">{{
          job.price === undefined || job.state === 'left' ? '' : money(job.price)
        }}</span>
        <span class="flex flex-wrap justify-end gap-2">
          <button
            v-if="job.state !== 'done'"
            type="button"
            class="toggle justify-center font-bold"
            :aria-pressed="job.state === 'agreed'"
            :aria-label="`${job.label}: ${job.state === 'agreed' ? 'agreed' : 'agree'}`"
            :disabled="!job.plannable && job.state !== 'agreed'"
            @click="visit.append('job', { job: job.id, state: job.state === 'agreed' ? 'offered' : 'agreed' })"
          >
            {{ job.state === 'agreed' ? 'Agreed' : 'Agree' }}
          </button>
          <button
            v-if="job.state === 'offered'"
            type="button"
            class="toggle justify-center"
            :aria-expanded="leaving === job.id"
            :aria-label="`leave: ${job.label}`"
            @click="leaving = leaving === job.id ? undefined : job.id"
          >
            Leave
          </button>
        </span>
        <form v-if="leaving === job.id" class="col-span-full flex items-end gap-2" @submit.prevent="leave(job.id)">
          <label class="grow"
            ><span class="label">Why it is left, for the sheet</span
            ><input v-model="why" class="field" maxlength="300" /></label
          ><button type="submit" class="button">Left</button>
        </form>
      </li>
    </ul>
    <JobCatalogue v-if="catalogue.length > 0" title="Add a job" :jobs="catalogue" data-testid="other-jobs" />
    <JobCatalogue v-if="repairs.length > 0" title="Another repair" :jobs="repairs" data-testid="other-repairs" />
  </section>
</template>
