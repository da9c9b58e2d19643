<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { entryWords } from '#core/visit/describe'
import type { Entry } from '#core/visit/entry'
import type { Refusal, WaitingLine } from '~/utils/waiting-lines'

/** A refused line, its wrong fields open to be put right. */
const { line } = defineProps<{ line: WaitingLine & { refusal: Refusal } }>()
const { reader } = useUnits()
const emit = defineEmits<{ close: []; change: [entry: Entry] }>()

const fields = mendableFields(line.entry, line.refusal.problems)
const texts = reactive<Record<string, string>>(Object.fromEntries(fields.map(({ path, text }) => [path, text])))
/** Another line has its id already: it goes as a line of its own. */
const idTaken = line.refusal.problems.some(({ field }) => /(^|\.)id$/.test(field) && !field.includes('body'))

function send(): void {
  const mended = fields.reduce((entry, field) => withField(entry, field, texts[field.path] ?? ''), line.entry)
  emit('change', idTaken ? { ...mended, id: uuidv7() } : mended)
}
</script>

<template>
  <SmallDialog title="Put the line right" test="refused-dialog" @close="emit('close')">
    <p class="mt-1">{{ entryWords(line.entry, reader) }}</p>
    <form class="mt-4 grid gap-4" @submit.prevent="send">
      <label v-for="field in fields" :key="field.path"
        ><span class="label">{{ field.label }}</span
        ><input
          v-model="texts[field.path]"
          class="field"
          :inputmode="field.wasNumber ? 'decimal' : undefined"
          autocomplete="off"
        /><span class="mt-1 block text-[0.92rem] text-slate">{{ field.expected }}</span></label
      >
      <p v-if="fields.length === 0">
        {{
          idTaken
            ? 'Another line came before under the same number. Sent again, this one gets a number of its own.'
            : refusalWords(line.refusal.title, line.refusal.problems)
        }}
      </p>
      <p v-if="fields.length === 0 && !idTaken" class="text-slate">
        Nothing in it can be put right here. It can be sent again as it is, once what it hangs on is at the shop, or
        dropped and written anew.
      </p>
      <div class="flex flex-wrap gap-3">
        <button type="submit" class="button" data-testid="send-again">Send it again</button
        ><button type="button" class="button button-quiet" @click="emit('close')">Leave it</button>
      </div>
    </form>
  </SmallDialog>
</template>
