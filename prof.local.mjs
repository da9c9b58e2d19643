import { bundle } from './scripts/lib/bundle.mjs'
const {diagnose}=await import(await bundle('core/diagnosis/diagnose.ts','prof-diagnose'))
const pump={ kind:'pool', construction:'band-clamp', ageYears:7, nameplate:{volts:230,hertz:60,motorType:'capacitor-start-run',horsepower:1}}
const fs=[{check:'supply-voltage',value:236},{check:'shaft-turn',outcome:'free'},{check:'listen',outcome:'hum'},{check:'weep-hole',outcome:'dry'}]
for(let i=0;i<20;i++)diagnose({pump,complaints:['hums-no-start'],findings:fs})
const t=performance.now();for(let i=0;i<100;i++)diagnose({pump,complaints:['hums-no-start'],findings:fs});console.log((performance.now()-t)/100,'ms')
