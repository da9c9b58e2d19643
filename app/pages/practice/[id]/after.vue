<script setup lang="ts">
import { IDEAS } from '#core/knowledge/practice/harms'
import type { Afterwards } from '#core/practice/afterwards'
import { writeCode } from '#core/knowledge/practice/case-code'
import { formatMinutes } from '#core/quantity/format'
import { moneyOf } from '#core/visit/shop'
import { mustPage } from '#core/handbook/handbook'
import { PAGE_OF_IDEA, pageOfHarm } from '#core/handbook/where'
import { triedOf } from '#core/practice/tried'
import { usePractice } from '~/stores/practice'
import { useSkills } from '~/stores/skills'

/** What a try was: the own way beside the lamp’s and the best in hindsight, and the one thing to learn. */
const id = computed(() => String(useRoute().params.id))
const practice = usePractice()
const { reader } = useUnits()
const skills = useSkills()
const after = shallowRef<Afterwards>()
/** Harm first, as it is what is to be learned first. */
const lessonPage = computed(() => {
  const harm = after.value?.unsafe[0]?.harm
  return harm ? pageOfHarm(harm) : PAGE_OF_IDEA[after.value?.lesson?.idea ?? 'order']
})
const state = computed(() => (practice.tryId === id.value ? practice.state : undefined))
const code = computed(() => state.value?.begun.body.of.code ?? '')
onMounted(() => Promise.all([practice.open(id.value), skills.read()]))
watch(
  [state, reader],
  async ([now, read]) => {
    if (!now?.ended) return
    after.value = await useLooker().afterwards(
      // As they are, and no watched copies of them.
      toRaw(practice.lines),
      { ...read },
    )
    if (after.value && practice.state?.ended)
      await skills.tell(id.value, triedOf(after.value, practice.state, practice.lines), practice.state.ended.at)
  },
  { immediate: true },
)
watch(state, (now) => {
  if (now && !now.ended) void navigateTo(`/practice/${id.value}/${now.visit.stage}`, { replace: true })
})
const money = (amount: number) => (state.value ? moneyOf(state.value.begun.body.shop)(amount) : '')
const title = computed(() => {
  const now = after.value
  if (!now) return ''
  const was = now.was.map((each) => each.toLowerCase()).join(', and ')
  return `It was: ${was}`
})
const sentence = computed(() => {
  const now = after.value
  if (!now) return ''
  if (now.isFound) return 'You found it, and it is mended.'
  if (now.isGivenUp) return 'It was given up, and is there still.'
  return 'It was handed over, and is not mended: the owner will call again.'
})
const more = computed(() => {
  const now = after.value
  if (!now) return ''
  if (!now.isFound)
    return `The best way mends it in ${formatMinutes(now.totals.best.minutes)}, for ${money(now.totals.best.price)}.`
  const [minutes, price] = [
    now.totals.you.minutes - now.totals.best.minutes,
    now.totals.you.price - now.totals.best.price,
  ]
  if (minutes <= 1 && price <= 1) return 'As short as it could be.'
  return `${formatMinutes(Math.max(0, minutes))} and ${money(Math.max(0, price))} more than the best way.`
})
const begin = (next: string) => comeToPump(next, state.value?.lamp ?? 'off')
const again = oneAtATime(() => begin(code.value))
const isLooking = ref(false)
const noOther = ref(false)
const MOST_LOOKS = 60
async function another(): Promise<void> {
  isLooking.value = true
  const from = 1 + (Date.now() % 40_000)
  const seeds = Array.from({ length: MOST_LOOKS }, (_, index) => from + index)
  const found = await useLooker().sameFault(code.value, seeds)
  isLooking.value = false
  noOther.value = found === undefined
  if (found) await begin(writeCode(found))
}
const link = computed(() => caseLink(code.value))
const isLinked = ref(false)
useHead({ title: 'Afterwards · Pike Lamp' })
</script>

