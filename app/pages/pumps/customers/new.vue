<script setup lang="ts">
/** A customer before anything else is known. */
useHead({ title: 'New customer · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="New customer" />
    <main class="mx-auto max-w-xl p-5 max-sm:p-3">
      <CustomerForm @saved="navigateTo(`/pumps/customers/${$event.id}`)" @cancel="navigateTo('/pumps')" />
    </main>
  </div>
</template>
