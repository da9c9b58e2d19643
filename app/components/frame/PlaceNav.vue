<script setup lang="ts">
import { useSelf } from '~/stores/self'

/** The places within one tap: a row in the head, and on a phone the pipe at the foot. The open visit stands last. */
const route = useRoute()
const self = useSelf()
const places = computed(() => PLACES.filter(({ asks }) => self.may(asks)))
const { visit } = useOpenVisit()
const current = computed(() => placeOf(route.path))
const inVisit = computed(() =>
  typeof route.params.id === 'string' && route.path.startsWith('/visits/') ? route.params.id : '',
)
/** The workings of a machine are asked at it. */
const to = (place: Place) =>
  place.id === 'workings' && inVisit.value ? { path: place.to, query: { visit: inVisit.value } } : place.to
const isHere = computed(() => inVisit.value !== '' && inVisit.value === visit.value?.id)
</script>

<template>
  <nav aria-label="places" class="places no-print">
    <ul>
      <li v-for="place in places" :key="place.id">
        <NuxtLink :to="to(place)" class="place" :aria-current="place === current ? 'page' : undefined"
          ><span class="tick" aria-hidden="true" /><span class="name">{{ place.label }}</span></NuxtLink
        >
      </li>
      <li v-if="visit" :class="{ 'is-here': isHere }">
        <NuxtLink
          :to="`/visits/${visit.id}`"
          class="place is-visit"
          :aria-current="isHere ? 'page' : undefined"
          :aria-label="`the open visit: ${visit.name}`"
          :title="visit.name"
          ><span class="tick" :class="{ 'is-lit': !visit.done }" aria-hidden="true" /><span class="name">{{
            visit.short
          }}</span></NuxtLink
        >
      </li>
    </ul>
  </nav>
</template>

<style scoped>
ul {
  display: flex;
  gap: 0.3rem;
}
.place {
  position: relative;
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 48px;
  padding-inline: 0.55rem;
  color: var(--slate);
  text-decoration: none;
  white-space: nowrap;
}
.place:hover {
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 4px;
}
.place[aria-current='page'] {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -4px 0 var(--ink);
}
.tick {
  display: none;
}
.is-visit .tick {
  display: block;
  width: 18px;
  height: 18px;
  border: 2px solid var(--ink);
  border-radius: 5px;
  background: var(--paper);
}
.is-visit .tick.is-lit {
  background: var(--lamp);
  border-color: var(--lamp);
}
.is-visit .name {
  max-width: 8rem;
  overflow: hidden;
  text-overflow: ellipsis;
}
/* In the visit its own name stands in the head already. */
@media (min-width: 901px) {
  .is-here {
    display: none;
  }
}
@media (max-width: 900px) {
  .places {
    position: fixed;
    inset-inline: 0;
    bottom: 0;
    z-index: 20;
    height: var(--places);
    overflow: hidden;
    background: var(--sheet);
    border-top: 1.5px solid var(--ink);
  }
  ul {
    position: relative;
    gap: 0;
    height: 100%;
    padding-inline: 4px;
  }
  ul::before {
    content: '';
    position: absolute;
    inset-inline: 0;
    top: 50%;
    border-top: 2px solid var(--ink);
  }
  li {
    flex: 1 1 0;
    min-width: 0;
  }
  .place {
    flex-direction: column;
    gap: 0;
    justify-content: flex-start;
    height: 100%;
    padding: 2px 0;
    box-shadow: none !important;
    font-size: 0.88rem;
  }
  li:nth-child(even) .place {
    justify-content: flex-end;
  }
  .name {
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
    line-height: 1.3;
  }
  .is-visit .name {
    max-width: 100%;
  }
  .tick,
  .is-visit .tick {
    position: absolute;
    top: calc(50% - 4px);
    display: block;
    width: 2px;
    height: 8px;
    border: 0;
    border-radius: 0;
    background: var(--ink);
  }
  .is-visit .tick {
    top: calc(50% - 8px);
    width: 16px;
    height: 16px;
    border: 2px solid var(--ink);
    border-radius: 4px;
    background: var(--paper);
  }
  [aria-current='page'] .tick {
    top: calc(50% - 3px);
    width: 46px;
    height: 6px;
  }
  .is-visit[aria-current='page'] .tick {
    top: calc(50% - 8px);
    width: 20px;
    height: 16px;
  }
}
</style>
