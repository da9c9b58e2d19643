<script setup lang="ts">
import { pageOfHarm } from '#core/handbook/where'
import type { Afterwards } from '#core/practice/afterwards'
import { formatMinutes } from '#core/quantity/format'

/** What was unsafe, missed and needless, side by side. */
const { after } = defineProps<{ after: Afterwards }>()
const needlessMinutes = computed(() => after.needless.reduce((sum, { minutes }) => sum + minutes, 0))
const MOST = 4
const named = (titles: readonly string[]) =>
  titles.length > MOST ? `${titles.slice(0, MOST).join('; ')}; and ${titles.length - MOST} more` : titles.join('; ')
</script>

<template>
  <div class="grid gap-x-8 gap-y-3 md:grid-cols-3">
    <section data-testid="unsafe">
      <h3 class="flex items-center gap-2 text-lg text-rust">
        <FlagMark flag="unsafe" />unsafe, {{ after.unsafe.length }}
      </h3>
      <p v-if="after.unsafe.length === 0">Nothing. That is what counts most.</p>
      <ul v-else>
        <li v-for="(each, index) in after.unsafe.slice(0, MOST)" :key="index">
          <span class="number">{{ formatMinutes(each.minute) }}</span> {{ each.label }} ·
          <HandbookLink :page="pageOfHarm(each.harm)" />
        </li>
        <li v-if="after.unsafe.length > MOST">and {{ after.unsafe.length - MOST }} more</li>
      </ul>
    </section>
    <section data-testid="missed">
      <h3 class="flex items-center gap-2 text-lg text-ochre">
        <FlagMark flag="missed" />missed, {{ after.missed.length }}
      </h3>
      <p>
        {{
          after.missed.length === 0
            ? 'Nothing that the decision hung on.'
            : named(after.missed.map(({ title }) => title))
        }}
      </p>
    </section>
    <section data-testid="needless">
      <h3 class="flex items-center gap-2 text-lg text-ochre">
        <FlagMark flag="needless" />needless, {{ after.needless.length }}
      </h3>
      <p>
        {{
          after.needless.length === 0
            ? 'Nothing: all of it told something.'
            : `${named(after.needless.map(({ title }) => title))}: ${formatMinutes(needlessMinutes)}.`
        }}
      </p>
    </section>
  </div>
</template>
