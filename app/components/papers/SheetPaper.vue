<script setup lang="ts">
import { dayWords } from '#core/quantity/day'
import { shortHash } from '#core/visit/issue'
import { priceTitle } from '#core/visit/leaves'
import type { WholeSheet } from '#core/visit/whole-sheet'

/** The owner's page: of several machines each has its part, and what holds of all of them stands under them. */
const { sheet, hash } = defineProps<{ sheet: WholeSheet; hash: string }>()
const isAlone = computed(() => sheet.sheets.length === 1)
</script>

<template>
  <article class="visit-paper" data-testid="sheet">
    <PaperHead :shop="sheet.shop" :to="sheet.customer" :date="dayWords(sheet.date)" />
    <template v-for="part in sheet.sheets" :key="part.visitId">
      <section v-if="!isAlone" class="machine" :aria-label="part.machine.name" data-testid="sheet-part">
        <h2 class="border-b border-ink pb-1 text-[1.1rem]">{{ part.machine.name }}</h2>
        <SheetBody :sheet="part" named />
      </section>
      <SheetBody v-else :sheet="part" />
    </template>
    <div v-if="!isAlone" class="together">
      <section v-if="sheet.cautions.length > 0">
        <h3>To mind</h3>
        <p v-for="text in sheet.cautions" :key="text" class="py-0.5 text-[0.92rem]">{{ text }}</p>
      </section>
      <section v-if="sheet.sum" data-testid="sheet-sum">
        <h3>{{ priceTitle(sheet) }}, all together</h3>
        <SheetAmounts :lines="sheet.sum.rows" :total="sheet.sum.total" sum="All together" :sheet="sheet" />
      </section>
    </div>
    <SignatureDrawn v-if="sheet.signature" :signature="sheet.signature" class="mt-5" />
    <PaperPictures :photos="sheet.photos" class="mt-4" />
    <footer class="mt-5 flex flex-wrap justify-between gap-x-4 border-t border-rule pt-2 text-[0.85rem] text-slate">
      <span data-testid="sheet-issue"
        >{{ sheet.isIssued ? `Sheet, issue ${sheet.issue}` : 'Not handed over yet'
        }}<template v-if="sheet.author">, written by {{ sheet.author }}</template></span
      ><span class="number">journal {{ shortHash(hash) }}</span>
    </footer>
  </article>
</template>

<style scoped>
.machine {
  margin-top: 1.6rem;
}
.together {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  column-gap: 2rem;
  margin-top: 1rem;
  border-top: 2px solid var(--ink);
}
@media (max-width: 700px) {
  .together {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
