<script setup lang="ts">
import { LAMP_HELP, type LampHelp } from '#core/knowledge/practice/lamp-help'

/** How much of the lamp is seen while a try is worked on: it can be changed later. */
const help = defineModel<LampHelp>({ required: true })
const WORDS: Readonly<Record<LampHelp, readonly [string, string]>> = {
  off: ['off', 'nothing says what comes next'],
  hint: ['a hint', 'a question that leads there'],
  on: ['on', 'all it says on a real visit'],
}
</script>

<template>
  <fieldset>
    <legend class="label">The lamp</legend>
    <div class="flex flex-wrap gap-2">
      <button
        v-for="id in LAMP_HELP"
        :key="id"
        type="button"
        class="toggle"
        :aria-pressed="help === id"
        :data-testid="`choose-lamp-${id}`"
        @click="help = id"
      >
        <span
          ><strong>{{ WORDS[id][0] }}</strong
          ><span class="block text-[0.9rem]">{{ WORDS[id][1] }}</span></span
        >
      </button>
    </div>
  </fieldset>
</template>
