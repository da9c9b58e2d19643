<script setup lang="ts">
import { formatDistanceToNowStrict } from 'date-fns'
import { useDevice } from '~/stores/device'

/** What of the shop is on this device, how much room that takes, and whether the browser keeps it. */
const device = useDevice()
/** Browsers keep a page that came over a safe way alone. */
const keepsPage = 'serviceWorker' in navigator
const room = shallowRef<{ used: number; free: number; stays: boolean }>()
async function measure(): Promise<void> {
  if (!('storage' in navigator)) return
  const { usage = 0, quota = 0 } = await navigator.storage.estimate()
  room.value = { used: usage, free: Math.max(0, quota - usage), stays: await navigator.storage.persisted() }
}
watch(() => [device.window, device.reading], measure, { immediate: true })
/** In whole megabytes as browsers say it, in gigabytes where there are many. */
function roomWords(bytes: number): string {
  const [unit, size] = bytes < 1e9 ? ['megabyte', 1e6] : ['gigabyte', 1e9]
  return new Intl.NumberFormat('en-US', { style: 'unit', unit, maximumFractionDigits: 1 }).format(bytes / Number(size))
}
const known = computed(
  () => device.window && `as of ${formatDistanceToNowStrict(new Date(device.window.at), { addSuffix: true })}`,
)
</script>

<template>
  <section aria-labelledby="device-title" data-testid="on-this-device">
    <h2 id="device-title" class="text-xl">On this device</h2>
    <p v-if="device.reading" data-testid="device-reading">
      Reading the shop: {{ device.reading.done }} of {{ device.reading.of }}.
    </p>
    <p v-else-if="device.isFull" class="font-bold">
      There is no room to keep the shop: without a signal only what is open works.
    </p>
    <p v-else-if="known">
      {{ counted(device.window?.visits.length ?? 0, 'visit') }} with their machines and customers, {{ known }}: they
      open and work without a signal.
    </p>
    <p v-else>Nothing yet: without a signal only what is open works.</p>
    <p v-if="!keepsPage" class="mt-2" data-testid="no-page">
      Over this address a browser does not keep the page itself: it opens without a signal when it was put there by
      https, or on the machine that serves it.
    </p>
    <dl v-if="room" class="ruled mt-2">
      <div class="flex justify-between gap-4 py-1.5">
        <dt>kept here</dt>
        <dd class="number" data-testid="device-used">{{ roomWords(room.used) }}</dd>
      </div>
      <div class="flex justify-between gap-4 py-1.5">
        <dt>free for more</dt>
        <dd class="number" data-testid="device-free">{{ roomWords(room.free) }}</dd>
      </div>
    </dl>
    <p v-if="room && !room.stays" class="mt-2 text-slate">
      This browser may clear it when it is short of room. Put the page on the home screen, and it stays.
    </p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="button" :disabled="device.reading !== undefined" @click="device.refresh()">
        Read it anew
      </button>
      <button v-if="known" type="button" class="button button-quiet" @click="device.forget()">Forget it here</button>
    </div>
  </section>
</template>
