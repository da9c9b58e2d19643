<script setup lang="ts">
import { useSelf } from '~/stores/self'
import type { CustomerView } from '~/utils/register-views'

/** All that the shop has of a customer: as a file for them, or removed for good where they ask for it. */
const { view } = defineProps<{ view: CustomerView }>()
const emit = defineEmits<{ removed: [] }>()
const self = useSelf()
const isAsking = ref(false)
const typed = ref('')
const trouble = ref('')
const name = computed(() => view.customer.name)
const isMeant = computed(() => typed.value.trim() === name.value.trim())
const stillOpen = computed(() => view.open.length)
function askFirst(): void {
  typed.value = ''
  trouble.value = ''
  isAsking.value = true
}
const remove = oneAtATime(async () => {
  if (!isMeant.value) return
  const done = await told(`/api/customers/${view.customer.id}`, 'DELETE', { author: self.author })
  trouble.value = 'problem' in done ? done.problem : ''
  if ('problem' in done) return
  isAsking.value = false
  emit('removed')
})
</script>

<template>
  <section v-if="self.may('files') || self.may('settings')" class="mt-6" aria-labelledby="data-title">
    <h2 id="data-title" class="text-[1.2rem]">All that is kept of them</h2>
    <p class="text-slate">Address, places, machines, visits with pictures: for whoever asks what the shop has.</p>
    <div class="mt-1 flex flex-wrap gap-2">
      <a
        v-if="self.may('files')"
        class="button"
        :href="`/api/customers/${view.customer.id}/data.json`"
        download
        data-testid="customer-data"
        >As a file</a
      ><button
        v-if="self.may('settings')"
        type="button"
        class="button button-quiet"
        data-testid="ask-forget"
        @click="askFirst"
      >
        Remove for good
      </button>
    </div>
    <SmallDialog v-if="isAsking" :title="`Remove all of ${name}?`" test="forget-dialog" @close="isAsking = false">
      <p v-if="stillOpen > 0" class="mt-3 font-bold" data-testid="still-open">
        {{ counted(stillOpen, 'visit') }} not done yet: hand over or call off first.
      </p>
      <template v-else>
        <dl class="mt-3 grid gap-2">
          <div>
            <dt class="font-bold">Goes, and cannot be brought back</dt>
            <dd>
              Name, address, telephone, mail; how one gets in; what was said and noted; pictures, signatures, mails that
              left; dates to come again.
            </dd>
          </div>
          <div>
            <dt class="font-bold">Stays, under no name</dt>
            <dd>
              Readings, causes, repairs, parts, hours and amounts of {{ counted(view.machines.length, 'machine') }}.
              They are retired.
            </dd>
          </div>
          <div>
            <dt class="font-bold">Not reached from here</dt>
            <dd>Backups and files that left before. Accounts the law has you keep: take them out as a file first.</dd>
          </div>
        </dl>
        <form class="mt-4 grid gap-3" @submit.prevent="remove">
          <TextField v-model="typed" :label="`Type ${name} to do it`" test="forget-name" :problem="trouble" />
          <div class="flex flex-wrap gap-2">
            <button type="submit" class="button" :disabled="!isMeant" data-testid="forget">Remove for good</button
            ><button type="button" class="button button-quiet" @click="isAsking = false">Leave it</button>
          </div>
        </form>
      </template>
    </SmallDialog>
  </section>
</template>
