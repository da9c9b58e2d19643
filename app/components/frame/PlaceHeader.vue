<script setup lang="ts">
/** The head of a place that is no visit: the way back, its name, the switches. */
const { title } = defineProps<{ title: string }>()
</script>

<template>
  <div class="no-print">
    <OutboxBanner />
    <header
      class="flex min-h-16 flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-5 py-1 max-sm:gap-x-3 max-sm:px-3"
    >
      <NuxtLink to="/" aria-label="to the Day" class="inline-flex min-h-12 min-w-12 items-center"
        ><LampLogo
      /></NuxtLink>
      <slot name="title"
        ><h1 class="text-[1.25rem]">{{ title }}</h1></slot
      ><slot />
      <span class="ml-auto flex items-center"><UnitSwitch /><SchemeSwitch /></span>
    </header>
  </div>
</template>
