/**
 * A picture upright, on white, as JPEG, and no larger than asked: nothing of where it was taken stays in it.
 *
 * @param side the longest side, pixels
 * @throws DOMException for what is not a picture
 */
export async function scaledPicture(picture: Blob, side: number, quality = 0.85): Promise<Blob> {
  const bitmap = await createImageBitmap(picture)
  const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height))
  const [width, height] = [bitmap.width, bitmap.height].map((each) => Math.max(1, Math.round(each * scale)))
  const canvas = new OffscreenCanvas(width ?? 1, height ?? 1)
  const context = canvas.getContext('2d')
  if (!context) throw new DOMException('This browser cannot draw.', 'NotSupportedError')
  context.fillStyle = '#fff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return canvas.convertToBlob({ type: 'image/jpeg', quality })
}
