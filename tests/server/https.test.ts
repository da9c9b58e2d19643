import { mkdirSync, writeFileSync } from 'node:fs'
import https from 'node:https'
import { join } from 'node:path'
import { generate } from 'selfsigned'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { spawnServer, temporaryFolder, type Served } from './serve'

/** A certificate of its own for loopback, as files. */
async function certificate(folder: string): Promise<{ cert: string; key: string; ca: string }> {
  mkdirSync(folder, { recursive: true })
  const made = await generate([{ name: 'commonName', value: 'localhost' }], {
    keyType: 'ec',
    extensions: [{ name: 'subjectAltName', altNames: [{ type: 2, value: 'localhost' }] }],
  })
  const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')]
  writeFileSync(cert, made.cert)
  writeFileSync(key, made.private)
  return { cert, key, ca: made.cert }
}

describe('over https', () => {
  const folder = temporaryFolder()
  let server: Served
  let ca = ''
  let port = ''

  interface Answer {
    status: number
    headers: https.RequestOptions['headers'] & Record<string, string | string[] | undefined>
    text: string
  }
  const ask = (method: string, path: string, body?: object): Promise<Answer> =>
    new Promise((done, refuse) => {
      const headers = body ? { 'content-type': 'application/json' } : {}
      const asked = https.request({ host: 'localhost', port, path, method, ca, headers, agent: false }, (answer) => {
        let text = ''
        answer.on('data', (chunk: Buffer) => (text += chunk.toString()))
        answer.on('end', () => done({ status: answer.statusCode ?? 0, headers: answer.headers, text }))
      })
      asked.on('error', refuse)
      asked.end(body && JSON.stringify(body))
    })

  beforeAll(async () => {
    const files = await certificate(join(folder.path, 'tls'))
    ca = files.ca
    server = await spawnServer(join(folder.path, 'data'), {
      PIKE_LAMP_TLS_CERT: files.cert,
      PIKE_LAMP_TLS_KEY: files.key,
    })
    port = new URL(server.url).port
    for (let attempt = 0; attempt < 400; attempt++) {
      const { status } = await ask('GET', '/api/health').catch(() => ({ status: 0 }))
      if (status === 200) return
      await new Promise((wait) => setTimeout(wait, 50))
    }
    throw new Error(`the server did not start: ${server.output()}`)
  })
  afterAll(async () => {
    await server.kill('SIGTERM')
    folder.remove()
  })

  it('answers with its certificate, tells browsers to stay with it, and does not answer without', async () => {
    const { status, headers } = await ask('GET', '/')
    expect(status).toBe(200)
    expect(headers['strict-transport-security']).toBe('max-age=31536000')
    await expect(fetch(`http://localhost:${port}/api/health`)).rejects.toThrow()
  })

  it('gives a cookie that travels that way alone, that no script reads and no other site sends', async () => {
    const { status, headers } = await ask('POST', '/api/people/first', {
      name: 'Ada Weir',
      passphrase: 'otter lantern gravel nine',
    })
    expect(status).toBe(200)
    const [cookie = ''] = headers['set-cookie'] as string[]
    for (const part of ['Secure', 'HttpOnly', 'SameSite=Strict', 'Path=/']) expect(cookie).toContain(part)
  })
})

describe('a certificate that cannot be used', () => {
  const folder = temporaryFolder()
  afterAll(() => folder.remove())
  const refused = async (env: Record<string, string>): Promise<string> => {
    const server = await spawnServer(join(folder.path, 'data'), env)
    expect(await server.exited).toBe(1)
    return server.output()
  }
  it('is said at the start: one file without the other, one that is not there, two that do not belong together', async () => {
    const [one, two] = [await certificate(join(folder.path, 'one')), await certificate(join(folder.path, 'two'))]
    expect(await refused({ PIKE_LAMP_TLS_CERT: one.cert })).toContain('say both files')
    expect(await refused({ PIKE_LAMP_TLS_CERT: join(folder.path, 'none.pem'), PIKE_LAMP_TLS_KEY: one.key })).toContain(
      'cannot be used: ENOENT',
    )
    expect(await refused({ PIKE_LAMP_TLS_CERT: one.cert, PIKE_LAMP_TLS_KEY: two.key })).toContain('cannot be used')
  })
})
