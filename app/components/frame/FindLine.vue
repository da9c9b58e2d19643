<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions, Dialog, DialogPanel } from '@headlessui/vue'

/** The line by which everything is found, at the foot like the reading line: a name, a street, a number of a part. */
const { open } = useFinder()
const typed = ref('')
const { found, problem } = useFound(typed)
watch(open, (now) => {
  if (now) typed.value = ''
})
async function go(to: string | null): Promise<void> {
  if (!to) return
  open.value = false
  await navigateTo(to)
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="open = false">
    <div class="fixed inset-0 bg-[#14242b66]" aria-hidden="true" />
    <DialogPanel class="finder" data-testid="finder">
      <h2 class="sr-only">Find</h2>
      <Combobox :model-value="null" @update:model-value="go">
        <ComboboxOptions static class="found">
          <ComboboxOption v-for="each in found" :key="each.key" v-slot="{ active }" :value="each.to" as="template">
            <li class="row" :class="{ 'is-active': active }" data-testid="found">
              <strong class="truncate">{{ each.label }}</strong><span class="truncate soft">{{ each.about }}</span>
            </li>
          </ComboboxOption>
          <li v-if="found.length === 0" class="row">Nothing of that name.</li>
        </ComboboxOptions>
        <p v-if="problem" role="status" class="px-4 py-1 text-slate">{{ problem }}</p>
        <div class="line">
          <span class="number text-[1.6rem] text-slate" aria-hidden="true">/</span>
          <ComboboxInput
            class="input number"
            placeholder="a place, a person, a street, a part"
            aria-label="find"
            autocomplete="off"
            spellcheck="false"
            :value="typed"
            @change="typed = $event.target.value"
            @keydown.esc="open = false"
          />
          <button type="button" class="button" @click="open = false">Close</button>
        </div>
      </Combobox>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.finder {
  position: fixed;
  inset-inline: 0;
  bottom: 0;
  display: flex;
  flex-direction: column;
  max-height: 80dvh;
  background: var(--paper);
  color: var(--ink);
  border-top: 2px solid var(--ink);
}
.found {
  overflow-y: auto;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 1rem;
  align-items: center;
  min-height: 48px;
  padding-inline: 1.2rem;
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
}
.soft {
  color: var(--slate);
}
.row.is-active {
  background: var(--ink);
  color: var(--on-ink);
}
.row.is-active .soft {
  color: inherit;
}
.line {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.6rem 1.2rem;
  background: var(--sheet);
}
.input {
  flex: 1;
  min-width: 0;
  min-height: 52px;
  padding-inline: 0.6rem;
  border: 2px solid var(--river);
  border-radius: 4px;
  background: var(--paper);
  font-size: 1.3rem;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
    padding-block: 0.35rem;
  }
  .line {
    padding-inline: 0.6rem;
  }
  .input {
    font-size: 1.1rem;
  }
}
</style>
