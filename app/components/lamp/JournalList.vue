<script setup lang="ts">
import { format } from 'date-fns'
import { Camera, Undo2 } from '@lucide/vue'
import { isHeard, journalLines, saidAgain } from '#core/visit/describe'

const emit = defineEmits<{ correct: [entryId: string, line: string]; photo: [entryId: string] }>()
const { visit, state } = useVisitContext()
const { reader } = useUnits()
const lines = computed(() =>
  journalLines(state.value, reader.value).filter(
    ({ entry }) => entry.kind !== 'joint-done' && !(entry.kind === 'photo' && entry.body.of),
  ),
)
const inConflict = computed(
  () => new Set(state.value.conflicts.flatMap(({ claims }) => claims.map(({ entry }) => entry.id))),
)
const photosOf = computed(() => {
  const groups = new Map<string, typeof state.value.photos>()
  for (const photo of state.value.photos) if (photo.of) groups.set(photo.of, [...(groups.get(photo.of) ?? []), photo])
  return groups
})
const time = (at: string) => format(new Date(at), 'HH:mm')
/** The line as it was typed, once for all that it said: at the newest of them. */
const typedAt = computed(() => {
  const seen = new Set<string>()
  const typed = new Map<string, string>()
  for (const { id, entry } of lines.value) {
    if (!entry.said || isRecorded(entry) || seen.has(entry.said.act)) continue
    seen.add(entry.said.act)
    typed.set(id, entry.said.line)
  }
  return typed
})
/** What was said can be changed or taken back one by one. */
const changeable = (entry: (typeof lines.value)[number]['entry']) =>
  !isRecorded(entry) && (entry.kind === 'finding' || entry.kind === 'note' || entry.said !== undefined)
/** A recording, and what came out of it, are taken back together. */
const isRecorded = (entry: (typeof lines.value)[number]['entry']) => entry.kind === 'recording' || isHeard(entry)
</script>

<template>
  <section aria-label="journal" data-testid="journal">
    <header class="flex items-center justify-between border-b border-rule">
      <h2 class="text-base">Written so far</h2>
      <button
        v-if="visit.undoable"
        type="button"
        class="button button-quiet text-[0.95rem]"
        data-testid="undo"
        @click="visit.undo()"
      >
        <Undo2 :size="18" aria-hidden="true" />Undo
      </button>
    </header>
    <p v-if="lines.length === 0" class="py-3 text-slate">Nothing yet. Type a reading below, or tap a part.</p>
    <ol class="ruled">
      <li
        v-for="line in lines"
        :key="line.id"
        class="grid grid-cols-[3.4rem_1.6rem_minmax(0,1fr)_auto] items-center gap-x-2 py-1"
        data-testid="journal-line"
      >
        <time class="number text-[0.9rem] text-slate" :datetime="line.at">{{ time(line.at) }}</time>
        <StateMark v-if="inConflict.has(line.id)" verdict="unclear" :size="20" /><StateMark
          v-else-if="line.verdict"
          :verdict="line.verdict"
          :size="20"
        /><span v-else />
        <span class="min-w-0">
          {{ line.text
          }}<span v-if="inConflict.has(line.id)" class="block text-[0.88rem] text-slate"
            >said in two ways, not settled</span
          ><span v-else-if="line.detail" class="block truncate text-[0.88rem] text-slate" :title="line.detail">{{
            line.detail
          }}</span>
          <q v-if="typedAt.get(line.id)" class="number block text-[0.82rem] text-slate" data-testid="typed">{{
            typedAt.get(line.id)
          }}</q>
          <span v-if="photosOf.get(line.id)" class="mt-1 flex gap-2"
            ><PhotoThumb v-for="photo in photosOf.get(line.id)" :key="photo.entryId" :photo="photo"
          /></span>
          <PhotoThumb
            v-if="line.entry.kind === 'photo'"
            :photo="{ ...line.entry.body, entryId: line.id, at: line.at }"
          />
        </span>
        <span class="flex items-center">
          <button
            v-if="changeable(line.entry)"
            type="button"
            class="number min-h-12 px-2 text-right font-bold underline-offset-4 hover:underline"
            :aria-label="`correct: ${line.text} ${line.value ?? ''}`"
            @click="emit('correct', line.id, saidAgain(line))"
          >
            {{ line.value ?? 'correct' }}
          </button>
          <button
            v-else-if="line.entry.kind === 'recording'"
            type="button"
            class="number min-h-12 px-2 text-right font-bold underline-offset-4 hover:underline"
            :aria-label="`take back: ${line.text}`"
            @click="visit.takeBack(line.entry)"
          >
            take back
          </button>
          <span v-else class="number px-2 font-bold">{{ line.value }}</span>
          <button
            v-if="!visit.isPractice && line.entry.kind !== 'photo' && line.entry.kind !== 'recording'"
            type="button"
            class="inline-flex min-h-12 min-w-12 items-center justify-center text-slate"
            :aria-label="`photo for ${line.text}`"
            @click="emit('photo', line.id)"
          >
            <Camera :size="18" aria-hidden="true" />
          </button>
        </span>
      </li>
    </ol>
  </section>
</template>
