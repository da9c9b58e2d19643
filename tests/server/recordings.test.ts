import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { writeWav } from '#core/sound/recording'
import type { EntryBodies, HeardInRecording } from '#core/visit/entry'
import { testVisit, type TestVisit } from './entries'
import { post, serve, temporaryFolder, type Served } from './serve'

const HERTZ = 8_000
const wav = (tone: number) =>
  writeWav({
    hertz: HERTZ,
    values: Float64Array.from({ length: HERTZ }, (_, at) => 0.3 * Math.sin((2 * Math.PI * tone * at) / HERTZ)),
  })
const HEARD: HeardInRecording = {
  bearing: { is: 'no-blows' },
  water: { is: 'steady' },
  doubts: [],
  strongestHertz: 120,
  hissDecibels: -50,
  turnDecibels: -12,
}
const body = (hash: string, bytes: number, heard: Partial<HeardInRecording> = {}): EntryBodies['recording'] => ({
  hash,
  type: 'audio/wav',
  bytes,
  name: 'motor.wav',
  seconds: 1,
  side: 'motor',
  rpm: 3_450,
  mainsHertz: 60,
  heard: { ...HEARD, ...heard },
})

describe('recordings at the server', () => {
  const folder = temporaryFolder()
  let server: Served
  beforeAll(async () => {
    server = await serve(folder.path)
  })
  afterAll(async () => {
    await server.kill('SIGTERM')
    folder.remove()
  })
  const send = async (bytes: Uint8Array, type = 'audio/wav') => {
    const response = await post(`${server.url}/api/photos`, bytes, { 'content-type': type })
    return { status: response.status, ...((await response.json()) as { hash: string; type: string; bytes: number }) }
  }
  const keep = (visit: TestVisit, recording: EntryBodies['recording']) => {
    const line = visit.write('recording', recording)
    return { line, answer: post(`${server.url}/api/entries`, { entries: [visit.opened, line] }) }
  }
  const usual = async (query: string) => {
    const response = await fetch(`${server.url}/api/sounds?${query}`)
    return { status: response.status, said: (await response.json()) as { machines?: number; hiss?: object } }
  }

  it('are kept by content, come back to the byte, and travel with the visit', async () => {
    const sound = wav(440)
    const { hash, type, bytes, status } = await send(sound)
    expect([status, type, bytes]).toEqual([200, 'audio/wav', sound.length])
    const visit = testVisit()
    expect((await keep(visit, body(hash, bytes)).answer).status).toBe(200)
    const back = await fetch(`${server.url}/api/photos/${hash}`)
    expect(back.headers.get('content-type')).toBe('audio/wav')
    expect(new Uint8Array(await back.arrayBuffer())).toEqual(new Uint8Array(sound))
    const file = await (await fetch(`${server.url}/api/visits/${visit.visitId}/visit.json`)).text()
    const { photos } = JSON.parse(file) as { photos: { hash: string; type: string; base64: string }[] }
    expect(photos).toEqual([{ hash, type: 'audio/wav', base64: Buffer.from(sound).toString('base64') }])
    // Into another shop it is taken with its recording.
    const other = temporaryFolder()
    const shop = await serve(other.path)
    const headers = { 'content-type': 'application/json' }
    expect((await post(`${shop.url}/api/visits/import`, new TextEncoder().encode(file), headers)).status).toBe(200)
    expect((await fetch(`${shop.url}/api/photos/${hash}`)).status).toBe(200)
    await shop.kill('SIGTERM')
    other.remove()
  })

  it.each([
    ['text that says it is one', new TextEncoder().encode('no sound at all'), 422],
    ['one that is torn', wav(300).slice(0, 200), 422],
    ['one that is far too short', wav(300).slice(0, 44), 422],
  ])('are refused with a sentence: %s', async (_, bytes, status) => {
    const answer = await post(`${server.url}/api/photos`, bytes, { 'content-type': 'audio/wav' })
    expect(answer.status).toBe(status)
    const said = (await answer.json()) as { problems: { field: string; expected: string }[] }
    expect(said.problems[0]).toMatchObject({ field: 'body' })
  })

  it('are no other kind of sound', async () => {
    expect((await send(wav(300), 'audio/mpeg')).status).toBe(415)
  })

  it('a line is not taken before its recording', async () => {
    const answer = await keep(testVisit(), body('d'.repeat(64), 9)).answer
    expect(answer.status).toBe(422)
    expect(await answer.text()).toContain('a picture or a recording that has been sent')
  })

  it('say how loud machines of a kind usually are: one of each, nothing remarkable, nothing taken back', async () => {
    const { hash, bytes } = await send(wav(500))
    const before = (await usual('kind=pool')).said.machines as number
    const takenBack = testVisit()
    const { line, answer } = keep(takenBack, body(hash, bytes, { hissDecibels: -10 }))
    await answer
    const retracted = takenBack.write('retracted', {}, line.id)
    expect((await post(`${server.url}/api/entries`, { entries: [retracted] })).status).toBe(200)
    await keep(testVisit(), body(hash, bytes, { bearing: { is: 'blows', place: 'outer' }, hissDecibels: -10 })).answer
    const twice = testVisit()
    await keep(twice, body(hash, bytes, { hissDecibels: -80 })).answer
    await post(`${server.url}/api/entries`, {
      entries: [twice.write('recording', body(hash, bytes, { hissDecibels: -54 }))],
    })
    for (const hissDecibels of [-46, -48, -50, -52]) await keep(testVisit(), body(hash, bytes, { hissDecibels })).answer
    const { said } = await usual('kind=pool&side=motor')
    expect(said.machines).toBe(before + 5)
    expect(said.hiss).toMatchObject({ middle: -50 })
    expect((await usual('kind=pool&side=pump')).said).toEqual({ machines: 0 })
    expect((await usual('kind=spa')).said).toEqual({ machines: 0 })
  })

  it('asked for a kind that is none, says which there are', async () => {
    expect(await usual('kind=fountain')).toMatchObject({ status: 422 })
    expect(await usual('kind=pool&side=both')).toMatchObject({ status: 422 })
    expect(await usual('')).toMatchObject({ status: 422 })
  })
})

