<script setup lang="ts">
import { HARDNESS, readCode } from '#core/knowledge/practice/case-code'
import { KINDS } from '#core/knowledge/vocabulary'
import type { LampHelp } from '#core/knowledge/practice/lamp-help'

/** A case that somebody set: the same pump with the same fault for whoever opens the link. */
const code = computed(() => String(useRoute().params.code))
const read = computed(() => readCode(code.value))
const lamp = ref<LampHelp>('off')
const begin = oneAtATime(() => comeToPump(code.value, lamp.value))
useHead({ title: 'A case · Pike Lamp' })
</script>

<template>
  <div>
    <PlaceHeader title="Practice" />
    <main class="mx-auto max-w-2xl p-5">
      <template v-if="read">
        <h1 class="mb-1 text-2xl">A case was set for you</h1>
        <p class="mb-4">
          {{ KINDS[read.kind].charAt(0).toUpperCase() + KINDS[read.kind].slice(1) }}, {{ HARDNESS[read.hardness] }}. It
          is the same pump for everybody who opens this link.
        </p>
        <LampChoice v-model="lamp" />
        <button type="button" class="button mt-4" data-testid="begin-case" @click="begin">Come to the pump</button>
      </template>
      <template v-else>
        <h1 class="mb-1 text-2xl">This is no case</h1>
        <p class="my-3">
          “{{ code }}” names no kind of pump with a number behind it, such as jet.two.1k9f. Ask for the link again.
        </p>
        <NuxtLink class="button" to="/practice">To practice</NuxtLink>
      </template>
    </main>
  </div>
</template>
