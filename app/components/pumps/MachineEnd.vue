<script setup lang="ts">
import { format } from 'date-fns'
import type { EntryBodies } from '#core/visit/entry'
import type { CardView, MachineView } from '~/utils/register-views'

/** The end of a record: the machine is no longer there, or it is another one that is written down already. */
const { view } = defineProps<{ view: CardView }>()
const emit = defineEmits<{ done: [words: string, ids: string[]]; cancel: [] }>()
const register = useRegister()
const how = ref<'retire' | 'same'>('retire')
const form = reactive({ on: format(new Date(), 'yyyy-MM-dd'), why: '' })
const found = ref<EntryBodies['post-mortem']>()
const same = ref<string>('')
const machine = computed(() => view.card.machine)
const lastVisit = computed(() => view.card.visits.findLast(({ handedOver }) => handedOver)?.id)
const trouble = ref('')
const candidates = computed((): MachineView[] => view.others.filter(({ retired }) => !retired))
async function retire(): Promise<void> {
  try {
    const body = { machineId: machine.value.id, on: form.on, why: form.why.trim() }
    const lines = await register.retire(body, found.value, lastVisit.value)
    const retired = lines.filter(({ visitId }) => visitId === null).map(({ id }) => id)
    emit('done', `${machine.value.name} is retired.`, retired)
  } catch {
    trouble.value = 'The server does not answer, and what the bench found belongs to its last visit. Nothing was kept.'
  }
}
async function merge(): Promise<void> {
  const into = candidates.value.find((each) => each.machine.id === same.value)
  if (!into) return
  const lines = await register.merge('machine', machine.value.id, into.machine.id)
  emit(
    'done',
    `${machine.value.name} is now ${into.machine.name}.`,
    lines.map(({ id }) => id),
  )
}
</script>

<template>
  <div class="mt-3 grid gap-3" data-testid="machine-end">
    <div class="flex flex-wrap gap-2">
      <button type="button" class="toggle" :aria-pressed="how === 'retire'" @click="how = 'retire'">
        it is no longer there</button
      ><button
        type="button"
        class="toggle"
        :aria-pressed="how === 'same'"
        :disabled="candidates.length === 0"
        @click="how = 'same'"
      >
        it was written down twice
      </button>
    </div>
    <form v-if="how === 'retire'" class="grid gap-3" @submit.prevent="retire">
      <TextField v-model="form.on" label="Since" type="date" />
      <TextField
        v-model="form.why"
        label="Why"
        placeholder="replaced by a new pump; sold; filled in"
        test="retire-why"
      />
      <details v-if="lastVisit">
        <summary class="min-h-12 py-2 font-bold">What the bench found in it</summary>
        <BenchForm v-model="found" :kind="machine.kind" />
      </details>
      <p v-if="trouble" role="alert" class="text-rust">{{ trouble }}</p>
      <div class="flex flex-wrap gap-2">
        <button type="submit" class="button" data-testid="retire" :disabled="!form.on">Retire it</button
        ><button type="button" class="button button-quiet" @click="emit('cancel')">Leave it</button>
      </div>
    </form>
    <form v-else class="grid gap-3" @submit.prevent="merge">
      <label
        ><span class="label">It is the same machine as</span
        ><select v-model="same" class="field" data-testid="same-as">
          <option value="" disabled>choose</option>
          <option v-for="each in candidates" :key="each.machine.id" :value="each.machine.id">
            {{ each.machine.name }}, {{ counted(each.visits, 'visit') }}
          </option>
        </select></label
      >
      <p v-if="same" class="border-l-4 border-ink pl-3">
        One card, with the visits of both; undo any day. The name and plate that stay are those of the chosen one.
      </p>
      <div class="flex flex-wrap gap-2">
        <button type="submit" class="button" data-testid="merge-machine" :disabled="!same">Make one of the two</button
        ><button type="button" class="button button-quiet" @click="emit('cancel')">Leave it</button>
      </div>
    </form>
  </div>
</template>
