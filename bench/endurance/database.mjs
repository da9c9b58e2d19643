// A database server that is killed under two app servers of one shop.
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { between, end, Load, pause, start } from './load.mjs'

/** Killed so many times with all its processes, and started again; the app servers stay up. */
export async function killedDatabase(times, { data, port, tell }) {
  const postgres = await startPostgres({ fsync: true })
  const load = new Load()
  const servers = []
  try {
    for (const own of [port, port + 1])
      servers.push(await start({ port: own, dataDir: `${data}-${own}`, env: { DATABASE_URL: postgres.url } }))
    const [one, other] = servers.map(({ address }) => address)
    for (let round = 1; round <= times; round++) {
      const stops = [one, other].map((address) => load.begin(address))
      await load.more(between(5, 40))
      await pause(between(0, 12))
      await postgres.kill()
      await postgres.again()
      // Whoever writes comes through again without a new start of anything else.
      await load.more(5)
      await Promise.all(stops.map((stop) => stop()))
      await load.check(round % 2 === 0 ? one : other)
      tell(round, load.acknowledged)
    }
    const held = await load.check(one, { all: true })
    return { acknowledged: load.acknowledged, held: Math.min(held, await load.check(other, { all: true })) }
  } finally {
    await Promise.all(servers.map(({ child }) => end(child)))
    postgres.stop()
  }
}
