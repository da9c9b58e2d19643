<script setup lang="ts">
import type { MailedPaper } from '#core/visit/entry'

/** A paper leaves by mail: to whom, and with which words before it. */
const { paper, hash = undefined } = defineProps<{
  paper: MailedPaper
  /** Of the sheet: the fingerprint of what is on the screen, of all machines of the visit. */
  hash?: string
}>()
const emit = defineEmits<{ close: [] }>()
const { to, note, problem, sending, sent, send } = useMail(paper, () => hash)
const TITLES: Readonly<Record<MailedPaper, string>> = {
  sheet: 'Mail the sheet',
  offer: 'Mail the offer',
  claim: 'Mail the claim',
}
</script>

<template>
  <SmallDialog :title="TITLES[paper]" test="mail-dialog" above @close="emit('close')">
    <template v-if="sent">
      <p class="mt-3" role="status" data-testid="mail-sent">
        {{ sent.by === 'smtp' ? `Sent to ${sent.to}.` : `Written for ${sent.to}: it lies in the outlet.` }}
      </p>
      <div class="mt-4 flex flex-wrap gap-3">
        <button type="button" class="button button-lit" @click="emit('close')">Done</button>
        <a class="button" :href="`/api/mail/${sent.mail}/message.eml`" download>Mail file</a>
      </div>
    </template>
    <form v-else class="mt-4 grid gap-4" novalidate @submit.prevent="send">
      <label
        ><span class="label">To</span
        ><input
          v-model="to"
          class="field"
          type="email"
          inputmode="email"
          maxlength="200"
          placeholder="name@example.org"
          autocomplete="off"
          data-testid="mail-to"
      /></label>
      <label
        ><span class="label">Words before it</span
        ><textarea v-model="note" class="field" rows="3" maxlength="2000" data-testid="mail-note" />
      </label>
      <p class="text-slate">The paper itself hangs on it as a PDF.</p>
      <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
      <div class="flex flex-wrap gap-3">
        <button type="submit" class="button button-lit" :disabled="sending" data-testid="mail-send">
          {{ sending ? 'Sending' : 'Send' }}
        </button>
        <button type="button" class="button button-quiet" @click="emit('close')">Not now</button>
      </div>
    </form>
  </SmallDialog>
</template>
