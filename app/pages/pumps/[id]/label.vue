<script setup lang="ts">
/** A label to stick on the machine: its code opens its card, and its words serve without one. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const { view, problem } = useCard(id)
/** A name that means the very computer that asks. */
const isHereOnly = ['localhost', '127.0.0.1', '[::1]'].includes(window.location.hostname)
const address = computed(() => `${window.location.origin}/pumps/${id.value}`)
function print(): void {
  window.print()
}
useHead({ title: 'Label · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Label" />
    <main class="p-6 max-sm:p-3">
      <p v-if="problem" class="font-bold">{{ problem }}</p>
      <template v-else-if="view">
        <LabelPaper :code="address" :name="view.card.machine.name" about="a code that opens the card of this machine">
          <p class="line">{{ view.card.customer.name }}</p>
          <p class="line number">{{ id.slice(-8) }}</p>
          <p v-if="view.shop.name" class="line small">{{ view.shop.name }}</p>
        </LabelPaper>
        <div class="no-print mt-5 flex flex-wrap gap-3">
          <button type="button" class="button" @click="print">Print the label</button
          ><NuxtLink class="button button-quiet" :to="`/pumps/${id}`">To its card</NuxtLink>
        </div>
        <p class="no-print mt-3 max-w-xl text-slate">
          70 × 36 mm. The code holds the address under which this page was opened:
          <span class="number break-all">{{ address }}</span>
          <template v-if="isHereOnly"
            >. That is this computer’s own name for itself, which no telephone finds: open this page by the name under
            which the others reach it, then print.</template
          >
        </p>
      </template>
      <p v-else class="text-slate">Reading the card</p>
    </main>
  </div>
</template>
