<script setup lang="ts">
import { BASIS_WORDS } from '#core/judgement/judgement'
import { sources } from '#core/knowledge/sources'

const rows = sources()
const trades = [...new Set(rows.map(({ trade }) => trade))].map((trade) => ({
  trade,
  rows: rows.filter((row) => row.trade === trade),
}))
const fromMemory = rows.filter((row) => row.fromMemory).length
useHead({ title: 'Where the figures come from · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Where the figures come from" short="Sources"
      ><NuxtLink
        to="/workings"
        class="inline-flex min-h-12 items-center text-slate underline underline-offset-4 max-sm:hidden"
        >Workings</NuxtLink
      ></PlaceHeader
    >
    <main class="mx-auto max-w-4xl p-5 max-sm:p-3">
      <p class="mb-4 max-w-[68ch] text-slate">
        Every limit and table of the program, by what it rests on. A figure on the plate or in the maker’s sheet wins
        over all of them, and local codes over what is said here of wiring and water. {{ fromMemory }} of the
        {{ rows.length }} were written down from memory: compare the print before you rely on them.
      </p>
      <section v-for="group in trades" :key="group.trade" class="mb-6">
        <h2 class="mb-1 text-[1.12rem]">{{ group.trade }}</h2>
        <ul>
          <li v-for="row in group.rows" :key="row.kind + row.name" class="source">
            <span class="text-slate">{{ BASIS_WORDS[row.kind] }}</span><BasisLine :basis="row" />
          </li>
        </ul>
      </section>
    </main>
  </div>
</template>

<style scoped>
.source {
  display: grid;
  grid-template-columns: 9.5rem minmax(0, 1fr);
  gap: 0 1rem;
  padding: 0.45rem 0;
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 600px) {
  .source {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
