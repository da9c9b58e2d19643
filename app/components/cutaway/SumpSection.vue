<script setup lang="ts">
/** A pit with its sealed pump, the float that calls it, the valve above it, and the backup beside it. */
</script>

<template>
  <g>
    <path d="M0 96h96v324h604V96h96" /><path d="M0 96h96v12H0ZM700 96h96v12h-96Z" fill="url(#hatch)" />
    <path d="M98 300h600v118H98Z" fill="var(--water)" stroke="none" /><path d="M98 300h600" stroke-dasharray="8 6" />
    <g data-part="discharge-pipe"
      ><path d="M470 340V0M510 340V0" /><path d="M470 340c0 20-30 26-60 26v34c60 0 100-16 100-60" fill="var(--water)"
    /></g>
    <g data-part="check-valve"
      ><path d="M458 148h64v60h-64Z" fill="var(--sheet)" /><path d="M466 196h48M470 196l34-30"
    /></g>
    <path data-part="union" d="M462 212h56v12h-56ZM462 132h56v12h-56Z" fill="var(--metal)" />
    <g data-part="motor"><path d="M300 204c0-12 8-20 20-20h100c12 0 20 8 20 20v136H300Z" fill="var(--sheet)" /></g>
    <path data-part="run-winding" d="M312 214h28v92h-28ZM400 214h28v92h-28Z" fill="var(--metal)" />
    <path data-part="rotor" d="M344 218h52v84h-52Z" fill="url(#hatch)" />
    <path data-part="shaft" d="M363 200h14v186h-14Z" fill="var(--metal)" />
    <g data-part="bearings"
      ><path d="M348 196h14v14h-14ZM378 196h14v14h-14ZM348 312h14v14h-14ZM378 312h14v14h-14Z" fill="var(--sheet)"
    /></g>
    <path data-part="shaft-seal" d="M352 328h10v12h-10ZM378 328h10v12h-10Z" fill="var(--sheet)" />
    <path data-part="volute" d="M284 342h172v58c0 6-4 10-10 10H294c-6 0-10-4-10-10Z" fill="var(--water)" />
    <path data-part="impeller" d="M312 366h116v12H312ZM340 378h60v14h-60Z" fill="var(--sheet)" />
    <path data-part="intake-screen" d="M300 410v10M330 410v10M360 410v10M390 410v10M420 410v10" />
    <g data-part="lead-connector"
      ><path d="M344 184v-14h24v14" fill="var(--metal)" /><path d="M356 170V70H210" stroke-width="4"
    /></g>
    <g data-part="float-switch"
      ><path d="M210 78V240" stroke-width="2" /><path
        d="M176 250c0-10 16-18 34-18s34 8 34 18v26c0 10-16 18-34 18s-34-8-34-18Z"
        fill="var(--sheet)" /><path d="M194 262h32"
    /></g>
    <g data-part="outlet"
      ><rect x="24" y="24" width="46" height="56" rx="4" fill="var(--sheet)" /><path
        d="M38 38v12M56 38v12M47 60a4 4 0 1 0 .1 0" /><path d="M70 60h140"
    /></g>
    <g data-part="backup-float"
      ><path d="M600 96v90" /><path
        d="M574 190c0-8 12-14 26-14s26 6 26 14v18c0 8-12 14-26 14s-26-6-26-14Z"
        fill="var(--sheet)"
    /></g>
    <g data-part="backup-pump"
      ><path d="M570 340h80v64h-80ZM584 326h52v14h-52Z" fill="var(--sheet)" /><path d="M610 326V222"
    /></g>
    <g data-part="battery"
      ><rect x="712" y="30" width="68" height="50" rx="3" fill="var(--sheet)" /><path
        d="M722 30v-8h10v8M760 30v-8h10v8M724 54h10M758 54h12M764 48v12"
    /></g>
    <g data-part="alarm"><path d="M648 70h28l8 12h-44ZM662 70v-8" fill="var(--sheet)" /></g>
  </g>
</template>
