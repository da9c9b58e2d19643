<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { sceneOf } from '#core/visit/line-scene'
import { SAID_BESIDES, sayableHere } from '#core/visit/sayable'

/** What can be said now, by part, for this machine: a tap begins the line. */
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ begin: [line: string] }>()
const { state } = useVisitContext()
const { possible: hasVoice, on: aloud } = useReadAloud()
const groups = computed(() => (open.value ? sayableHere(sceneOf(state.value)) : []))
function begin(line: string): void {
  open.value = false
  emit('begin', line)
}
</script>

<template>
  <Dialog :open="open" class="relative z-30" @close="open = false">
    <div class="fixed inset-0 bg-[#14242b66]" aria-hidden="true" />
    <div class="fixed inset-0 flex items-end justify-center sm:items-center">
      <DialogPanel
        class="max-h-[88dvh] w-full max-w-3xl overflow-y-auto border-t-[1.5px] border-ink bg-sheet px-5 py-4 sm:border-[1.5px]"
        data-testid="say-help"
      >
        <header class="flex items-center justify-between gap-4">
          <DialogTitle class="text-lg">What can be said here</DialogTitle>
          <button type="button" class="button" aria-label="close" @click="open = false">
            <X :size="20" aria-hidden="true" />
          </button>
        </header>
        <p class="mt-1">
          Several readings in one line are several findings. Say “not” and it turns round, or is asked. A figure goes to
          the nearest thing that it fits. Nothing is kept before Enter.
        </p>
        <label v-if="hasVoice" class="mt-2 flex min-h-12 items-center gap-3">
          <input v-model="aloud" type="checkbox" class="size-5" />Read back aloud what was dictated
        </label>
        <h3 class="mt-3 text-base">Besides readings</h3>
        <ul class="ruled">
          <li v-for="{ what, line } in SAID_BESIDES" :key="line">
            <button type="button" class="flex min-h-12 w-full items-center gap-3 text-left" @click="begin(line)">
              <span class="w-40 shrink-0 text-slate">{{ what }}</span><span class="number">{{ line }}</span>
            </button>
          </li>
        </ul>
        <section v-for="group in groups" :key="group.part" class="mt-3" :aria-label="group.label">
          <h3 class="text-base">{{ group.label }}</h3>
          <ul class="ruled">
            <li v-for="sayable in group.sayables" :key="sayable.begins" class="flex flex-wrap items-center gap-x-2">
              <button
                type="button"
                class="number min-h-12 py-1 text-left"
                :title="sayable.label"
                @click="begin(`${sayable.begins} `)"
              >
                {{ sayable.begins }}<template v-if="sayable.unit"> … {{ sayable.unit }}</template>
              </button>
              <button
                v-for="answer in sayable.answers"
                :key="answer"
                type="button"
                class="toggle my-1"
                @click="begin(`${sayable.begins} ${answer}`)"
              >
                {{ answer }}
              </button>
            </li>
          </ul>
        </section>
      </DialogPanel>
    </div>
  </Dialog>
</template>
