<script setup lang="ts">
import { format } from 'date-fns'
import type { TakenFile } from '~/composables/useTakeIn'

/** Files that were taken in, each with the way back. */
const { files, busy } = defineProps<{ files: readonly TakenFile[]; busy: boolean }>()
const emit = defineEmits<{ back: [act: string] }>()
</script>

<template>
  <section v-if="files.length > 0" aria-labelledby="taken-title" data-testid="taken-files">
    <h2 id="taken-title" class="text-[1.1rem]">Taken in before</h2>
    <ul class="mt-1">
      <li
        v-for="each in files"
        :key="each.act"
        class="flex min-h-12 flex-wrap items-center gap-x-4 border-t border-rule py-1"
      >
        <strong class="min-w-0 truncate">{{ each.line }}</strong><span class="text-slate">{{
          format(new Date(each.at), 'd MMM yyyy H:mm')
        }}</span
        ><span class="text-slate">{{
          each.standing === 0 ? 'taken back' : `${counted(each.standing, 'entry', 'entries')}`
        }}</span
        ><button
          v-if="each.standing > 0"
          type="button"
          class="button button-quiet ml-auto"
          :disabled="busy"
          data-testid="take-back"
          @click="emit('back', each.act)"
        >
          Undo
        </button>
      </li>
    </ul>
  </section>
</template>
