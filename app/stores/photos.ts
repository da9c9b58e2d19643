import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { WaitingPhotos } from '~/utils/waiting-photos'

/** Pictures that were taken on this device, until the shop has them. */
export const usePhotos = defineStore('photos', () => {
  const turn = ref(0)
  const photos = new WaitingPhotos(() => {
    turn.value += 1
  })
  return {
    keep: (picture: Blob) => photos.keep(picture),
    waiting: (hash: string) => photos.waiting(hash),
    sent: (hash: string) => photos.sent(hash),
    /** Where a picture can be shown from, here or at the shop. */
    urlOf: (hash: string) => (turn.value >= 0 && photos.urlOf(hash)) || `/api/photos/${hash}`,
    /** Pictures that are only on this page, because the device would not take them. */
    onlyHere: computed(() => (turn.value >= 0 ? photos.onlyHere : 0)),
  }
})
