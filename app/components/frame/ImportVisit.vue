<script setup lang="ts">
import type { Difference } from '#core/visit/differences'
import type { Customer } from '#core/visit/entry'

/**
 * Takes in a visit file. Where it knows the customer otherwise than the shop, the shop's word stands unless the file's
 * is asked for.
 */
interface Taken {
  visitId: string
  customer: Customer
  differs: Difference[]
}
/** A file that was chosen already; without one it is asked for. */
const { file = undefined } = defineProps<{ file?: File }>()
const WORDS: Record<Difference['field'], string> = { name: 'name', place: 'place', phone: 'telephone', mail: 'mail' }
const journal = useShopJournal()
const problem = ref('')
const taken = ref<Taken>()

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  input.value = ''
  if (chosen) void take(chosen)
}
async function take(chosen: File): Promise<void> {
  problem.value = ''
  try {
    const response = await fetch('/api/visits/import', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: await chosen.text(),
    })
    const answer = (await response.json()) as Partial<Taken> & { title?: string }
    if (!response.ok || !answer.visitId) throw new Error(answer.title ?? response.statusText)
    taken.value = answer as Taken
    if (taken.value.differs.length === 0) await open()
  } catch (error) {
    problem.value = error instanceof TypeError ? 'The server does not answer.' : (error as Error).message
  }
}
async function takeTheirs({ customer }: Taken): Promise<void> {
  await journal.append('customer-set', { customer })
  await open()
}
onMounted(() => {
  if (file) void take(file)
})
const open = () => navigateTo(`/visits/${taken.value?.visitId}`)
</script>

<template>
  <div>
    <label v-if="!file" class="button"
      >Take in a visit file<input
        type="file"
        accept=".json,application/json"
        class="sr-only"
        data-testid="import-file"
        @change="picked"
    /></label>
    <p v-if="problem" role="alert" class="mt-2 max-w-xl text-rust">{{ problem }}</p>
    <section
      v-if="taken && taken.differs.length > 0"
      role="alert"
      class="mt-3 max-w-xl border-l-4 border-rule pl-3"
      data-testid="import-differs"
    >
      <p class="font-bold">Taken in. The file knows {{ taken.customer.name }} otherwise than this shop.</p>
      <dl class="ruled my-2">
        <div
          v-for="{ field, here, there } in taken.differs"
          :key="field"
          class="grid grid-cols-[6rem_minmax(0,1fr)] gap-x-3 py-1"
        >
          <dt>{{ WORDS[field] }}</dt>
          <dd>here {{ here || 'nothing' }}, in the file {{ there || 'nothing' }}</dd>
        </div>
      </dl>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="button" data-testid="keep-ours" @click="open">Keep ours</button
        ><button type="button" class="button" @click="takeTheirs(taken)">Take the file’s</button>
      </div>
    </section>
  </div>
</template>
