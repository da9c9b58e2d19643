<script setup lang="ts">
import type { TrayItem } from '#core/takedown/tray'
import { splitStep } from '#core/takedown/step-plan'

/** The ledger of everything that is out and not back. */
const { items } = defineProps<{ items: readonly TrayItem[] }>()
const pieces = computed(() => items.reduce((sum, { count, temporary }) => sum + (temporary ? 0 : (count ?? 1)), 0))
</script>

<template>
  <section class="tray px-4 py-3" aria-label="the bolt tray" data-testid="tray">
    <h2 class="flex items-baseline justify-between text-base">In the tray<span class="number text-[0.95rem] text-slate">{{ items.length === 0 ? 'empty' : `${pieces} pieces` }}</span></h2>
    <p v-if="items.length === 0" class="text-slate">Nothing is out.</p>
    <ol v-else class="mt-1 flex flex-col-reverse">
      <li v-for="item in items" :key="item.id" class="flex items-baseline gap-3 border-t border-rule py-1"><span class="number w-8 shrink-0 text-right text-lg">{{ item.temporary ? '!' : (item.count ?? 1) }}</span><span class="min-w-0">{{ splitStep(item.text).title }}<span v-if="item.hand" class="font-bold"> · left-handed</span><span v-if="item.note && !item.temporary" class="block text-[0.88rem] text-slate">{{ item.note }}</span><span v-if="item.temporary" class="block text-[0.88rem] text-slate">fitted for the work: must be gone at the end</span></span></li>
    </ol>
  </section>
</template>

<style scoped>
.tray { background: var(--metal); border-top: 1.5px solid var(--ink); }
.tray .border-rule { border-color: color-mix(in srgb, var(--ink) 22%, transparent); }
.tray .text-slate { color: var(--ink); }
</style>
