<script setup lang="ts">
/** A day without visits: an invitation, not a blank. */
const { first, unset = false } = defineProps<{ first: boolean; unset?: boolean }>()
</script>

<template>
  <section class="flex flex-col items-start gap-4 p-6 md:p-12" data-testid="invitation">
    <KindDrawing kind="pool" class="h-28 w-56" />
    <h2 class="text-3xl">{{ first ? 'Write down the first machine' : 'No visit on this day' }}</h2>
    <p class="max-w-xl">
      {{
        first
          ? 'A visit begins with a call: who, where, which pump, what it does. From then on every reading is judged ' +
            'where it is taken, and the next thing worth doing is lit.'
          : 'What was left over from earlier days would stand here.'
      }}
    </p>
    <p v-if="unset" class="max-w-xl">
      Your name, address and what an hour costs stand on every sheet: nothing is printed for a shop that has not said
      so.
    </p>
    <div class="flex flex-wrap gap-3">
      <NuxtLink v-if="unset" class="button button-lit" to="/settings" data-testid="first-settings"
        >Say who you are</NuxtLink
      ><NuxtLink class="button" :class="{ 'button-lit': !unset }" to="/visits/new">{{
        first ? 'First machine and visit' : 'New visit'
      }}</NuxtLink
      ><ImportVisit />
    </div>
  </section>
</template>
