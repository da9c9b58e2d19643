import { chromium } from '@playwright/test'
const [,, out, path='/', size='1280x800', scheme='daylight', ...acts]=process.argv
const [w,h]=size.split('x').map(Number)
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync']})
const c=await b.newContext({viewport:{width:w,height:h},colorScheme:scheme==='cellar'?'dark':'light',hasTouch:w<500})
const p=await c.newPage()
p.on('console',m=>{if(['error','warning'].includes(m.type()))console.log('console',m.type(),m.text())}); p.on('pageerror',e=>console.log('pageerror',e.message))
await p.goto('http://127.0.0.1:'+(process.env.P||4173)+path); await p.waitForLoadState('networkidle')
for(const a of acts){ const [k,...r]=a.split('='); const v=r.join('='); 
 if(k==='click')await p.click(v); else if(k==='type'){await p.fill('#reading',v)} else if(k==='enter'){await p.fill('#reading',v);await p.keyboard.press('Enter')} else if(k==='wait')await p.waitForTimeout(+v); else if(k==='full')globalThis.full=true; else if(k==='scroll')await p.mouse.wheel(0,+v); else if(k==='url')console.log(p.url()) }
await p.waitForTimeout(500)
await p.screenshot({path:out,fullPage:!!globalThis.full}); console.log(p.url()); await b.close()
