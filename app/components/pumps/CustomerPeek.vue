<script setup lang="ts">
/** A customer beside the search: the machines with what they last read, and the way on. */
const { id } = defineProps<{ id: string }>()
const { view } = useCustomer(toRef(() => id))
</script>

<template>
  <section v-if="view" class="p-5" :aria-label="view.customer.name">
    <h2 class="text-[1.3rem]">{{ view.customer.name }}</h2>
    <p class="text-slate">{{ view.customer.place }}</p>
    <p v-if="view.customer.phone" class="number">{{ view.customer.phone }}</p>
    <div class="mt-3 flex flex-wrap gap-2">
      <NuxtLink class="button" :to="`/pumps/customers/${view.customer.id}`">Open</NuxtLink
      ><NuxtLink class="button" :to="{ path: '/visits/new', query: { customer: view.customer.id } }"
        >New visit</NuxtLink
      >
    </div>
    <MachineRows class="mt-4" :machines="view.machines" />
  </section>
</template>
