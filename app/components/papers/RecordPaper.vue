<script setup lang="ts">
import { format } from 'date-fns'
import { VERDICT_WORDS } from '#core/judgement/judgement'
import { shortHash } from '#core/visit/issue'
import type { WorkshopRecord } from '#core/visit/record'
import type { Sheet } from '#core/visit/sheet'

/** What the workshop keeps: every step, every reading with its limit and where that comes from. */
const { record, sheet, hash } = defineProps<{ record: WorkshopRecord; sheet: Sheet; hash: string }>()
const STANDS = { open: 'not made', shown: 'shown', failed: 'failed', left: 'left' } as const
const at = (instant: string) => format(new Date(instant), 'HH:mm')
const lists = computed(() =>
  [
    { title: 'Thought of, in order', items: record.suspects },
    { title: 'Taken as usual, where the plate does not say', items: record.assumed },
    { title: 'Notes', items: record.notes.map(({ at: when, text }) => `${at(when)} ${text}`) },
  ].filter(({ items }) => items.length > 0),
)
</script>

<template>
  <article class="visit-paper" data-testid="record">
    <h2 class="text-2xl">The workshop’s record</h2>
    <p class="text-slate">{{ sheet.customer.name }}, {{ sheet.machine.name }} · {{ sheet.date }}</p>
    <p class="text-slate">{{ sheet.machine.description }}</p>
    <section v-if="record.readings.length > 0" class="overflow-x-auto" tabindex="0" aria-label="all readings">
      <h3>Readings</h3>
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
            v-for="reading in record.readings"
            :key="reading.subject + reading.before"
            class="border-b border-rule align-baseline"
          >
            <th scope="row" class="py-1 pr-3 text-left font-normal">{{ reading.subject }}</th>
            <td class="number pr-3">
              {{ reading.before
              }}<template v-if="reading.beforeVerdict">, {{ VERDICT_WORDS[reading.beforeVerdict] }}</template>
            </td>
            <td class="number pr-3">
              {{ reading.after
              }}<template v-if="reading.afterVerdict">, {{ VERDICT_WORDS[reading.afterVerdict] }}</template>
            </td>
            <td class="number pr-3 whitespace-nowrap">{{ reading.limits }}</td>
            <td class="text-[0.88rem] text-slate">{{ reading.basis }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.proofs.length > 0">
      <h3>Proofs</h3>
      <p v-for="proof in record.proofs" :key="proof.label" class="py-0.5">
        {{ proof.label }}: <strong>{{ STANDS[proof.stands] }}</strong><template v-if="proof.why"
          >, {{ proof.why }}</template
        >
      </p>
      <p v-for="each in record.comebacks" :key="each.at" class="py-0.5">
        <span class="number">{{ at(each.at) }}</span> back to Test: {{ each.failed.join(', ').replaceAll('-', ' ') }}
      </p>
    </section>
    <section v-if="record.workings.length > 0">
      <h3>Worked out</h3>
      <ul>
        <li v-for="working in record.workings" :key="working.title + working.answer" class="flex gap-3 py-0.5">
          <StateMark :verdict="working.verdict" worded class="w-28 shrink-0" /><span
            >{{ working.title }} {{ working.answer }}
            <span class="text-[0.88rem] text-slate">{{ working.figures }}</span></span
          >
        </li>
      </ul>
    </section>
    <section v-if="record.steps.length > 0">
      <h3>Steps</h3>
      <ol>
        <li v-for="step in record.steps" :key="step.text + step.at" class="flex gap-3 py-0.5">
          <span class="number shrink-0 text-slate">{{ at(step.at) }}</span><span
            >{{ step.text }}<span v-if="step.count !== undefined" class="number"> ({{ step.count }})</span
            ><template v-if="step.reason">: {{ step.reason }}</template></span
          >
        </li>
      </ol>
      <p v-if="record.practices.length > 0" class="mt-1 text-[0.88rem] text-slate" data-testid="sheet-practices">
        How this shop does it. {{ record.practices.join('. ') }}.
      </p>
    </section>
    <section v-for="list in lists" :key="list.title">
      <h3>{{ list.title }}</h3>
      <p v-for="item in list.items" :key="item" class="py-0.5">{{ item }}</p>
    </section>
    <PaperPictures :photos="record.photos" small class="mt-4" />
    <p class="number mt-5 border-t border-rule pt-2 text-[0.85rem] text-slate">journal {{ shortHash(hash) }}</p>
  </article>
</template>
