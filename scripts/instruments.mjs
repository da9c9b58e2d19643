// Simulated instruments on a virtual pump: a multimeter, a clamp, a capacitance meter, an insulation tester, a pressure
// gauge and a thermometer speak SCPI over TCP on this machine, and a logger writes a CSV file.
// node scripts/instruments.mjs [--case pool.one.y] [--port 5025] [--no-troubles] [--folder DIR]
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { bundle } from './lib/bundle.mjs'
import { fail, installPackages, needNode, root } from './lib/setup.mjs'

needNode()
await installPackages()
const { values } = parseArgs({
  options: {
    case: { type: 'string', default: 'pool.one.y' },
    port: { type: 'string', default: '5025' },
    folder: { type: 'string', default: join(root, 'data/demo/instruments') },
    'no-troubles': { type: 'boolean', default: false },
  },
})
const { StandIns } = await import(await bundle('server/instruments/stand-ins/stand-ins.ts', 'stand-ins'))
const standIns = await StandIns.start({
  folder: values.folder,
  code: values.case,
  port: Number(values.port),
  hasTroubles: !values['no-troubles'],
}).catch((error) =>
  fail(error.code === 'EADDRINUSE' ? `Port ${error.port} is taken: say another with --port.` : error.message),
)
console.log(`The pump is ${values.case}; what they show can be entered under Shop, Instruments:`)
for (const { name, by, host, port, file } of standIns.settings)
  console.log(`  ${name.padEnd(30)} ${by === 'scpi' ? `${host} port ${port}` : join(values.folder, file)}`)
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void standIns.stop().then(() => process.exit(0)))
