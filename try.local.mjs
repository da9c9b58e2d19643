import { build } from 'esbuild'
await build({ stdin: { contents: `
import { diagnose } from '/work/main/core/diagnosis/diagnose.ts'
const pump={ kind:'pool', construction:'band-clamp', ageYears:7, underWarranty:false, nameplate:{volts:230,hertz:60,motorType:process.argv[2]||'permanent-split',horsepower:1,serviceFactor:1.25,fullLoadAmps:7,serviceFactorAmps:8.2,runCapacitorMicrofarads:30,runCapacitorVolts:370,runWindingOhms:[1.8,2.4]},installation:{dutyHoursPerDay:8}}
const F={supply:{check:'supply-voltage',value:236,unit:'V'},free:{check:'shaft-turn',outcome:'free'},cap:{check:'capacitance',part:'run-capacitor',value:27},capok:{check:'capacitance',part:'run-capacitor',value:30.1},seized:{check:'shaft-turn',outcome:'seized'},weep:{check:'weep-hole',outcome:'dripping'},dry:{check:'joint-look',outcome:'dry'}}
const show=(name,complaints,f)=>{const t=performance.now();const r=diagnose({pump,complaints,findings:f});const ms=performance.now()-t;console.log('\\n##',name,ms.toFixed(1)+'ms');console.log(r.suspects.slice(0,5).map(s=>s.fault+' '+s.probability.toFixed(3)).join(', '));console.log('pairs',r.pairs.slice(0,2).map(p=>p.faults+' '+p.probability.toFixed(3)).join('; '));console.log(r.settled?'SETTLED '+r.bestAction:'next '+r.next.check+' '+(r.next.part||r.next.leads||'')+' | '+r.next.because+' | '+JSON.stringify(r.next.outcomes.map(o=>o.if+' => '+o.then)));if(r.disagreement)console.log(r.disagreement.because);return r}
show('hum',['hums-no-start'],[])
show('hum sup',['hums-no-start'],[F.supply])
const r=show('hum sup free',['hums-no-start'],[F.supply,F.free]); console.log(r.suspects[0].because, r.suspects[1].because)
show('hum sup free cap27',['hums-no-start'],[F.supply,F.free,F.cap])
show('hum sup free capok',['hums-no-start'],[F.supply,F.free,F.capok])
show('hum sup seized',['hums-no-start'],[F.supply,F.seized])
show('leak',['leak-under-motor'],[])
show('leak weep',['leak-under-motor'],[F.weep])
show('leak weep joint',['leak-under-motor'],[F.weep,F.dry,F.free])
show('dead',['dead'],[])
show('dead with supply',['dead'],[F.supply])
show('whine',['noise-whine'],[])
show('lowflow',['low-flow'],[])
show('gfci',['trips-gfci'],[])
show('contradict',['hums-no-start'],[{check:'winding-resistance',leads:'run-common',value:null},{check:'running-current',value:6.6}])
`, resolveDir: '/work/main' }, bundle: true, platform: 'node', format: 'esm', outfile: '/tmp/try.out.mjs', logLevel: 'error' })
await import('/tmp/try.out.mjs')
