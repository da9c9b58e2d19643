<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { addDays, format } from 'date-fns'
import type { DayVisit } from '#core/planning/day'
import { machinesOf, visitsOf } from '#core/planning/stops'
import { jobLabel } from '#core/language/other-words'
import type { EntryBodies } from '#core/visit/entry'
import { instantAt } from '~/utils/day-hours'

/** What becomes of one visit: its day, what was promised, a second visit, or none at all. */
const { visit, on, waits, begun } = defineProps<{
  visit: DayVisit
  /** The day that is shown. */
  on: string
  waits: boolean
  begun: boolean
}>()
const emit = defineEmits<{ close: []; changed: [] }>()
const journal = useDayJournal()
const { checked } = useEntryRules()

const hour = (instant: string | undefined) => (instant ? format(new Date(instant), 'HH:mm') : '')
const dayOf = (instant: string | undefined) => (instant ? format(new Date(instant), 'yyyy-MM-dd') : undefined)
const { arranged } = visit
const tomorrow = format(addDays(new Date(`${on}T12:00`), 1), 'yyyy-MM-dd')
const form = reactive({
  day: waits ? on : tomorrow,
  why: '',
  promisedOn: dayOf(arranged.until ?? arranged.from) ?? on,
  from: hour(arranged.from),
  until: hour(arranged.until),
  /** Of each machine by its visit: how long it takes is said of each. */
  minutes: Object.fromEntries(
    visitsOf(visit).map(({ id, arranged: { minutes } }) => [id, minutes === undefined ? '' : String(minutes)]),
  ) as Record<string, string>,
  people: arranged.people === undefined ? '' : String(arranged.people),
  partsOn: dayOf(arranged.partsAt) ?? on,
  partsAt: hour(arranged.partsAt),
})
/** Another visit at one of its machines. */
const second = reactive({ at: visit, says: '', jobs: [] as string[] })
const jobs = ref<string[]>([])
const problems = ref<string[]>([])
watch(
  () => second.at.id,
  async (id) => {
    second.jobs = []
    // The jobs that could go over into another visit; without an answer there are none to choose from.
    const state = await journal.stateOf(id).catch(() => undefined)
    if (id === second.at.id) jobs.value = state?.agreed ?? []
  },
  { immediate: true },
)
const noon = (day: string) => new Date(`${day}T12:00`).toISOString()

async function done(writing: Promise<unknown>): Promise<void> {
  await writing
  emit('changed')
  emit('close')
}
const put = (goesOn: boolean) =>
  done(
    journal.plan(visit, { at: noon(form.day), ...(goesOn ? { goesOn } : {}), ...(form.why ? { why: form.why } : {}) }),
  )
const wait = () => done(journal.plan(visit, form.why ? { why: form.why } : {}))
function cancel(): void {
  problems.value = form.why.trim() ? [] : ['Why is it called off? The reason is kept with it.']
  if (problems.value.length === 0) void done(journal.cancel(visit, form.why.trim()))
}
const arrange = oneAtATime(async () => {
  const number = (text: string) => (text.trim() === '' ? undefined : readNumber(text))
  const all: EntryBodies['arranged'] = {
    from: instantAt(form.promisedOn, form.from),
    until: instantAt(form.promisedOn, form.until),
    people: number(form.people),
    partsAt: instantAt(form.partsOn, form.partsAt),
  }
  const body = Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined))
  const minutes = Object.fromEntries(
    Object.entries(form.minutes).flatMap(([id, text]) =>
      text.trim() === '' ? [] : [[id, number(text) ?? Number.NaN] as const],
    ),
  )
  const asked = [body, ...Object.values(minutes).map((each) => ({ minutes: each }))]
  const refused = await Promise.all(asked.map((each) => checked('arranged', each)))
  problems.value = refused.flatMap((each) =>
    Object.entries(each).map(([field, expected]) => `${FIELDS[field] ?? field}: ${expected}`),
  )
  if (problems.value.length === 0) await done(journal.arrange(visit, body, minutes))
})
const FIELDS: Readonly<Record<string, string>> = {
  until: 'Not after',
  from: 'Not before',
  minutes: 'Minutes',
  people: 'People',
  partsAt: 'Parts',
}
const SECOND_LOOK_MINUTES = 20
const openSecond = () =>
  done(journal.openSecond(second.at.id, { says: second.says.trim() || 'the rest of it', jobs: second.jobs }))
const secondLook = () =>
  done(
    journal.openSecond(second.at.id, {
      says: second.says.trim() || 'second look',
      at: noon(form.day),
      minutes: SECOND_LOOK_MINUTES,
    }),
  )
</script>

