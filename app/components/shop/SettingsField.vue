<script setup lang="ts">
/** One line of the settings, with what is wrong with it. */
const {
  label,
  example = '',
  problem = '',
  test,
  figure = false,
} = defineProps<{ label: string; example?: string; problem?: string; test: string; figure?: boolean }>()
const text = defineModel<string>({ required: true })
</script>

<template>
  <label
    ><span class="label">{{ label }}</span
    ><input
      v-model="text"
      class="field"
      :class="{ number: figure }"
      :inputmode="figure ? 'decimal' : 'text'"
      :placeholder="example"
      maxlength="200"
      :aria-invalid="problem !== ''"
      :data-testid="`settings-${test}`"
    /><span v-if="problem" class="text-[0.92rem] font-bold text-rust">{{ problem }}</span></label
  >
</template>