<template>
  <div class="after" data-testid="afterwards">
    <header class="practice-head no-print head">
      <NuxtLink to="/practice" aria-label="to practice" class="inline-flex min-h-12 items-center"
        ><LampLogo
      /></NuxtLink>
      <h1 class="truncate text-[1.1rem]">Practice {{ state?.begun.body.number }}, afterwards</h1>
      <p class="min-w-0 flex-1 truncate max-sm:hidden">
        the lamp {{ state?.lamp === 'hint' ? 'at a hint' : state?.lamp }}
      </p>
      <PlaceNav class="ml-auto shrink-0" /><SchemeSwitch bare class="shrink-0" />
    </header>
    <main v-if="after && state" class="middle">
      <h2 class="text-[1.7rem] leading-tight" data-testid="it-was">{{ title }}</h2>
      <p class="mb-4">{{ sentence }}</p>
      <AfterSummary :after="after" />
      <AfterLadder :after="after" class="mt-4" />
      <p class="mt-2 text-lg">{{ more }}</p>
      <p v-if="after.leftAt !== undefined" class="text-slate">
        Your way left the best one at <span class="number">{{ formatMinutes(after.leftAt) }}</span>.
      </p>
    </main>
    <main v-else class="middle">
      <p v-if="practice.problem">{{ practice.problem }}</p>
      <p v-else role="status">Looking back: the lamp goes its way, and the best one is sought.</p>
    </main>
    <aside v-if="after" class="right" aria-label="what to learn" tabindex="0">
      <LampCard v-if="after.lesson" :title="after.lesson.rule" :because="after.lesson.why" data-testid="lesson">
        <p class="text-[0.95rem]">The one thing to learn: {{ IDEAS[after.lesson.idea] }}.</p>
        <template #buttons>
          <NuxtLink class="button" :to="`/practice/handbook/${lessonPage}`" data-testid="lesson-page"
            >Handbook {{ mustPage(lessonPage).number }}</NuxtLink
          >
          <NuxtLink class="button" to="/practice">What comes next</NuxtLink>
        </template>
      </LampCard>
      <LampCard v-else title="Nothing to put right" because="Found, mended, safe, and nothing done for nothing." />
      <div class="grid gap-2 px-5 py-4">
        <button type="button" class="button" data-testid="again" @click="again">The same pump again</button>
        <button type="button" class="button" data-testid="same-fault" :disabled="isLooking" @click="another">
          {{ isLooking ? 'Looking for one' : 'Same fault, another pump' }}
        </button>
        <p v-if="noOther" role="status" class="text-slate">None of sixty others has it. Try once more.</p>
        <button type="button" class="button" data-testid="send-case" @click="isLinked = true">
          Send this case by its link
        </button>
        <input
          v-if="isLinked"
          :value="link"
          readonly
          class="field number"
          aria-label="the case’s link"
          data-testid="case-link"
        />
        <p class="mt-2 text-[0.92rem] text-slate">
          Kept in practice only, never in the shop’s numbers. Certificates are not ours to give.
        </p>
      </div>
      <OwnSkills class="border-t border-rule px-5 py-4" />
    </aside>
  </div>
</template>

<style scoped>
.after {
  display: grid;
  min-height: 100dvh;
  grid-template: 'head head' auto 'middle right' minmax(0, 1fr) / minmax(0, 1fr) 408px;
  background-image:
    linear-gradient(var(--squares) 1px, transparent 1px), linear-gradient(90deg, var(--squares) 1px, transparent 1px);
  background-size: 20px 20px;
}
.head {
  grid-area: head;
  display: flex;
  align-items: center;
  gap: 1.25rem;
  min-height: 52px;
  padding-inline: 1.25rem;
}
.middle {
  grid-area: middle;
  padding: 1.25rem;
}
.right {
  grid-area: right;
  border-left: 1px solid var(--rule);
  background: var(--paper);
}
@media (max-width: 900px) {
  .after {
    display: block;
  }
  .right {
    border-left: 0;
  }
}
</style>
