import { installPackages, needNode, run } from './lib/setup.mjs'

needNode()
await installPackages()
await run('npx', ['nuxt', 'dev', '--host', '127.0.0.1', '--port', process.env.PORT ?? '3000'], {
  env: { NUXT_TELEMETRY_DISABLED: '1', PIKE_LAMP_DATA: process.env.PIKE_LAMP_DATA ?? 'data/dev' },
})
