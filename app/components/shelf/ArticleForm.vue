<script setup lang="ts">
import { formatISO } from 'date-fns'
import { v7 as uuidv7 } from 'uuid'
import type { Article } from '#core/fits/article'
import { readAsked } from '#core/fits/read-spec'
import { familyOf, FAMILIES, type FamilyId } from '#core/knowledge/fits/families'
import { CONDITIONS } from '#core/knowledge/shelf/moves'
import { PARTS, type Part } from '#core/knowledge/vocabulary'
import { readNumber } from '#core/quantity/read-number'
import { useShelf } from '~/stores/shelf'

/** An article as it is entered: its name says most of it, the rest is measured. */
const { article = undefined, name = '' } = defineProps<{ article?: Article; name?: string }>()
const emit = defineEmits<{ kept: [id: string] }>()
const shelf = useShelf()
const { checked } = useEntryRules()
const draft = ref<Article>(article ? { ...article, spec: { ...article.spec } } : { id: uuidv7(), name, spec: {} })
const price = ref(article?.price === undefined ? '' : (article.price / 100).toFixed(2))
const codes = ref((article?.codes ?? []).join(', '))
const problem = ref('')
const PARTS_BY_NAME = Object.entries(PARTS).sort(([, a], [, b]) => (a < b ? -1 : 1)) as [Part, string][]

/** What the name says is taken where nothing was measured yet. */
function readName(): void {
  const asked = readAsked(draft.value.name)
  if (!asked || Object.keys(draft.value.spec).length > 0) return
  draft.value = { ...draft.value, family: asked.family, spec: asked.spec }
}
if (name) readName()
function choosePart(part: Part | ''): void {
  const family = part ? familyOf(part) : draft.value.family
  const isOther = family !== draft.value.family
  draft.value = { ...draft.value, part: part || undefined, family, spec: isOther ? {} : draft.value.spec }
  readName()
}
function chooseFamily(family: FamilyId | ''): void {
  draft.value = { ...draft.value, family: family || undefined, part: undefined, spec: {} }
  readName()
}
const known = <T extends object>(of: T): T =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined && value !== '')) as T

async function keep(): Promise<void> {
  const paid = readNumber(price.value)
  if (price.value.trim() && (paid === undefined || paid < 0)) {
    problem.value = `what the shop pays: “${price.value}”; an amount, such as 12.50`
    return
  }
  const isSamePrice = paid !== undefined && Math.round(paid * 100) === article?.price
  const said = known({
    ...draft.value,
    // What is watched cannot be sent.
    spec: { ...draft.value.spec },
    name: draft.value.name.trim(),
    codes: codes.value
      .split(',')
      .map((code) => code.trim())
      .filter(Boolean),
    price: paid === undefined ? undefined : Math.round(paid * 100),
    pricedOn:
      paid === undefined
        ? undefined
        : isSamePrice
          ? article?.pricedOn
          : formatISO(new Date(), { representation: 'date' }),
  }) as Article
  const [wrong] = Object.entries(await checked('article-set', { article: said }))
  problem.value = wrong ? `${wrong[0].replace('article.', '')}: ${wrong[1]}` : ''
  if (wrong) return
  await shelf.keepArticle(said)
  emit('kept', said.id)
}
</script>

<template>
  <form class="grid max-w-4xl gap-4" data-testid="article-form" @submit.prevent="keep">
    <label
      ><span class="label">Name, as it is ordered by</span
      ><input
        v-model="draft.name"
        class="field number"
        maxlength="120"
        autocomplete="off"
        placeholder="6203 2RS C3"
        data-testid="article-name"
        @change="readName"
    /></label>
    <div class="grid gap-4 sm:grid-cols-2">
      <label
        ><span class="label">Part of a machine</span
        ><select
          class="field"
          :value="draft.part ?? ''"
          data-testid="article-part"
          @change="choosePart(($event.target as HTMLSelectElement).value as Part | '')"
        >
          <option value="">several, or none</option>
          <option v-for="[id, label] in PARTS_BY_NAME" :key="id" :value="id">{{ label }}</option>
        </select></label
      >
      <label
        ><span class="label">Measured as</span
        ><select
          class="field"
          :value="draft.family ?? ''"
          data-testid="article-family"
          @change="chooseFamily(($event.target as HTMLSelectElement).value as FamilyId | '')"
        >
          <option value="">nothing: known by its name</option>
          <option v-for="(family, id) in FAMILIES" :key="id" :value="id">{{ family.name }}</option>
        </select></label
      >
    </div>
    <SpecFields
      v-if="draft.family"
      :key="draft.family"
      :family="draft.family"
      :spec="draft.spec"
      @change="draft = { ...draft, spec: $event }"
    />
    <div class="grid gap-4 sm:grid-cols-3">
      <label
        ><span class="label">What the shop pays for one</span
        ><input v-model="price" class="field number" inputmode="decimal" data-testid="article-price"
      /></label>
      <label
        ><span class="label">Codes on its bag</span
        ><input v-model="codes" class="field number" autocomplete="off" data-testid="article-codes"
      /></label>
      <label
        ><span class="label">State</span
        ><select v-model="draft.condition" class="field">
          <option :value="undefined">new</option>
          <option v-for="(label, id) in CONDITIONS" v-show="id !== 'new'" :key="id" :value="id">{{ label }}</option>
        </select></label
      >
    </div>
    <label
      ><span class="label">Note</span><input v-model="draft.note" class="field" maxlength="500" autocomplete="off"
    /></label>
    <p v-if="problem" role="alert" class="font-bold text-rust" data-testid="article-problem">{{ problem }}</p>
    <div class="flex flex-wrap gap-3">
      <button type="submit" class="button" data-testid="keep-article">
        {{ article ? 'Keep it so' : 'Keep it' }}</button><slot />
    </div>
  </form>
</template>
