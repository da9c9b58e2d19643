<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { CloudCheck, CloudOff, CloudUpload, TriangleAlert } from '@lucide/vue'
import { useDevice } from '~/stores/device'
import { useOutbox } from '~/stores/outbox'
import { useSelf } from '~/stores/self'

/** One quiet word on where what was written is; touched, it says it in full. */
const { standing } = useStanding()
const [outbox, device, self] = [useOutbox(), useDevice(), useSelf()]
const { $newer } = useNuxtApp()
const ICONS = { 'at-shop': CloudCheck, 'on-its-way': CloudUpload, 'here-only': CloudOff, 'not-kept': TriangleAlert }
</script>

<template>
  <Popover class="relative shrink-0">
    <PopoverButton
      class="inline-flex min-h-12 min-w-12 items-center justify-center gap-2 px-2"
      :aria-label="`how things stand: ${standing.word}`"
      data-testid="standing"
    >
      <component :is="ICONS[standing.is]" :size="20" aria-hidden="true" />
      <span v-if="standing.is !== 'at-shop'" class="max-lg:sr-only">{{ standing.word }}</span>
    </PopoverButton>
    <PopoverPanel class="panel" data-testid="standing-panel">
      <p>{{ standing.sentence }}</p>
      <p v-if="device.reading">Reading the shop: {{ device.reading.done }} of {{ device.reading.of }}.</p>
      <p v-if="device.isFull">This device has no room to keep the shop: without a signal only what is open works.</p>
      <p v-if="device.isOutdated">
        Lines of a newer Pike Lamp have come: they are kept, and read once this page is as new.
      </p>
      <p v-if="$newer.isWaiting.value">A newer Pike Lamp is here. It is taken when this visit is left, or now.</p>
      <p v-if="self.session.is === 'in'" class="mt-2 border-t border-rule pt-2">
        {{ self.session.person.name }} is signed in.
        <NuxtLink class="inline-flex min-h-12 items-center underline" to="/people" data-testid="to-me"
          >People and signing out</NuxtLink
        >
      </p>
      <div class="mt-2 flex gap-3">
        <button v-if="standing.is !== 'at-shop'" type="button" class="button" @click="outbox.flush()">Try now</button>
        <button v-if="$newer.isWaiting.value" type="button" class="button" @click="$newer.take()">Take it now</button>
      </div>
    </PopoverPanel>
  </Popover>
</template>

<style scoped>
.panel {
  position: absolute;
  right: 0;
  z-index: 20;
  width: min(22rem, calc(100vw - 2rem));
  padding: 1rem;
  background: var(--paper);
  border: 1px solid var(--ink);
  border-radius: 4px;
}
/* The word does not stand at the edge there: what it says in full would. */
@media (max-width: 639px) {
  .panel {
    position: fixed;
    top: 4.25rem;
    inset-inline: 1rem;
    width: auto;
  }
}
</style>
