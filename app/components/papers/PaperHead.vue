<script setup lang="ts">
/** Who writes, and to whom: the head of every paper. */
const { shop, to, date } = defineProps<{
  shop: { name: string; place: string }
  to: { name: string; place: string }
  date: string
}>()
</script>

<template>
  <header class="flex flex-wrap items-baseline justify-between gap-x-4 border-b-2 border-ink pb-2">
    <div>
      <strong class="text-lg">{{ shop.name }}</strong><br />{{ shop.place }}
    </div>
    <div class="text-right max-sm:text-left">
      <strong>For {{ to.name }}</strong
      ><br /><template v-if="to.place">{{ to.place }}<br /></template><span class="number">{{ date }}</span>
    </div>
  </header>
</template>
