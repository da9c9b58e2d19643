<script setup lang="ts">
/** A labelled line of text with what would be right beneath it. */
const {
  label,
  problem = '',
  type = 'text',
  rows = 0,
  placeholder = '',
  test = '',
} = defineProps<{
  label: string
  problem?: string
  type?: string
  /** A field of several lines. */
  rows?: number
  placeholder?: string
  test?: string
}>()
const text = defineModel<string>({ required: true })
</script>

<template>
  <label
    ><span class="label">{{ label }}</span
    ><textarea
      v-if="rows > 0"
      v-model="text"
      class="field"
      :rows="rows"
      :placeholder="placeholder"
      :data-testid="test || undefined"
    /><input
      v-else
      v-model="text"
      class="field"
      autocomplete="off"
      :type="type"
      :placeholder="placeholder"
      :aria-invalid="problem ? true : undefined"
      :data-testid="test || undefined"
    /><span v-if="problem" role="alert" class="text-[0.9rem] text-rust">{{ problem }}</span></label
  >
</template>
