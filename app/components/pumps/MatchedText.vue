<script setup lang="ts">
import { matchedIn } from '#core/pumps/words'

/** A text with what was asked for underlined. */
const { text, words } = defineProps<{ text: string; words: readonly string[] }>()
const pieces = computed(() => {
  const out: { text: string; matched: boolean }[] = []
  let at = 0
  for (const [from, to] of matchedIn(text, words)) {
    if (from > at) out.push({ text: text.slice(at, from), matched: false })
    out.push({ text: text.slice(from, to), matched: true })
    at = to
  }
  if (at < text.length) out.push({ text: text.slice(at), matched: false })
  return out
})
</script>

<template>
  <span
    ><span v-for="(piece, index) in pieces" :key="index" :class="{ matched: piece.matched }">{{
      piece.text
    }}</span></span
  >
</template>

<style scoped>
.matched {
  text-decoration: underline 3px var(--river);
  text-underline-offset: 4px;
}
</style>
