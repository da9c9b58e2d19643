<script setup lang="ts">
import type { Leaf } from '#core/visit/leaf'

/** A paper that is a heading, sections and a foot: the claim. */
const { leaf } = defineProps<{ leaf: Leaf }>()
</script>

<template>
  <article class="visit-paper">
    <PaperHead :shop="leaf.shop" :to="leaf.to" :date="leaf.date" />
    <h2 class="mt-4 text-[1.7rem] leading-tight">{{ leaf.title }}</h2>
    <p v-for="line in leaf.under" :key="line" class="text-slate">{{ line }}</p>
    <section v-for="section in leaf.sections" :key="section.title">
      <h3>{{ section.title }}</h3>
      <table v-if="section.table" class="w-full border-collapse">
        <thead v-if="section.table.columns">
          <tr>
            <th
              v-for="column in section.table.columns"
              :key="column"
              scope="col"
              class="py-0.5 pr-3 text-left font-normal text-slate"
            >
              {{ column }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in section.table.rows" :key="row.join()" class="border-t border-rule align-baseline">
            <th scope="row" class="w-52 py-0.5 pr-3 text-left font-normal text-slate max-sm:w-32">{{ row[0] }}</th>
            <td v-for="(cell, column) in row.slice(1)" :key="column" class="py-0.5 pr-3">{{ cell }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="line in section.lines" :key="line" class="py-0.5">{{ line }}</p>
    </section>
    <slot />
    <footer class="mt-5 border-t border-rule pt-2 text-[0.85rem] text-slate">{{ leaf.foot }}</footer>
  </article>
</template>
