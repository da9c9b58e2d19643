import { AwsClient } from 'aws4fetch'
import type { PictureKeeper } from './picture-keeper'

/** The store of pictures does not do what it is asked for. */
export class BucketTrouble extends Error {}

/** How a store of objects is reached and signed in to. */
export interface BucketAccess {
  /** The bucket’s address, its name as the first part of the path: http://host:port/bucket. */
  url: string
  key: string
  secret: string
  region: string
}

const TRIES = 2

/**
 * Pictures as objects of a store that speaks the S3 protocol, addressed by path.
 *
 * @source Signature Version 4 of the S3 REST interface, as the client package signs it
 */
export class PictureBucket implements PictureKeeper {
  private readonly client: AwsClient
  private readonly url: string

  /** @param known the hashes of all that were ever given to it: the database knows them, and no list is asked for */
  constructor(
    { url, key, secret, region }: BucketAccess,
    private readonly known: () => Promise<string[]>,
  ) {
    this.url = url.replace(/\/+$/, '')
    this.client = new AwsClient({ accessKeyId: key, secretAccessKey: secret, region, service: 's3', retries: TRIES })
  }

  get place(): string {
    return `in the store at ${this.url}`
  }

  async get(hash: string): Promise<Buffer | undefined> {
    const response = await this.ask('GET', hash)
    return response && Buffer.from(await response.arrayBuffer())
  }

  async has(hash: string): Promise<boolean> {
    return (await this.ask('HEAD', hash)) !== undefined
  }

  all(): Promise<string[]> {
    return this.known()
  }

  async keep(hash: string, bytes: Uint8Array): Promise<boolean> {
    if (await this.has(hash)) return false
    await this.ask('PUT', hash, bytes)
    return true
  }

  async drop(): Promise<void> {
    // Another server may have been given the same one meanwhile; one that nobody speaks of does no harm.
  }

  async forget(hash: string): Promise<void> {
    await this.ask('DELETE', hash)
  }

  /** @returns nothing where there is no such object */
  private async ask(
    method: 'GET' | 'HEAD' | 'PUT' | 'DELETE',
    hash: string,
    body?: Uint8Array,
  ): Promise<Response | undefined> {
    const response = await this.client
      .fetch(`${this.url}/${hash}`, { method, ...(body ? { body: new Uint8Array(body) } : {}) })
      .catch((error: unknown) => {
        throw new BucketTrouble(`The store of pictures at ${this.url} does not answer.`, { cause: error })
      })
    if (response.status === 404) return undefined
    if (!response.ok)
      throw new BucketTrouble(`The store of pictures at ${this.url} refused a picture with ${response.status}.`)
    return response
  }
}
