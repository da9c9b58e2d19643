<script setup lang="ts">
import { VERDICT_WORDS } from '#core/judgement/judgement'
import { dayWords } from '#core/quantity/day'
import { priceTitle, underOf } from '#core/visit/leaves'
import { comingAgain, type Sheet } from '#core/visit/sheet'

/** One machine on the owner’s page: headline first, then what was wrong, done, read, left, to watch, what it costs. */
const { sheet, named = false } = defineProps<{
  sheet: Sheet
  /** Its name stands over it. */
  named?: boolean
}>()
const again = computed(() => comingAgain(sheet))
const MARKED = new Set(['failed', 'tired', 'unclear'])
</script>

<template>
  <div>
    <h2 class="mt-4 text-[1.7rem] leading-tight" data-testid="sheet-headline">{{ sheet.headline }}</h2>
    <p v-for="words in underOf(sheet, named)" :key="words" class="text-slate">{{ words }}</p>
    <div class="two">
      <section v-if="sheet.found.length > 0">
        <h3>What was wrong</h3>
        <ul>
          <li v-for="found in sheet.found" :key="found.text" class="flex items-start gap-2 py-0.5">
            <StateMark v-if="MARKED.has(found.verdict)" :verdict="found.verdict" class="mt-1 shrink-0" /><span>{{
              found.text
            }}</span>
          </li>
        </ul>
      </section>
      <section v-if="sheet.done.length > 0">
        <h3>What was done</h3>
        <p v-for="done in sheet.done" :key="done.job" class="py-0.5">{{ done.text }}</p>
      </section>
    </div>
    <section v-if="sheet.proved.length > 0">
      <div class="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3>What it reads now</h3>
        <p class="text-[0.88rem] text-slate">the line is what is allowed, the dot what was read</p>
      </div>
      <table class="w-full border-collapse" data-testid="sheet-proved">
        <tbody>
          <tr v-for="row in sheet.proved" :key="row.label" class="border-t border-rule align-middle">
            <th scope="row" class="py-1 pr-3 text-left font-normal">
              <span class="flex items-center gap-2"
                ><StateMark :verdict="row.verdict" class="shrink-0" />{{ row.label }}</span
              >
            </th>
            <td class="number py-1 pr-3 font-bold">
              {{ row.after
              }}<span v-if="row.verdict !== 'sound'" class="font-normal"> {{ VERDICT_WORDS[row.verdict] }}</span>
            </td>
            <td class="line pr-3"><LimitLine v-if="row.line" :line="row.line" :verdict="row.verdict" /></td>
            <td class="text-[0.9rem] text-slate">
              {{ row.limit
              }}<template v-if="row.before && row.before !== row.after">
                {{ row.limit ? '; ' : '' }}was {{ row.before }}</template
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="sheet.assumed" class="mt-1 text-[0.88rem] text-slate">{{ sheet.assumed }}</p>
    </section>
    <section v-if="sheet.workings.length > 0" data-testid="sheet-workings">
      <h3>Worked out</h3>
      <p v-for="working in sheet.workings" :key="working.title + working.answer" class="py-0.5">
        {{ working.title }} {{ working.answer }}
      </p>
    </section>
    <div class="two">
      <div>
        <section v-if="sheet.left.length > 0">
          <h3>Seen and left</h3>
          <p v-for="text in sheet.left" :key="text" class="py-0.5">{{ text }}</p>
        </section>
        <section v-if="sheet.watch.length > 0">
          <h3>What to watch</h3>
          <p v-for="text in sheet.watch" :key="text" class="py-0.5">{{ text }}</p>
        </section>
        <section v-if="again.length > 0">
          <h3>When we come again</h3>
          <p v-for="each in again" :key="each.on + each.what" class="py-0.5">
            <strong>{{ dayWords(each.on) }}</strong><template v-if="each.what">: {{ each.what }}</template>
          </p>
        </section>
        <section v-if="sheet.cautions.length > 0">
          <h3>To mind</h3>
          <p v-for="text in sheet.cautions" :key="text" class="py-0.5 text-[0.92rem]">{{ text }}</p>
        </section>
      </div>
      <section v-if="sheet.price">
        <h3>{{ priceTitle(sheet) }}</h3>
        <SheetAmounts :lines="sheet.price.lines" :total="sheet.price.total" sum="In all" :sheet="sheet" />
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  column-gap: 2rem;
}
@media (max-width: 1000px) {
  .line {
    display: none;
  }
}
@media (max-width: 700px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
