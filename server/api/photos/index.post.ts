import { getRequestHeader } from 'h3'
import { MOST_PHOTO_BYTES } from '../../services/photo-store'
import { useShopApp } from '../../utils/app'
import { readLimited } from '../../utils/body'
import { api, Problem } from '../../utils/problem'

/** Takes a picture's bytes and answers with its hash. The file name never comes here: content is its name. */
export default api(async (event) => {
  const type = getRequestHeader(event, 'content-type') ?? ''
  if (!/^image\//i.test(type)) throw new Problem(415, 'The content type must be that of a picture.', [{ field: 'content-type', value: type, expected: 'image/jpeg, image/png or image/webp' }])
  return (await useShopApp()).photos.add(await readLimited(event, MOST_PHOTO_BYTES))
})