describe('the command line', () => {
  const lamp = (args: string[], cwd: string) =>
    execFileSync('node', [join(process.cwd(), 'scripts/lamp.mjs'), ...args], { cwd, encoding: 'utf8', stdio: 'pipe' })

  it('takes a recording or a log by its path: beside the file that names it, or where it is run', () => {
    const folder = mkdtempSync(join(tmpdir(), 'lamp-sound-'))
    try {
      const sound = readFileSync(new URL('../reference/sound/O-SIG-05.wav', import.meta.url))
      writeFileSync(join(folder, 'motor.wav'), sound)
      const bearing = { balls: 9, ballMillimetres: 7.94, pitchMillimetres: 39.04 }
      const input = { file: 'motor.wav', rpm: 1_725, mainsHertz: 60, bearing }
      writeFileSync(join(folder, 'asked.json'), JSON.stringify(input))
      writeFileSync(
        join(folder, 'batch.jsonl'),
        [input, { ...input, file: 'none.wav' }]
          .map((each) => `${JSON.stringify({ working: 'sound-tones', input: each })}\n`)
          .join(''),
      )
      const one = JSON.parse(lamp(['sound-tones', join(folder, 'asked.json')], process.cwd())) as object
      expect(one).toMatchObject({ bearingFault: 'outer' })
      const [first, second] = lamp(['batch', 'batch.jsonl'], folder)
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line))
      expect(first).toEqual({ output: one })
      expect(second).toMatchObject({ error: { problems: [{ field: 'file' }] } })
      const turns = Array.from({ length: 200 }, (_, at) => `${at * 10},${40 + 10 * Math.sin(at / 5)}`)
      writeFileSync(join(folder, 'house.csv'), ['seconds,pressure (psi)', ...turns].join('\n'))
      writeFileSync(join(folder, 'log.json'), JSON.stringify({ file: 'house.csv' }))
      expect(JSON.parse(lamp(['pressure-log', 'log.json'], folder))).toMatchObject({ starts: 6 })
    } finally {
      rmSync(folder, { recursive: true })
    }
  })
})
