<script setup lang="ts">
/** The head of a place that is no visit: its name, the other places, the switches. */
const { title, short = undefined } = defineProps<{
  title: string
  /** Where there is room for a few letters. */
  short?: string
}>()
</script>

<template>
  <div class="no-print">
    <OutboxBanner />
    <header class="flex min-h-16 items-center gap-x-5 border-b border-rule px-5 py-1 max-sm:gap-x-1 max-sm:px-2">
      <NuxtLink to="/" aria-label="to the Day" class="inline-flex min-h-12 min-w-12 items-center"
        ><LampLogo
      /></NuxtLink>
      <slot name="title"
        ><h1 class="min-w-0 truncate text-[1.25rem] max-sm:text-[1.05rem]">
          <span :class="{ 'max-sm:hidden': short }">{{ title }}</span><span v-if="short" class="sm:hidden">{{
            short
          }}</span>
        </h1></slot
      >
      <!-- What is said beside the name gives way before the name does. -->
      <div v-if="$slots.default" class="flex min-w-0 shrink-[999] items-center overflow-hidden [&>p]:truncate">
        <slot />
      </div>
      <PlaceNav class="ml-auto shrink-0" />
      <span class="flex shrink-0 items-center max-[900px]:ml-auto"
        ><StandingWord /><FindButton /><UnitSwitch /><SchemeSwitch
      /></span>
    </header>
  </div>
</template>
