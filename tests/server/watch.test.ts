import { afterAll, describe, expect, it } from 'vitest'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { SECRET, secretVisit } from './entries'
import { listenTo } from './listening'
import { post, serve, spawnServer, temporaryFolder } from './serve'

const folder = temporaryFolder()
const other = temporaryFolder()
afterAll(() => [folder, other].forEach(({ remove }) => remove()))

interface LogLine {
  level: number
  time: string
  msg: string
  method?: string
  route?: string
  status?: number
  milliseconds?: number
}

describe('what a server says of itself', () => {
  it('is lines of JSON and numbers, with no word of a customer in them', async () => {
    const server = await serve(folder.path, { PIKE_LAMP_LOG: 'json' })
    try {
      const visit = secretVisit()
      expect((await post(`${server.url}/api/entries`, { entries: [visit.opened] })).status).toBe(200)
      expect((await fetch(`${server.url}/api/pumps?q=${encodeURIComponent(SECRET)}`)).status).toBe(200)
      expect((await fetch(`${server.url}/api/visits/${visit.visitId}`)).status).toBe(200)
      expect((await fetch(`${server.url}/${SECRET}`)).status).toBe(200)
      expect((await post(`${server.url}/api/entries`, `{"${SECRET}"`)).status).toBe(400)
      const listening = await listenTo(server.url)
      await listening.until((events) => events.length > 0)
      const metrics = await fetch(`${server.url}/api/metrics`)
      expect(metrics.headers.get('content-type')).toMatch(/^text\/plain; version=0\.0\.4/)
      const text = await metrics.text()
      expect(text).toContain('pike_lamp_answer_seconds_count{method="GET",route="/api/visits/:id",status="200"} 1')
      expect(text).toContain('pike_lamp_answer_seconds_count{method="POST",route="/api/entries",status="400"} 1')
      expect(text).toContain('pike_lamp_open 1')
      expect(text).toContain('pike_lamp_newest_arrival 1')
      expect(text).toContain('pike_lamp_live_followers 1')
      await listening.end()
      await server.kill('SIGTERM')
      const lines = server
        .output()
        .split('\n')
        .filter((line) => line.startsWith('{'))
        .map((line) => JSON.parse(line) as LogLine)
      expect(lines.map(({ msg }) => msg)).toContainEqual(expect.stringContaining('kept by this server alone'))
      expect(lines).toContainEqual(
        expect.objectContaining({ method: 'GET', route: '/api/pumps', status: 200, milliseconds: expect.any(Number) }),
      )
      for (const said of [text, server.output()]) {
        expect(said).not.toContain(SECRET)
        expect(said).not.toContain(encodeURIComponent(SECRET))
        expect(said).not.toContain(visit.visitId)
      }
    } finally {
      await server.kill('SIGKILL')
    }
  })

  it('refuses a way of speaking that there is not', async () => {
    const server = await spawnServer(folder.path, { PIKE_LAMP_LOG: 'loud' })
    expect(await server.exited).toBe(1)
    expect(server.output()).toContain('PIKE_LAMP_LOG is json')
  })

  it('says who keeps the shop, without what signs in there, and when it is not to be sent requests', async () => {
    const postgres = await startPostgres({ password: 'weir-and-sluice' })
    const server = await serve(other.path, { DATABASE_URL: postgres.url })
    try {
      expect(server.output()).toContain('kept by the database server 127.0.0.1')
      expect(server.output()).not.toContain('weir-and-sluice')
      const ready = await fetch(`${server.url}/api/ready`)
      expect([ready.status, await ready.json()]).toEqual([200, { ready: true, database: true, pictures: true }])
      postgres.stop()
      const away = await fetch(`${server.url}/api/ready`)
      expect([away.status, await away.json()]).toEqual([503, { ready: false, database: false, pictures: true }])
      // It lives all the same: nothing is gained by starting it anew.
      expect((await fetch(`${server.url}/api/health`)).status).toBe(200)
    } finally {
      await server.kill('SIGTERM')
      postgres.stop()
    }
  })
})