<template>
  <SmallDialog :title="`${visit.customer.name}, ${machinesOf(visit)}`" test="stop-dialog" wide @close="emit('close')">
    <div class="mt-3 grid gap-5">
      <section v-if="!visit.done" class="grid gap-2" aria-labelledby="stop-day">
        <h3 id="stop-day">Its day</h3>
        <div class="grid gap-3 sm:grid-cols-2">
          <label
            ><span class="label">Day</span
            ><input v-model="form.day" type="date" class="field" data-testid="stop-date" required
          /></label>
          <label
            ><span class="label">Why, where it matters</span
            ><input v-model="form.why" class="field" maxlength="300" data-testid="stop-why"
          /></label>
        </div>
        <div class="flex flex-wrap gap-2">
          <button v-if="begun" type="button" class="button" data-testid="stop-goes-on" @click="put(true)">
            It goes on there
          </button>
          <button v-else type="button" class="button" data-testid="stop-put" @click="put(false)">Put it there</button>
          <button v-if="!waits" type="button" class="button" data-testid="stop-wait" @click="wait">
            Let it wait for a day
          </button>
          <button type="button" class="button" data-testid="stop-cancel" @click="cancel">Call it off</button>
        </div>
      </section>
      <section v-if="!visit.done" class="grid gap-2" aria-labelledby="stop-promised">
        <h3 id="stop-promised">Promised, and what it needs</h3>
        <div class="grid gap-3 sm:grid-cols-3">
          <label
            ><span class="label">Promised for</span><input v-model="form.promisedOn" type="date" class="field"
          /></label>
          <label
            ><span class="label">Not before</span
            ><input v-model="form.from" type="time" class="field" data-testid="stop-from"
          /></label>
          <label
            ><span class="label">Not after</span
            ><input v-model="form.until" type="time" class="field" data-testid="stop-until"
          /></label>
          <label v-for="each in visitsOf(visit)" :key="each.id"
            ><span class="label">{{ visit.of ? `Minutes, ${each.machine.name}` : 'Minutes, if you know better' }}</span
            ><input
              v-model="form.minutes[each.id]"
              class="field number"
              inputmode="numeric"
              :disabled="each.done"
              data-testid="stop-minutes"
          /></label>
          <label
            ><span class="label">People</span
            ><input v-model="form.people" class="field number" inputmode="numeric" data-testid="stop-people"
          /></label>
          <label
            ><span class="label">Parts at the shop</span
            ><span class="flex gap-2"
              ><input
                v-model="form.partsOn"
                type="date"
                class="field min-w-0"
                aria-label="parts at the shop on" /><input
                v-model="form.partsAt"
                type="time"
                class="field min-w-0"
                aria-label="parts at the shop from" /></span
          ></label>
        </div>
        <button type="button" class="button justify-self-start" data-testid="stop-arrange" @click="arrange">
          Keep what was arranged
        </button>
      </section>
      <section v-if="visit.of || !visit.done" class="grid gap-2" aria-labelledby="stop-machines">
        <h3 id="stop-machines">Machines of this visit</h3>
        <div v-for="each in visit.of" :key="each.id" class="flex flex-wrap items-center gap-x-4">
          <NuxtLink :to="`/visits/${each.id}`" class="inline-flex min-h-12 grow items-center">{{
            each.machine.name
          }}</NuxtLink>
          <button
            v-if="!each.done"
            type="button"
            class="button button-quiet"
            data-testid="stop-apart"
            @click="done(journal.setApart(visit, each.id))"
          >
            a visit of its own
          </button>
        </div>
        <NuxtLink
          v-if="!visit.done"
          class="button justify-self-start"
          :to="{ path: '/visits/new', query: { with: visit.id } }"
          data-testid="stop-another"
          >Another machine on it</NuxtLink
        >
      </section>
      <section class="grid gap-2" aria-labelledby="stop-second">
        <h3 id="stop-second">Another visit at {{ visit.of ? `the ${second.at.machine.name}` : 'this machine' }}</h3>
        <div v-if="visit.of" class="flex flex-wrap gap-2" role="group" aria-label="which machine">
          <button
            v-for="each in visit.of"
            :key="each.id"
            type="button"
            class="toggle"
            :aria-pressed="second.at.id === each.id"
            @click="second.at = each"
          >
            {{ each.machine.name }}
          </button>
        </div>
        <label v-if="visit.done"
          ><span class="label">Day</span><input v-model="form.day" type="date" class="field" required
        /></label>
        <label
          ><span class="label">What for</span
          ><input v-model="second.says" class="field" maxlength="500" data-testid="second-says"
        /></label>
        <p v-if="jobs.length > 0" class="text-slate">Jobs that go over into it:</p>
        <div v-if="jobs.length > 0" class="flex flex-wrap gap-2">
          <button
            v-for="job in jobs"
            :key="job"
            type="button"
            class="toggle"
            :aria-pressed="second.jobs.includes(job)"
            @click="
              second.jobs = second.jobs.includes(job)
                ? second.jobs.filter((each) => each !== job)
                : [...second.jobs, job]
            "
          >
            {{ jobLabel(job) }}
          </button>
        </div>
        <div class="flex flex-wrap gap-2">
          <button type="button" class="button" data-testid="second-split" @click="openSecond">
            {{ visit.done ? 'It waits for a day' : 'Split: the rest waits for a day' }}
          </button>
          <button type="button" class="button" data-testid="second-look" @click="secondLook">
            A second look on that day
          </button>
        </div>
      </section>
      <p v-for="problem in problems" :key="problem" role="alert" class="font-bold text-rust">{{ problem }}</p>
      <button type="button" class="button justify-self-end" @click="emit('close')">Close</button>
    </div>
  </SmallDialog>
</template>
