import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'
import { readWav } from '../../core/sound/recording'
import { badField, InputError } from '../../core/validation/input-error'

export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const
export type PhotoType = (typeof PHOTO_TYPES)[number]
const RECORDING_TYPE = 'audio/wav'
/** What a line can have beside it. */
export type KeptType = PhotoType | typeof RECORDING_TYPE

/** A telephone's picture has 12 to 50 million points; a hundred million are an attack on the memory. */
const MOST_POINTS = 60_000_000
/** Enough to read a nameplate by; more is only weight. */
const LONGEST_SIDE = 1800
const LONGEST_SIDE_ON_PAPER = 1000
const JPEG_QUALITY = 85

/** A picture, or a recording. */
export interface Picture {
  bytes: Buffer
  type: KeptType
}

/**
 * A picture or a recording as it may be kept. A recording stays as it is. A picture is decoded whole, so that a torn
 * one is found out now and not on the sheet, and made smaller where it is larger than anybody looks at.
 *
 * @throws InputError for what is not a JPEG, PNG, WebP or WAV, is broken, or is far too large
 */
export async function keepable(bytes: Buffer, field = 'body'): Promise<Picture> {
  if ((await keptType(bytes)) === RECORDING_TYPE) return { bytes, type: checkedRecording(bytes, field) }
  const { type, width, height } = await checked(bytes, field)
  if (Math.max(width, height) <= LONGEST_SIDE) {
    await decoded(open(bytes).raw().toBuffer(), field)
    return { bytes, type }
  }
  const smaller = open(bytes)
    .rotate()
    .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside' })
    .jpeg({ quality: JPEG_QUALITY })
  return { bytes: await decoded(smaller.toBuffer(), field), type: 'image/jpeg' }
}

/**
 * A picture or a recording that is kept under a name it already has: checked the same way, and left as it is.
 *
 * @throws InputError as `keepable`
 */
export async function intact(bytes: Buffer, field: string): Promise<KeptType> {
  if ((await keptType(bytes)) === RECORDING_TYPE) return checkedRecording(bytes, field)
  const { type } = await checked(bytes, field)
  await decoded(open(bytes).raw().toBuffer(), field)
  return type
}

/**
 * A picture as paper takes it: upright, small, a JPEG; undefined where it is broken, which costs the sheet that one
 * picture.
 */
export async function forPaper(bytes: Buffer): Promise<Buffer | undefined> {
  const paper = sharp(bytes, { limitInputPixels: MOST_POINTS, failOn: 'none' })
    .rotate()
    .resize({ width: LONGEST_SIDE_ON_PAPER, height: LONGEST_SIDE_ON_PAPER, fit: 'inside', withoutEnlargement: true })
  return paper
    .flatten({ background: '#fff' })
    .jpeg({ quality: JPEG_QUALITY })
    .toBuffer()
    .catch(() => undefined)
}

/** What the bytes say they are, whatever their name or declared type says. */
export async function keptType(bytes: Buffer): Promise<KeptType | undefined> {
  const found = await fileTypeFromBuffer(bytes)
  return [...PHOTO_TYPES, RECORDING_TYPE].find((type) => type === found?.mime) as KeptType | undefined
}

function checkedRecording(bytes: Buffer, field: string): typeof RECORDING_TYPE {
  try {
    readWav(bytes)
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    throw new InputError(error.problems.map((problem) => ({ ...problem, field })))
  }
  return RECORDING_TYPE
}

async function checked(bytes: Buffer, field: string): Promise<{ type: PhotoType; width: number; height: number }> {
  const type = await keptType(bytes)
  if (!type || type === RECORDING_TYPE)
    throw badField(field, `${bytes.length} bytes`, 'a JPEG, PNG or WebP picture, or a WAV recording')
  const { width, height } = await decoded(sharp(bytes, { limitInputPixels: false }).metadata(), field)
  if (width * height > MOST_POINTS)
    throw badField(field, `${width} × ${height} points`, `a picture of at most ${MOST_POINTS / 1e6} million points`)
  return { type, width, height }
}

function open(bytes: Buffer) {
  return sharp(bytes, { limitInputPixels: MOST_POINTS, failOn: 'truncated' })
}

async function decoded<T>(work: Promise<T>, field: string): Promise<T> {
  return work.catch(() => {
    throw badField(
      field,
      'a broken picture',
      'a picture that is whole: this one is torn or damaged; take it or send it again',
    )
  })
}
