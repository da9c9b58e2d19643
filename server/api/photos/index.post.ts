import { getRequestHeader } from 'h3'
import { MOST_PHOTO_BYTES } from '../../services/photos/photo-store'
import type { KeptType } from '../../services/pictures'
import { useShopApp } from '../../utils/app'
import { readLimited } from '../../utils/body'
import { api, Problem } from '../../utils/problem'

/**
 * Takes the bytes of a picture or a recording and answers with its hash. The file name never comes here: content is its
 * name. A picture larger than anybody looks at is kept smaller, so the hash is that of what is kept.
 */
export default api('write', async (event) => {
  const type = getRequestHeader(event, 'content-type') ?? ''
  if (!/^(?:image\/|audio\/(?:x-|vnd\.)?wave?$)/i.test(type))
    throw new Problem(415, 'The content type must be that of a picture or a recording.', [
      { field: 'content-type', value: type, expected: 'image/jpeg, image/png, image/webp or audio/wav' },
    ])
  const bytes = await readLimited(event, MOST_PHOTO_BYTES)
  const { photos, work } = await useShopApp()
  const picture = await work.run('picture', { bytes })
  return photos.add({ bytes: Buffer.from(picture.bytes), type: picture.type as KeptType })
})
