<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** A question over the page: its title, what belongs to it, and a way out by Escape. */
const {
  title,
  test,
  wide = false,
  above = false,
} = defineProps<{ title: string; test: string; wide?: boolean; above?: boolean }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="true" class="relative" :class="above ? 'z-50' : 'z-40'" @close="emit('close')">
    <div class="fixed inset-0 bg-[#14242b66]" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel
        class="max-h-full w-full overflow-y-auto border border-ink bg-paper p-5 text-ink"
        :class="wide ? 'max-w-2xl' : 'max-w-lg'"
        :data-testid="test"
      >
        <DialogTitle class="text-xl">{{ title }}</DialogTitle>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
