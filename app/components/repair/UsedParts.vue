<script setup lang="ts">
import { PARTS } from '#core/knowledge/vocabulary'
import { countWords } from '#core/shelf/listing'
import { useShelf } from '~/stores/shelf'
import type { PartUse } from '~/composables/useShelfUse'

/** What comes out of the van: each part of the plan by the article that is taken for it. */
const shelf = useShelf()
const { isOn, uses, van, vans, take, putBack, hereFor, open } = useShelfUse()
onMounted(shelf.ensure)
const isOpen = ref(false)
const summary = computed(() => {
  const used = uses.value.filter(({ used: lines }) => lines.length > 0).length
  const short = uses.value.filter((each) => each.used.length === 0 && hereFor(each).length === 0).length
  return [
    `${used} of ${uses.value.length} taken`,
    ...(short > 0 ? [`${short} not in the van`] : []),
    ...(open.value.length > 0 ? [`${open.value.length} in, not taken off`] : []),
  ].join(', ')
})
const others = ({ lying }: PartUse) =>
  lying.flatMap(({ article, places }) =>
    places.filter(({ place }) => place !== van.value).map(({ place, count }) => ({ article, place, count })),
  )
const needs = ({ want }: PartUse) => (want.needed === 1 ? '' : `${countWords(want.needed)} × `)
</script>

<template>
  <section
    v-if="isOn && uses.length > 0"
    class="border-b border-rule"
    aria-label="from the van"
    data-testid="used-parts"
  >
    <button
      type="button"
      class="flex min-h-12 w-full items-center justify-between gap-3 text-left"
      :aria-expanded="isOpen"
      data-testid="used-parts-open"
      @click="isOpen = !isOpen"
    >
      <span class="font-bold">From the van</span
      ><span :class="open.length > 0 ? 'font-bold' : 'text-slate'" data-testid="used-summary">{{
        isOpen ? 'less' : summary
      }}</span>
    </button>
    <template v-if="isOpen">
      <VanChoice v-if="vans.length > 1" v-model="van" :vans="vans" class="pb-2" />
      <ul class="ruled pb-3">
        <li v-for="each in uses" :key="each.use" class="py-2" :data-testid="`use-${each.use}`">
          <p class="flex flex-wrap items-center gap-x-4 gap-y-1">
            <strong>{{ PARTS[each.part] }}</strong><template v-if="each.used.length > 0"
              ><span v-for="{ id, body } in each.used" :key="id" class="number"
                >{{ countWords(body.count) }} × {{ shelf.articleName(body.article) }}</span
              ><span class="text-slate">taken off</span
              ><button
                type="button"
                class="button button-quiet ml-auto"
                :aria-label="`take back: ${PARTS[each.part]}`"
                @click="putBack(each)"
              >
                take back
              </button></template
            ><template v-else
              ><span v-if="each.want.identity" class="number text-slate">{{ each.want.identity }}</span
              ><span v-if="hereFor(each).length === 0" class="font-bold">nothing in the van</span></template
            >
          </p>
          <template v-if="each.used.length === 0">
            <div v-if="hereFor(each).length > 0" class="flex flex-wrap gap-2 py-1">
              <button
                v-for="lying in hereFor(each)"
                :key="lying.article.id"
                type="button"
                class="button"
                :data-testid="`take-${each.use}`"
                @click="take(each, lying)"
              >
                {{ needs(each) }}{{ lying.article.name
                }}<template v-if="lying.verdict === 'not-read'">, not held against it</template>
              </button>
            </div>
            <p v-if="hereFor(each).some(({ needs: what }) => what.length > 0)" class="text-[0.92rem]">
              {{ hereFor(each)[0]?.needs.join('; ') }}
            </p>
            <ul v-if="hereFor(each).length === 0 && others(each).length > 0" class="text-[0.92rem]">
              <li v-for="other in others(each)" :key="`${other.article.id} ${other.place}`">
                {{ other.article.name }}: {{ countWords(other.count) }} in {{ shelf.shortName(other.place) }}
              </li>
            </ul>
          </template>
        </li>
      </ul>
      <p class="pb-3 text-[0.92rem] text-slate">
        What fits and lies in the van is taken off when its part is in and the way back has begun; what is not sure
        waits for a tap.
      </p>
    </template>
  </section>
</template>
