<script setup lang="ts">
/** The one lit next thing: what, why, with what, and its button. */
const {
  title,
  because = '',
  tool = '',
  caution = '',
  barred = [],
  compact = false,
} = defineProps<{
  title: string
  because?: string
  tool?: string
  caution?: string
  /** What may not be done now, each with its reason. */
  barred?: string[]
  compact?: boolean
}>()
</script>

<template>
  <section aria-label="the lamp" class="lamp-field flex flex-col gap-3 px-5 py-4" data-testid="lamp">
    <h2 class="text-[1.6rem] leading-tight" aria-live="polite" data-testid="lamp-title">{{ title }}</h2>
    <p v-if="because">{{ because }}</p>
    <ul v-if="barred.length > 0" class="border-l-4 border-lamp-ink pl-3 font-bold" data-testid="lamp-barred">
      <li v-for="reason in barred" :key="reason"><CautionText :text="reason" /></li>
    </ul>
    <slot name="gates" />
    <slot />
    <p v-if="tool" class="text-[0.95rem]"><strong>Tool:</strong> {{ tool }}</p>
    <p
      v-if="caution && !compact"
      class="border-l-4 border-lamp-ink pl-3 text-[0.95rem] font-bold"
      data-testid="caution"
    >
      <CautionText :text="caution" />
    </p>
    <div v-if="$slots.buttons" class="mt-1 flex flex-wrap gap-2"><slot name="buttons" /></div>
  </section>
</template>
