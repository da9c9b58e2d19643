<script setup lang="ts">
import type { EntryBodies } from '#core/visit/entry'
import { signaturePath } from '#core/visit/signature'

/** A signature as it was drawn, over the name. */
const { signature } = defineProps<{ signature: EntryBodies['signed'] & { at: string } }>()
</script>

<template>
  <figure class="m-0 w-64" data-testid="signature">
    <svg :viewBox="`0 0 ${signature.width} ${signature.height}`" class="block h-16 w-full" role="img">
      <title>Signature of {{ signature.by }}</title>
      <path
        :d="signaturePath(signature)"
        fill="none"
        stroke="var(--ink)"
        stroke-width="3"
        stroke-linecap="round"
        stroke-linejoin="round"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <figcaption class="border-t border-ink pt-0.5 text-[0.9rem] text-slate">{{ signature.by }}</figcaption>
  </figure>
</template>
