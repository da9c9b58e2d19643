<script setup lang="ts">
import { useOutbox } from '~/stores/outbox'

const outbox = useOutbox()
</script>

<template>
  <div role="status" aria-live="polite" class="no-print">
    <p v-if="outbox.offline" class="flex flex-wrap items-center gap-x-4 bg-ink px-4 py-2 text-on-ink">
      <strong>The server does not answer.</strong>
      <span>{{ outbox.waiting === 0 ? 'Nothing is lost.' : outbox.waiting === 1 ? '1 line is kept here and sent when it is back.' : `${outbox.waiting} lines are kept here and sent when it is back.` }}</span>
      <button type="button" class="min-h-12 underline underline-offset-4" @click="outbox.flush()">Try now</button>
    </p>
    <p v-for="{ entry, reason } in outbox.refused" :key="entry.id" class="flex flex-wrap items-center gap-x-4 bg-rust px-4 py-2 text-on-ink">
      <strong>Not kept: {{ entry.kind.replaceAll('-', ' ') }}.</strong><span>{{ reason }}</span>
      <button type="button" class="min-h-12 underline underline-offset-4" @click="outbox.dismiss(entry.id)">Read</button>
    </p>
  </div>
</template>
