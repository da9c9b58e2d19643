<script setup lang="ts">
import type { Sheet } from '#core/visit/sheet'
import { VERDICT_WORDS } from '#core/judgement/judgement'
import { format } from 'date-fns'

const { sheet } = defineProps<{ sheet: Sheet }>()
const money = useMoney()
const lists = computed(() =>
  [
    { title: 'Seen and left alone', items: sheet.seenAndLeft },
    { title: 'What to watch', items: sheet.watch },
    {
      title: 'Next visit',
      items: sheet.nextDate ? [format(new Date(`${sheet.nextDate}T12:00:00`), 'EEEE d MMMM yyyy')] : [],
    },
    { title: 'Assumed, where the plate does not say', items: sheet.machine.assumed },
    { title: 'Cautions', items: sheet.cautions },
  ].filter(({ items }) => items.length > 0),
)
</script>

<template>
  <article class="sheet" data-testid="sheet">
    <header class="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-ink pb-2">
      <div>
        <strong class="text-lg">{{ sheet.shop.name }}</strong><br />{{ sheet.shop.place }}
      </div>
      <span class="number">{{ format(new Date(`${sheet.date}T12:00:00`), 'd MMMM yyyy') }}</span>
    </header>
    <h2 class="mt-3 text-2xl">{{ sheet.customer.name }}: {{ sheet.machine.name }}</h2>
    <p>{{ sheet.customer.place }} · {{ sheet.machine.description }}</p>
    <p v-if="sheet.complaint">Called for: {{ sheet.complaint }}</p>
    <p class="my-3 text-lg font-bold">{{ sheet.summary }}</p>
    <section v-if="sheet.findings.length > 0">
      <h3>What was found</h3>
      <ul>
        <li v-for="finding in sheet.findings" :key="finding.text" class="flex gap-3 py-0.5">
          <StateMark :verdict="finding.verdict" worded class="w-28 shrink-0" /><span>{{ finding.text }}</span>
        </li>
      </ul>
    </section>
    <section
      v-if="sheet.readings.length > 0"
      class="overflow-x-auto"
      tabindex="0"
      aria-label="readings, before and after"
    >
      <h3>Readings, before and after</h3>
      <table class="w-full border-collapse text-[0.9rem]">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col" class="pr-3">reading</th>
            <th scope="col" class="pr-3">before</th>
            <th scope="col" class="pr-3">after</th>
            <th scope="col" class="pr-3">limits</th>
            <th scope="col" class="min-w-36">where the limit comes from</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="reading in sheet.readings"
            :key="reading.subject + reading.before"
            class="border-b border-rule align-baseline"
          >
            <th scope="row" class="py-1 pr-3 text-left font-normal">{{ reading.subject }}</th>
            <td class="number pr-3">
              <span class="whitespace-nowrap">{{ reading.before }}</span><template v-if="reading.beforeVerdict"
                >, {{ VERDICT_WORDS[reading.beforeVerdict] }}</template
              >
            </td>
            <td class="number pr-3">
              <span class="whitespace-nowrap">{{ reading.after }}</span><template v-if="reading.afterVerdict"
                >, {{ VERDICT_WORDS[reading.afterVerdict] }}</template
              >
            </td>
            <td class="number pr-3 whitespace-nowrap">{{ reading.limits }}</td>
            <td class="text-[0.88rem] text-slate">{{ reading.basis }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="sheet.workings.length > 0" data-testid="sheet-workings">
      <h3>Worked out</h3>
      <ul>
        <li v-for="working in sheet.workings" :key="working.title + working.answer" class="flex gap-3 py-0.5">
          <StateMark :verdict="working.verdict" worded class="w-28 shrink-0" /><span
            >{{ working.title }} {{ working.answer }}
            <span class="text-[0.88rem] text-slate">{{ working.figures }}</span></span
          >
        </li>
      </ul>
    </section>
    <section v-if="sheet.work.length > 0">
      <h3>Work done</h3>
      <ol class="ml-6 list-decimal">
        <li v-for="step in sheet.work" :key="step.text + step.at">
          {{ step.text }}<span v-if="step.count !== undefined" class="number"> ({{ step.count }})</span>
        </li>
      </ol>
      <p v-if="sheet.practices.length > 0" class="mt-1 text-[0.88rem] text-slate" data-testid="sheet-practices">
        How this shop does it. {{ sheet.practices.join('. ') }}.
      </p>
    </section>
    <section v-if="sheet.bill || sheet.price !== undefined">
      <h3>Parts and price</h3>
      <table class="w-full max-w-xl">
        <tbody>
          <tr v-for="part in sheet.bill?.parts ?? []" :key="part.part">
            <th scope="row" class="text-left font-normal">{{ part.label }}</th>
            <td class="number text-right">{{ money(part.price) }}</td>
          </tr>
          <tr v-if="sheet.bill">
            <th scope="row" class="text-left font-normal">Labour, {{ sheet.bill.minutes.p50 }} minutes</th>
            <td class="number text-right">{{ money(sheet.bill.labourPrice) }}</td>
          </tr>
          <tr class="border-t border-ink font-bold">
            <th scope="row" class="text-left">In all</th>
            <td class="number text-right" data-testid="sheet-price">
              {{ money(sheet.price ?? sheet.bill?.price ?? 0) }}
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-for="list in lists" :key="list.title">
      <h3>{{ list.title }}</h3>
      <ul class="ml-5 list-disc">
        <li v-for="item in list.items" :key="item">{{ item }}</li>
      </ul>
    </section>
    <section v-if="sheet.photos.length > 0">
      <h3>Pictures</h3>
      <div class="flex flex-wrap gap-4">
        <figure v-for="photo in sheet.photos" :key="photo.hash + photo.at" class="m-0 max-w-64">
          <img :src="`/api/photos/${photo.hash}`" :alt="photo.caption" class="max-h-48 border border-rule" />
          <figcaption class="text-[0.88rem]">{{ photo.caption }}</figcaption>
        </figure>
      </div>
    </section>
  </article>
</template>

<style scoped>
.sheet {
  padding: 1.4rem 1.6rem;
  background: var(--sheet);
  max-width: 60rem;
  margin-inline: auto;
}
section {
  margin-top: 1rem;
  break-inside: avoid-page;
}
h3 {
  margin-bottom: 0.2rem;
}
</style>
