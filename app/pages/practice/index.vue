<script setup lang="ts">
import { format } from 'date-fns'
import { HARDNESS, MOST_SEED, writeCode, type Hardness } from '#core/knowledge/practice/case-code'
import { KINDS, type Kind } from '#core/knowledge/vocabulary'
import { formatMinutes } from '#core/quantity/format'
import type { LampHelp } from '#core/knowledge/practice/lamp-help'
import { useLocalStorageRef } from '~/composables/useLocalStorageRef'
import { usePractice } from '~/stores/practice'
import { useSkills } from '~/stores/skills'

/** Pumps with something wrong with them, to be worked on by whoever wants to get better at it. */
const practice = usePractice()
const skills = useSkills()
const { reader } = useUnits()
const chosen = useLocalStorageRef<{ kind: Kind | 'any'; hardness: Hardness | 'any'; lamp: LampHelp }>(
  'pike-lamp.practice',
  { kind: 'any', hardness: 'one', lamp: 'hint' },
)
const KIND_CHOICES = { any: 'what comes', ...KINDS } as const
const HARDNESS_CHOICES = { any: 'what comes', ...HARDNESS } as const
const anyOf = <T extends string>(table: Record<T, unknown>): T => {
  const ids = Object.keys(table) as T[]
  return ids[crypto.getRandomValues(new Uint32Array(1))[0]! % ids.length] as T
}
function drawn(): string {
  const { kind, hardness } = chosen.value
  return writeCode({
    kind: kind === 'any' ? anyOf(KINDS) : kind,
    hardness: hardness === 'any' ? anyOf(HARDNESS) : hardness,
    seed: crypto.getRandomValues(new Uint32Array(1))[0]! % MOST_SEED,
  })
}
const link = ref('')
const isMaking = ref(false)
const begin = oneAtATime(async () => {
  isMaking.value = true
  try {
    await comeToPump(drawn(), chosen.value.lamp)
  } finally {
    isMaking.value = false
  }
})
function set(): void {
  link.value = caseLink(drawn())
}
const tries = ref<KeptTry[]>()
async function read(): Promise<void> {
  tries.value = keptTries(await practice.kept())
}
/** A try that was ended and not looked back on is told all the same. */
async function tellEnded(): Promise<void> {
  for (const { id, ended } of keptTries(await practice.kept())) {
    if (!ended || skills.isTold(id)) continue
    const lines = await practice.linesOf(id)
    const tried = await useLooker().tried(lines, { ...reader.value })
    if (tried) await skills.tell(id, tried, lines.at(-1)?.at ?? Date.now())
  }
}
onMounted(async () => {
  await Promise.all([read(), skills.read()])
  await tellEnded()
})
async function forget(id: string): Promise<void> {
  await practice.drop(id)
  await read()
}
useHead({ title: 'Practice · Pike Lamp' })
</script>

<template>
  <div>
    <PlaceHeader title="Practice" />
    <main class="page">
      <aside class="side">
        <NextPump :lamp="chosen.lamp" />
        <OwnSkills class="px-5 py-4 max-lg:px-0" />
      </aside>
      <div class="grid min-w-0 content-start gap-6">
        <CoursesToDo />
        <section aria-labelledby="new-try">
          <h2 id="new-try" class="mb-1 text-xl">A pump with something wrong with it</h2>
          <p class="mb-4 max-w-[46rem] text-slate">
            It is made by the program and nobody’s. You come to it as to any other: measure, decide, repair, prove. What
            you do stays in practice; no number, history or learning of the shop ever hears of it.
          </p>
          <div class="grid gap-4">
            <fieldset>
              <legend class="label">Kind</legend>
              <div class="flex flex-wrap gap-2">
                <button
                  v-for="(label, id) in KIND_CHOICES"
                  :key="id"
                  type="button"
                  class="toggle"
                  :aria-pressed="chosen.kind === id"
                  :data-testid="`kind-${id}`"
                  @click="chosen = { ...chosen, kind: id }"
                >
                  {{ label }}
                </button>
              </div>
            </fieldset>
            <fieldset>
              <legend class="label">How hard</legend>
              <div class="flex flex-wrap gap-2">
                <button
                  v-for="(label, id) in HARDNESS_CHOICES"
                  :key="id"
                  type="button"
                  class="toggle"
                  :aria-pressed="chosen.hardness === id"
                  :data-testid="`hard-${id}`"
                  @click="chosen = { ...chosen, hardness: id }"
                >
                  {{ label }}
                </button>
              </div>
            </fieldset>
            <LampChoice :model-value="chosen.lamp" @update:model-value="chosen = { ...chosen, lamp: $event }" />
            <div class="flex flex-wrap gap-2">
              <button type="button" class="button" data-testid="begin" :disabled="isMaking" @click="begin">
                {{ isMaking ? 'Making a pump' : 'Come to the pump' }}
              </button>
              <button type="button" class="button" data-testid="set-case" @click="set">Set it for somebody else</button>
            </div>
            <label v-if="link"
              ><span class="label">The link: the same pump for whoever opens it</span
              ><input
                :value="link"
                readonly
                class="field number"
                data-testid="case-link"
                @focus="(event) => (event.target as HTMLInputElement).select()"
            /></label>
          </div>
        </section>
        <LessonList />
        <section v-if="tries" aria-labelledby="tries" data-testid="tries">
          <h2 id="tries" class="mb-1 border-b border-ink pb-1 text-xl">Your tries on this device</h2>
          <p v-if="tries.length === 0" class="py-2 text-slate">None yet. The first one is the hardest.</p>
          <ul class="ruled">
            <li v-for="each in tries" :key="each.id" class="flex flex-wrap items-center gap-x-4 py-1">
              <NuxtLink :to="`/practice/${each.id}`" class="inline-flex min-h-12 min-w-0 flex-1 items-center gap-3"
                ><span class="number w-8 text-right text-slate">{{ each.number }}</span
                ><span class="underline underline-offset-4">{{ each.title }}</span></NuxtLink
              >
              <span v-if="each.harms > 0" class="text-rust">{{ each.harms }} unsafe</span>
              <span class="text-slate">{{
                each.ended === 'handed-over' ? 'handed over' : each.ended === 'given-up' ? 'given up' : 'under way'
              }}</span>
              <span class="number w-16 text-right">{{ formatMinutes(each.minutes) }}</span>
              <time class="number w-28 text-right text-slate max-sm:hidden">{{
                format(new Date(each.at), 'd MMM HH:mm')
              }}</time>
              <button
                type="button"
                class="button button-quiet"
                :aria-label="`forget practice ${each.number}`"
                @click="forget(each.id)"
              >
                forget
              </button>
            </li>
          </ul>
        </section>
        <p class="text-[0.92rem] text-slate">
          Certificates are not ours to give: who may work on what is said by local codes and licensed practice.
        </p>
      </div>
    </main>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template: 'main side' / minmax(0, 1fr) 23rem;
  gap: 0 2rem;
  max-width: 80rem;
  margin-inline: auto;
  padding: 1.25rem;
}
.side {
  grid-area: side;
}
@media (max-width: 1023px) {
  .page {
    grid-template: 'side' 'main' / minmax(0, 1fr);
    gap: 1rem;
    padding: 0.75rem;
  }
}
</style>
