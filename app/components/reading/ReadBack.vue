<script setup lang="ts">
import { VERDICT_WORDS } from '#core/judgement/judgement'
import { render } from '#core/quantity/sentence'
import { valueText } from '#core/visit/describe'
import type { HeardPiece } from '~/composables/useSpokenLine'

/** What was understood, each under the words it came from, with its judgement; and what was not. */
const { pieces, left } = defineProps<{ pieces: readonly HeardPiece[]; left: readonly string[] }>()
const { reader } = useUnits()
</script>

<template>
  <ul class="pieces">
    <li v-if="left.length > 0" class="py-0.5 pl-7 text-[0.88rem] text-slate" data-testid="left-over">
      left over, kept with the line only: <q v-for="words in left" :key="words" class="number mr-1">{{ words }}</q>
    </li>
    <li v-for="piece in pieces" :key="piece.key" class="flex items-start gap-x-2 py-0.5" data-testid="heard">
      <StateMark v-if="piece.judgement" :verdict="piece.judgement.verdict" :size="20" class="mt-1 shrink-0" />
      <span v-else class="w-5 shrink-0" />
      <span class="min-w-0">
        <q class="number block text-[0.82rem] text-slate">{{ piece.words }}</q>
        <template v-if="piece.judgement">
          <strong>{{ piece.judgement.subject }} {{ valueText({ judgement: piece.judgement }, reader) }}</strong
          >: {{ render(piece.judgement.because, reader) }}.
          <strong :class="`verdict-${piece.judgement.verdict}`">{{
            VERDICT_WORDS[piece.judgement.verdict]
          }}</strong><BasisLine
            v-if="pieces.length === 1"
            :basis="piece.judgement.basis"
            :check="piece.judgement.check"
            class="block text-[0.82rem] text-slate"
          />
        </template>
        <template v-else-if="piece.other"
          >{{ piece.other.what }}: <strong>{{ piece.other.text }}</strong></template
        >
      </span>
    </li>
  </ul>
</template>

<style scoped>
.verdict-sound {
  color: var(--moss);
}
.verdict-tired {
  color: var(--ochre);
}
.verdict-failed {
  color: var(--rust);
}
.verdict-unclear {
  color: var(--slate);
}
</style>
