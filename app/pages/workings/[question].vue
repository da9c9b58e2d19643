<script setup lang="ts">
import { QUESTIONS } from '#core/questions/questions'
import { render } from '#core/quantity/sentence'
import type { FieldProblem } from '#core/validation/input-error'
import { useVisit } from '~/stores/visit'

const route = useRoute()
const router = useRouter()
const visit = useVisit()
const asText = (value: unknown) => (typeof value === 'string' ? value : undefined)
const known = computed(() => QUESTIONS.some(({ id }) => id === route.params.question))
const id = computed(() => (known.value ? String(route.params.question) : (QUESTIONS[0]?.id as string)))
const visitId = computed(() => asText(route.query.visit))
const written = ref(asText(route.query.with))
watch(
  visitId,
  (next) => {
    if (next) void visit.open(next)
  },
  { immediate: true },
)
const { question, input, answer, picture, problems, stale, linkProblem, source, set, setMisread, reset } = useQuestion(
  id,
  visitId,
  written,
)
const { reader } = useUnits()

/** The address follows the numbers, so that a copied link asks the same again. */
let later: ReturnType<typeof setTimeout> | undefined
function change(name: string, value: unknown): void {
  set(name, value)
  clearTimeout(later)
  later = setTimeout(() => void router.replace({ query: { ...route.query, with: JSON.stringify(input.value) } }), 350)
}
/** How often it was begun anew: what was written and not read goes with the fields. */
const begun = ref(0)
function begin(): void {
  begun.value++
  written.value = undefined
  reset()
  const { with: _, ...rest } = route.query
  void router.replace({ query: rest })
}
function at(next: string | undefined): void {
  written.value = undefined
  void router.replace({ query: next ? { visit: next } : {} })
}
onBeforeUnmount(() => clearTimeout(later))
const groups = computed(() =>
  [...new Set(question.value.fields.map(({ group }) => group))].map((group) => ({
    group,
    fields: question.value.fields.filter((field) => field.group === group),
  })),
)
const said = ({ told, expected }: FieldProblem) => render(told ?? expected, reader.value)
const refused = (name: string) => {
  const problem = problems.value.find(({ field }) => field.split('.')[0] === name)
  return problem && said(problem)
}
const loose = computed(() =>
  problems.value.filter(({ field }) => !question.value.fields.some(({ name }) => name === field.split('.')[0])),
)
useHead({ title: computed(() => `${question.value.title} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title=""
      ><template #title
        ><NuxtLink class="button button-quiet" :to="{ path: '/workings', query: visitId ? { visit: visitId } : {} }"
          >Workings</NuxtLink
        ></template
      ></PlaceHeader
    >
    <main v-if="!known" class="mx-auto max-w-xl p-6">
      <h1 class="text-2xl">There is no such question</h1>
      <p class="my-3">Perhaps the link was cut.</p>
      <NuxtLink class="button" to="/workings">All questions</NuxtLink>
    </main>
    <main v-else class="page" :data-testid="`question-${id}`">
      <section class="head min-w-0">
        <h1 class="mb-3 text-[1.2rem] text-slate">{{ question.title }}</h1>
        <p v-if="linkProblem" role="alert" class="mb-3 font-bold text-rust">{{ linkProblem }}</p>
        <p v-if="visitId && visit.problem" role="alert" class="mb-3 font-bold">{{ visit.problem }}</p>
        <AnswerHead v-if="answer" :answer="answer" :stale="stale" />
        <p v-for="each in loose" :key="each.field" role="alert" class="mt-3 font-bold text-rust">{{ said(each) }}</p>
        <p v-if="stale && loose.length === 0" class="mt-3 font-bold text-rust" role="status">
          One number below is none, or does not go with the rest: this is the answer before it.
        </p>
        <KeepWorking class="mt-5" :question="id" :input="input" :visit-id="visitId" :wrong="stale" @visit="at" />
      </section>
      <section class="picture min-w-0" aria-label="the picture">
        <template v-if="picture">
          <CurvesPicture v-if="picture.kind === 'curves'" :picture="picture" :values="input" @set="change" />
          <PitPicture v-else-if="picture.kind === 'pit'" :picture="picture" :values="input" @set="change" />
          <TankPicture v-else-if="picture.kind === 'tank'" :picture="picture" :values="input" @set="change" />
          <SuctionPicture v-else-if="picture.kind === 'suction'" :picture="picture" :values="input" @set="change" />
          <CablePicture v-else-if="picture.kind === 'cable'" :picture="picture" :values="input" @set="change" />
          <DrainPicture v-else-if="picture.kind === 'drain'" :picture="picture" :values="input" @set="change" />
          <CansPicture v-else-if="picture.kind === 'cans'" :picture="picture" />
          <StringPicture v-else :picture="picture" :values="input" @set="change" />
        </template>
      </section>
      <section v-if="answer" class="working min-w-0" :class="{ 'opacity-45': stale }">
        <h2 class="text-xl">The working</h2>
        <ol class="ruled mt-1" data-testid="steps">
          <li v-for="(step, index) in answer.told.steps" :key="index" class="py-2">{{ render(step, reader) }}</li>
        </ol>
        <p class="mt-2 text-[0.92rem] text-slate"><BasisLine :basis="answer.basis" /></p>
        <DayChart
          v-if="picture?.kind === 'pit' && picture.storm.length > 0"
          class="mt-5"
          :storm="picture.storm"
          :floor-metres="picture.floorMetres"
        />
        <HowSure
          class="mt-6"
          :question="question"
          :input="answer.input as Record<string, unknown>"
          :solved="answer.solved"
        />
      </section>
      <section class="assumed min-w-0">
        <div class="flex items-baseline justify-between gap-3">
          <h2 class="text-xl">Taken for it</h2>
          <button type="button" class="button button-quiet" data-testid="reset" @click="begin">as at first</button>
        </div>
        <fieldset
          v-for="{ group, fields } in groups"
          :key="group"
          class="m-0 mb-2 border-0 border-t border-ink p-0 pt-1"
        >
          <legend class="pr-3 font-bold">{{ group }}</legend>
          <AssumptionField
            v-for="field in fields"
            :key="`${id} ${begun} ${field.name}`"
            :field="field"
            :value="input[field.name]"
            :source="source(field.name)"
            :refused="refused(field.name)"
            @set="change(field.name, $event)"
            @misread="setMisread(field.name, $event)"
          />
        </fieldset>
      </section>
    </main>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template: 'head picture' auto 'working assumed' auto / minmax(0, 1fr) minmax(0, 1.32fr);
  gap: 1.6rem 2.4rem;
  max-width: 84rem;
  margin-inline: auto;
  padding: 1.2rem 1.25rem 3rem;
}
.head {
  grid-area: head;
}
.picture {
  grid-area: picture;
}
.working {
  grid-area: working;
}
.assumed {
  grid-area: assumed;
}
@media (max-width: 900px) {
  .page {
    grid-template: 'head' 'picture' 'assumed' 'working' / minmax(0, 1fr);
    padding: 0.9rem 0.75rem 2rem;
    gap: 1.2rem;
  }
}
</style>
