import { createHash, createHmac } from 'node:crypto'
import { createServer, type IncomingMessage } from 'node:http'
import type { AddressInfo } from 'node:net'

const [KEY, SECRET, REGION] = ['a-key', 'a-secret', 'here-1'] as const

export interface ObjectStore {
  /** What a server is told to keep its pictures there. */
  env: Record<string, string>
  objects: Map<string, Buffer>
  refused: number
  stop: () => Promise<void>
}

/**
 * A store of objects on loopback that takes nothing whose signature is wrong.
 *
 * @source the steps of Signature Version 4: canonical request, string to sign, signing key, signature
 */
export async function startObjectStore(): Promise<ObjectStore> {
  const store = { objects: new Map<string, Buffer>(), refused: 0 } as ObjectStore
  const server = createServer((request, response) => {
    const chunks: Buffer[] = []
    request.on('data', (chunk: Buffer) => chunks.push(chunk))
    request.on('end', () => {
      const name = request.url ?? ''
      const answer = (status: number, body?: Buffer) => response.writeHead(status).end(body)
      if (!isSigned(request)) {
        store.refused++
        answer(403)
      } else if (request.method === 'PUT') {
        store.objects.set(name, Buffer.concat(chunks))
        answer(200)
      } else if (!store.objects.has(name)) answer(404)
      else answer(200, request.method === 'HEAD' ? undefined : store.objects.get(name))
    })
  })
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening))
  store.env = {
    PIKE_LAMP_PHOTOS: `http://127.0.0.1:${(server.address() as AddressInfo).port}/pump-pictures`,
    PIKE_LAMP_PHOTOS_KEY: KEY,
    PIKE_LAMP_PHOTOS_SECRET: SECRET,
    PIKE_LAMP_PHOTOS_REGION: REGION,
  }
  store.stop = () =>
    new Promise((closed) => {
      server.close(() => closed())
      server.closeAllConnections()
    })
  return store
}

function isSigned({ method, url = '', headers }: IncomingMessage): boolean {
  const said = /^AWS4-HMAC-SHA256 Credential=([^/]+)\/([^,]+), SignedHeaders=([^,]+), Signature=([0-9a-f]{64})$/.exec(
    headers.authorization ?? '',
  )
  if (!said) return false
  const [, key, scope = '', signed = '', signature] = said
  const canonical = [
    method,
    url,
    '',
    ...signed.split(';').map((name) => `${name}:${String(headers[name]).trim()}`),
    '',
    signed,
    headers['x-amz-content-sha256'],
  ].join('\n')
  const toSign = [
    'AWS4-HMAC-SHA256',
    headers['x-amz-date'],
    scope,
    createHash('sha256').update(canonical).digest('hex'),
  ]
  const mac = (secret: string | Buffer, text: string) => createHmac('sha256', secret).update(text).digest()
  const signing = scope.split('/').reduce<Buffer | string>((secret, part) => mac(secret, part), `AWS4${SECRET}`)
  return (
    key === KEY && scope.includes(`/${REGION}/s3/`) && mac(signing, toSign.join('\n')).toString('hex') === signature
  )
}
