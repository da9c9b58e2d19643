<script setup lang="ts">
import { format } from 'date-fns'
import type { WholeSheet } from '#core/visit/whole-sheet'

/** What is left once it is handed over: signed, mailed, paid. Each is there when it is wanted, and none is needed. */
const { sheet, hash } = defineProps<{ sheet: WholeSheet; hash: string }>()
const { visit, state, journey } = useVisitContext()
const money = useMoney()
const signing = ref(false)
const mailing = ref(false)
const states = computed(() => (journey.value ?? []).map((each) => each.state))
const signed = computed(() => states.value.some(({ signatures }) => signatures.length > 0))
const byTime = (a: { at: string }, b: { at: string }) => (a.at < b.at ? -1 : 1)
const mails = computed(() =>
  states.value.flatMap(({ mailed }) => mailed.filter(({ paper }) => paper === 'sheet')).toSorted(byTime),
)
const payments = computed(() => states.value.flatMap(({ id, payments: of }) => of.map((each) => ({ ...each, of: id }))))
/** What another machine's visit was paid with is taken back there. */
function drop(of: string, entryId: string): void {
  if (of === state.value.id) visit.append('retracted', {}, entryId)
  else visit.appendTo(of, 'retracted', {}, entryId)
}
</script>

<template>
  <section class="no-print after border-b border-rule px-5 py-3" aria-label="signed, mailed, paid">
    <div>
      <h3>Signature</h3>
      <p v-if="sheet.signature" class="mb-2">
        {{ sheet.signature.by }}, <span class="number">{{ format(new Date(sheet.signature.at), 'HH:mm') }}</span>
      </p>
      <p v-else-if="signed" class="mb-2 text-slate">Signed was an issue before this one.</p>
      <p v-else class="mb-2 text-slate">If it is wished.</p>
      <button type="button" class="button" :disabled="!sheet.isIssued" data-testid="sign" @click="signing = true">
        {{ sheet.signature ? 'Sign anew' : 'Customer signs' }}
      </button>
      <h3 class="mt-4">Mail</h3>
      <p v-for="mail in mails.slice(-2)" :key="mail.mail" class="mb-1" data-testid="mailed">
        {{ mail.to }}, <span class="number">{{ format(new Date(mail.at), 'd MMM HH:mm') }}</span><template
          v-if="mail.issue !== undefined && mail.issue !== sheet.issue"
          >, issue {{ mail.issue }}</template
        >
        <a :href="`/api/mail/${mail.mail}/message.eml`" download class="ml-1 underline">file</a>
      </p>
      <p v-if="mails.length === 0" class="mb-2 text-slate">The sheet, with its PDF.</p>
      <button type="button" class="button" data-testid="mail-sheet" @click="mailing = true">Mail the sheet</button>
    </div>
    <div v-if="sheet.settled">
      <h3>
        {{ sheet.settled.open > 0 ? 'Still to pay' : sheet.settled.open < 0 ? 'Paid too much' : 'Paid' }}
        <span class="number float-right" data-testid="still-open">{{ money(Math.abs(sheet.settled.open)) }}</span>
      </h3>
      <p v-for="each in payments" :key="each.entryId" class="flex items-center gap-2">
        <span class="number">{{ money(each.amount) }}</span> {{ each.on
        }}<template v-if="each.how">, {{ each.how }}</template>
        <button
          type="button"
          class="button button-quiet ml-auto"
          :aria-label="`take back ${money(each.amount)}`"
          @click="drop(each.of, each.entryId)"
        >
          take back
        </button>
      </p>
      <PaymentForm v-if="sheet.settled.open !== 0" :open="sheet.settled.open" />
    </div>
    <SignatureDialog v-if="signing" :hash="hash" :title="sheet.title" @close="signing = false" />
    <MailDialog v-if="mailing" paper="sheet" :hash="hash" @close="mailing = false" />
  </section>
</template>

<style scoped>
.after {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
  gap: 1rem 2rem;
}
h3 {
  margin-bottom: 0.3rem;
  font-size: 1.02rem;
}
</style>
