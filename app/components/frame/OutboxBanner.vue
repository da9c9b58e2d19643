<script setup lang="ts">
import type { Entry } from '#core/visit/entry'
import { useOutbox } from '~/stores/outbox'

/** What needs somebody: the shop refuses a line, or this device has no room. All else is one word in the head. */
const outbox = useOutbox()
const changing = ref<string>()
const all = ref(false)
/** One at a time: on a phone the lamp stays in sight. */
const MOST_SHOWN = 1
const shown = computed(() => (all.value ? outbox.refused : outbox.refused.slice(0, MOST_SHOWN)))
const lines = (count: number) => (count === 1 ? '1 line is' : `${count} lines are`)
const line = computed(() => outbox.refused.find(({ entry }) => entry.id === changing.value))
function change(entry: Entry): void {
  if (changing.value) void outbox.change(changing.value, entry)
  changing.value = undefined
}
</script>

<template>
  <div role="status" aria-live="polite" class="no-print">
    <p v-if="outbox.onlyHere > 0" class="notice bg-rust" data-testid="storage-full">
      <strong>This device has no room left.</strong
      ><span
        >{{ lines(outbox.onlyHere) }} on this page alone: leave it open until
        {{ outbox.onlyHere === 1 ? 'it is' : 'they are' }} sent, or make room on the device.</span
      >
    </p>
    <LazyRefusedLine
      v-for="refused in shown"
      :key="refused.entry.id"
      :line="refused"
      @change="changing = refused.entry.id"
      @drop="outbox.drop(refused.entry.id)"
    />
    <p v-if="outbox.refused.length > MOST_SHOWN" class="notice bg-rust">
      <button type="button" class="notice-act" @click="all = !all">
        {{ all ? 'Show fewer' : `${outbox.refused.length - MOST_SHOWN} more not kept: show all` }}
      </button>
    </p>
    <p v-if="outbox.dropped.length > 0" class="notice bg-ink" data-testid="dropped">
      <span>{{
        outbox.dropped.length === 1 ? 'A line was dropped.' : `${outbox.dropped.length} lines were dropped.`
      }}</span><button type="button" class="notice-act" @click="outbox.takeBack()">Undo</button>
    </p>
    <LazyRefusedDialog v-if="line" :line="line" @close="changing = undefined" @change="change" />
  </div>
</template>
