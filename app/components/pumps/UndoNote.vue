<script setup lang="ts">
/** What was just done to the register, and the way back. */
const { words, ids } = defineProps<{ words: string; ids: readonly string[] }>()
const emit = defineEmits<{ undone: [] }>()
const register = useRegister()
async function undo(): Promise<void> {
  await register.takeBack(ids)
  emit('undone')
}
</script>

<template>
  <p role="status" class="flex flex-wrap items-center gap-x-4 border-y border-rule px-5 py-1" data-testid="undo-note">
    <span>{{ words }}</span><button type="button" class="button button-quiet" @click="undo">Undo</button>
  </p>
</template>
