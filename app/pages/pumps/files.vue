<script setup lang="ts">
/** Customers and machines in and out as open files, and visit files in: looked at first, with a way back. */
const take = useTakeIn()
const { file, answer, problem, busy, earlier } = take
const dropped = useDroppedFile()
const visitFile = shallowRef<File>()
const written = ref('')

async function choose(chosen: File): Promise<void> {
  written.value = ''
  visitFile.value = isVisitFile(chosen) ? chosen : undefined
  if (visitFile.value) take.drop()
  else await take.choose(chosen)
}
function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  input.value = ''
  if (chosen) void choose(chosen)
}
async function write(): Promise<void> {
  const name = file.value?.name
  const done = await take.write()
  if (done) written.value = `${name}: ${counted(done.counts.new + done.counts.fills, 'line')} taken in`
}
watch(
  dropped,
  (chosen) => {
    if (!chosen) return
    dropped.value = undefined
    void choose(chosen)
  },
  { immediate: true },
)
onMounted(take.loadEarlier)
useHead({ title: 'In and out · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="In and out" />
    <main class="files">
      <div class="grid min-w-0 content-start gap-5">
        <TakeInLamp
          v-if="file && answer"
          :name="file.name"
          :answer="answer"
          :busy="busy"
          @write="write"
          @drop="take.drop"
        />
        <section v-else>
          <h2 class="text-[1.25rem]">Take a file in</h2>
          <p class="mt-1 mb-3 max-w-xl">
            A table of customers and machines (CSV, with a head line), cards of an address book (vCard), or a visit file
            from another device. It is looked at first; nothing is written before you say so. A file can be dropped on
            any page.
          </p>
          <label class="button button-lit"
            >Choose a file<input
              type="file"
              accept=".csv,.tsv,.txt,.vcf,.json,text/csv,text/vcard,application/json"
              class="sr-only"
              data-testid="register-file"
              @change="picked"
          /></label>
        </section>
        <p v-if="busy && !answer" class="text-slate">Reading {{ file?.name }}</p>
        <p v-if="problem" role="alert" class="font-bold text-rust" data-testid="file-problem">{{ problem }}</p>
        <p v-if="written" role="status" data-testid="taken-in">{{ written }}. It can be taken back below.</p>
        <ImportVisit v-if="visitFile" :key="visitFile.name + visitFile.lastModified" :file="visitFile" />
        <template v-if="answer">
          <ColumnMapping
            v-if="answer.format === 'csv'"
            :mapping="answer.mapping"
            :heads="answer.heads"
            :samples="answer.samples"
            @change="take.look"
          />
          <section aria-labelledby="lines-title">
            <h2 id="lines-title" class="text-[1.1rem]">What becomes of its lines</h2>
            <ImportLines class="mt-1" :lines="answer.lines" />
          </section>
        </template>
      </div>
      <div class="grid min-w-0 content-start gap-5">
        <section>
          <h2 class="text-[1.1rem]">Give the register out</h2>
          <p class="mt-1 mb-2">Everything that is there: a line for each machine, or a card for each customer.</p>
          <div class="flex flex-wrap gap-3">
            <a class="button" href="/api/register.csv" download data-testid="out-csv">As a table (CSV)</a>
            <a class="button" href="/api/register.vcf" download data-testid="out-vcf">As cards (vCard)</a>
          </div>
        </section>
        <TakenFiles :files="earlier" :busy="busy" @back="take.takeBack" />
      </div>
    </main>
  </div>
</template>

<style scoped>
.files {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.6rem;
  padding: 1.2rem;
}
@media (min-width: 1000px) {
  .files {
    grid-template-columns: minmax(0, 1fr) 380px;
  }
}
</style>
