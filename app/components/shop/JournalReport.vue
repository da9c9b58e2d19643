<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import type { JournalFound } from '~/utils/journal-found'

const { journal } = defineProps<{ journal: JournalFound }>()
const lines = (count: number) => (count === 1 ? '1 line' : `${count} lines`)
</script>

<template>
  <section aria-label="the journal" data-testid="journal-found">
    <h2 class="text-xl">The journal</h2>
    <p v-if="journal.setAsideCount === 0" class="mt-1 text-slate">Every line of it is in use.</p>
    <template v-else>
      <p class="mt-1">
        {{ lines(journal.setAsideCount) }} of <span class="number">journal.jsonl</span> could not be taken in when the
        server started. {{ journal.setAsideCount === 1 ? 'It is' : 'They are' }} set aside in
        <span class="number">journal.rejected.jsonl</span>, whole, and
        {{ journal.setAsideCount === 1 ? 'counts' : 'count' }} nowhere.
      </p>
      <Disclosure v-slot="{ open }" as="div" class="mt-1 border-t border-rule" default-open>
        <DisclosureButton class="flex min-h-12 w-full items-center justify-between text-left font-bold"
          >Which, and why<span class="font-normal text-slate">{{
            open ? 'less' : lines(journal.setAsideCount)
          }}</span></DisclosureButton
        >
        <DisclosurePanel>
          <dl class="ruled">
            <div
              v-for="{ line, reason } in journal.setAside"
              :key="`${line} ${reason}`"
              class="grid grid-cols-[6rem_minmax(0,1fr)] gap-x-3 py-1.5"
              data-testid="set-aside"
            >
              <dt class="number">line {{ line }}</dt>
              <dd class="[overflow-wrap:anywhere]">{{ reason }}</dd>
            </div>
          </dl>
          <p v-if="journal.setAsideCount > journal.setAside.length" class="py-1 text-slate">
            and {{ journal.setAsideCount - journal.setAside.length }} more, in the file
          </p>
        </DisclosurePanel>
      </Disclosure>
    </template>
    <p v-if="journal.filled > 0" class="mt-2">
      {{ lines(journal.filled) }} that the database had and the file lacked
      {{ journal.filled === 1 ? 'was' : 'were' }} written at the file’s end.
    </p>
    <p v-if="journal.takenIn > 0" class="mt-2">
      {{ lines(journal.takenIn) }} of the file {{ journal.takenIn === 1 ? 'was' : 'were' }} put into the database.
    </p>
  </section>
</template>
