<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { WARRANTED } from '#core/knowledge/constructions/part-groups'
import { CLAIM_MOVES, type ClaimMove } from '#core/knowledge/repairs/returns'
import { PARTS, type Part } from '#core/knowledge/vocabulary'

/** What goes back under its warranty: said once, packed from a list, followed until it is back. */
const { date } = defineProps<{ date: string }>()
const { state } = useVisitContext()
const money = useMoney()
const { account } = useVisitContext()
const { form, problem, leaf, isOut, note, write, move } = useClaim(() => date)
const mailing = ref(false)
const parts: readonly Part[] = [...WARRANTED, 'drive-electronics', 'control-box', 'tank', 'battery', 'pressure-switch']
const moves = Object.entries(CLAIM_MOVES) as [ClaimMove, string][]
const second = computed(() => account.value.lines.filter(({ kind }) => kind === 'journey')[1])
const photos = computed(() =>
  state.value.photos.map(({ hash, caption, name, at }) => ({ hash, at, caption: caption ?? name })),
)
</script>

<template>
  <section class="no-print px-5 py-3" aria-label="the claim" data-testid="claim">
    <Disclosure v-slot="{ open }" :default-open="!state.claim">
      <DisclosureButton v-if="state.claim" class="button button-quiet">{{
        open ? 'less' : 'Change what it says'
      }}</DisclosureButton>
      <DisclosurePanel>
        <form class="grid gap-3 sm:grid-cols-2" novalidate @submit.prevent="write">
          <label
            ><span class="label">What goes back</span
            ><select v-model="form.part" class="field" data-testid="claim-part">
              <option v-for="part in parts" :key="part" :value="part">{{ PARTS[part] }}</option>
            </select></label
          >
          <label
            ><span class="label">Serial or number on it</span
            ><input v-model="form.identity" class="field" maxlength="200" data-testid="claim-identity"
          /></label>
          <label class="sm:col-span-2"
            ><span class="label">What is wrong, in words</span
            ><textarea v-model="form.complaint" class="field" rows="2" maxlength="1000" data-testid="claim-complaint" />
          </label>
          <label><span class="label">Bought</span><input v-model="form.boughtOn" type="date" class="field" /></label>
          <label><span class="label">Fitted</span><input v-model="form.installedOn" type="date" class="field" /></label>
          <label
            ><span class="label">Under warranty to</span
            ><input v-model="form.warrantyUntil" type="date" class="field" data-testid="claim-until"
          /></label>
          <label
            ><span class="label">To whom</span
            ><input v-model="form.to" class="field" maxlength="200" data-testid="claim-to"
          /></label>
          <label
            ><span class="label">Their number for it</span
            ><input v-model="form.reference" class="field" maxlength="80" data-testid="claim-reference"
          /></label>
          <label class="flex min-h-12 items-center gap-3 self-end"
            ><input v-model="form.opened" type="checkbox" class="size-6 accent-river" data-testid="claim-opened" />It
            was opened</label
          >
          <label v-if="form.opened" class="sm:col-span-2"
            ><span class="label">Why it was opened</span
            ><input v-model="form.openedWhy" class="field" maxlength="300" data-testid="claim-opened-why"
          /></label>
          <p v-if="problem" role="alert" class="font-bold sm:col-span-2">{{ problem }}</p>
          <p v-if="second" class="text-slate sm:col-span-2">
            In the sum: a second journey to fit it again, {{ money(second.amount) }}.
          </p>
          <button type="submit" class="button justify-self-start" data-testid="claim-write">
            {{ state.claim ? 'Write it anew' : 'Write the claim' }}
          </button>
        </form>
      </DisclosurePanel>
    </Disclosure>
    <div v-if="state.claim" class="mt-3 border-t border-rule pt-3">
      <p class="font-bold" data-testid="claim-stands">
        {{ isOut ? 'Out: it stands under the Day until it is back.' : 'Closed.' }}
        <template v-if="state.claim.moves.length > 0">
          {{ CLAIM_MOVES[state.claim.moves.at(-1)!.to] }} on {{ state.claim.moves.at(-1)!.on }}.</template
        >
      </p>
      <div class="mt-2 flex flex-wrap items-end gap-2">
        <label class="min-w-56 grow"
          ><span class="label">a word with it</span
          ><input v-model="note" class="field" maxlength="300" placeholder="parcel number, what they said"
        /></label>
        <button
          v-for="[id, words] in moves"
          :key="id"
          type="button"
          class="button"
          :data-testid="`claim-${id}`"
          @click="move(id)"
        >
          {{ words }}
        </button>
      </div>
      <div class="mt-3 flex flex-wrap gap-2">
        <PaperLink name="claim" data-testid="claim-pdf">Claim, PDF</PaperLink>
        <button type="button" class="button" data-testid="claim-mail" @click="mailing = true">Mail it</button>
      </div>
    </div>
    <MailDialog v-if="mailing" paper="claim" @close="mailing = false" />
  </section>
  <LeafPaper v-if="leaf" :leaf="leaf" data-testid="claim-paper"><PaperPictures :photos="photos" small /></LeafPaper>
</template>
