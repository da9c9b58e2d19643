// The server of a shop with the embedded database: killed in the middle of appends, and the machine going down under
// it.
import { cpSync, existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { between, end, kill, Load, pause, start } from './load.mjs'

/** Killed so many times under load, and started again on what it left. */
export async function killedServer(times, { data, port, tell }) {
  const load = new Load()
  const begin = () => start({ port, dataDir: data })
  for (let round = 1; round <= times; round++) {
    const { child, address } = await begin()
    await load.check(address)
    const stop = load.begin(address)
    await load.more(between(3, 30))
    await pause(between(0, 12))
    await kill(child)
    await stop()
    tell(round, load.acknowledged)
  }
  return closing(load, begin)
}

/**
 * The machine goes down so many times: what was flushed is there, the last line of the journal may be torn, and of the
 * database's files each is of now or of some moment before.
 */
export async function lostPower(times, { data, port, tell }) {
  const load = new Load()
  const begin = () => start({ port, dataDir: data })
  const [database, copy, lock, journal] = ['database', 'before', 'server.lock', 'journal.jsonl'].map((name) =>
    join(data, name),
  )
  for (let round = 1; round <= times; round++) {
    const { child, address } = await begin()
    await load.check(address)
    const stop = load.begin(address)
    await load.more(between(2, 10))
    rmSync(copy, { recursive: true, force: true })
    // Copied while it is written: not even that is of one moment.
    cpSync(database, copy, { recursive: true })
    await load.more(between(3, 20))
    await pause(between(0, 12))
    await kill(child)
    await stop()
    const files = readdirSync(copy, { recursive: true, withFileTypes: true }).filter((each) => each.isFile())
    for (const { parentPath, name } of files)
      if (Math.random() < 0.5) cpSync(join(parentPath, name), join(database, relative(copy, join(parentPath, name))))
    if (round % 3 === 0) writeFileSync(journal, `{"id":"${'0'.repeat(between(0, 60))}`, { flag: 'a' })
    if (existsSync(lock))
      writeFileSync(lock, JSON.stringify({ ...JSON.parse(readFileSync(lock, 'utf8')), boot: `before ${round}` }))
    tell(round, load.acknowledged)
  }
  return closing(load, begin)
}

async function closing(load, begin) {
  const { child, address } = await begin()
  const held = await load.check(address, { all: true })
  const { journal } = await (await fetch(`${address}/api/shop`)).json()
  await end(child)
  if (journal && journal.setAsideCount > 0)
    throw new Error(`${journal.setAsideCount} lines of the journal are set aside.`)
  return { acknowledged: load.acknowledged, held }
}
