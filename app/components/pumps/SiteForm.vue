<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import type { Site } from '#core/visit/entry'

/** What whoever goes there must know of a place. */
const { site = undefined, customerId } = defineProps<{ site?: Site; customerId: string }>()
const emit = defineEmits<{ saved: []; cancel: [] }>()
const register = useRegister()
const FIELDS = [
  { key: 'gate', label: 'Gate, way in', placeholder: 'code 44, second drive' },
  { key: 'key', label: 'Key', placeholder: 'at the mill door' },
  { key: 'dog', label: 'Dog', placeholder: 'friendly; shut the gate' },
  { key: 'breaker', label: 'Breaker', placeholder: '6, in the barn' },
  { key: 'shutOff', label: 'Shut-off', placeholder: 'behind the tank, quarter turn' },
  { key: 'pit', label: 'Pit', placeholder: 'under the hatch, 18 in across' },
] as const
const form = reactive<Record<string, string>>({
  address: site?.address ?? '',
  ...Object.fromEntries(FIELDS.map(({ key }) => [key, site?.[key] ?? ''])),
  wellLog: site?.wellLog ?? '',
  note: site?.note ?? '',
})
const isOwn = computed(() => site?.id === customerId)
const problems = ref<Record<string, string>>({})
async function save(): Promise<void> {
  const trimmed = Object.fromEntries(Object.entries(form).map(([key, value]) => [key, value.trim()]))
  const next = emptyToUndefined({ ...trimmed, id: site?.id ?? uuidv7(), customerId }) as unknown as Site
  problems.value = Object.fromEntries(
    Object.entries(await register.checked('site-set', { site: next })).map(([path, expected]) => [
      path.replace('site.', ''),
      expected,
    ]),
  )
  if (Object.keys(problems.value).length > 0) return
  await register.setSite(next)
  emit('saved')
}
</script>

<template>
  <form class="mt-3 grid gap-3 sm:grid-cols-2" novalidate data-testid="site-form" @submit.prevent="save">
    <TextField
      v-if="!isOwn"
      v-model="form.address as string"
      class="sm:col-span-2"
      label="Address"
      :problem="problems.address"
    />
    <TextField
      v-for="field in FIELDS"
      :key="field.key"
      v-model="form[field.key] as string"
      :label="field.label"
      :placeholder="field.placeholder"
      :problem="problems[field.key]"
      :test="`site-${field.key}`"
    />
    <TextField
      v-model="form.wellLog as string"
      class="sm:col-span-2"
      label="Well log"
      :rows="2"
      placeholder="drilled 1988, 240 ft, water at 60 ft, 6 in casing"
      :problem="problems.wellLog"
    />
    <TextField v-model="form.note as string" class="sm:col-span-2" label="Besides" :rows="2" :problem="problems.note" />
    <div class="flex flex-wrap gap-2 sm:col-span-2">
      <button type="submit" class="button" data-testid="save-site">Write it down</button
      ><button type="button" class="button button-quiet" @click="emit('cancel')">Leave it</button>
    </div>
  </form>
</template>
