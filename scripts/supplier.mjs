// A made-up supplier on this machine: a catalogue of some four hundred things of no make, prices and stock that move,
// and deliveries that are late, or wrong.
// node scripts/supplier.mjs [--port 4177] [--day-seconds 60] [--no-troubles]
import { parseArgs } from 'node:util'
import { bundle } from './lib/bundle.mjs'
import { fail, installPackages, needNode } from './lib/setup.mjs'

needNode()
await installPackages()
const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4177' },
    'day-seconds': { type: 'string', default: '60' },
    'no-troubles': { type: 'boolean', default: false },
  },
})
const { SupplierStandIn, NO_SUPPLIER_TROUBLES } = await import(
  await bundle('server/suppliers/stand-in/stand-in.ts', 'supplier')
)
const standIn = await SupplierStandIn.start({
  port: Number(values.port),
  ...(values['no-troubles'] ? { troubles: NO_SUPPLIER_TROUBLES } : {}),
}).catch((error) =>
  fail(error.code === 'EADDRINUSE' ? `Port ${values.port} is taken: say another with --port.` : error.message),
)
const days = setInterval(() => standIn.passDay(), Number(values['day-seconds']) * 1000)
console.log(
  `${standIn.items.length} things are sold at ${standIn.address}: its address is entered under Shelf, Orders.`,
)
console.log(`A day passes in ${values['day-seconds']} seconds.`)
for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    clearInterval(days)
    void standIn.stop().then(() => process.exit(0))
  })
