<template>
  <g>
    <g data-part="suction-pipe"
      ><path d="M0 242h58v50H0" fill="var(--water)" /><path d="M58 234h16v66H58Z" fill="url(#hatch)"
    /></g>
    <path
      data-part="volute"
      d="M74 242h20V168c0-22 14-36 36-36h30V92h60v40h96v228H130c-22 0-36-14-36-36v-32H74Z"
      fill="var(--water)"
    />
    <g data-part="ejector"
      ><path d="M100 256h40l14 10-14 10h-40Z" fill="var(--metal)" /><path
        d="M164 250c14 10 18 12 40 12v8c-22 0-26 2-40 12Z"
        fill="var(--metal)"
    /></g>
    <path data-part="diffuser" d="M226 150c-8 26-8 128 0 154M226 150h40M226 304h40" stroke-width="1.500" />
    <path data-part="impeller" d="M234 202c12 0 26-10 34-40h16v132h-16c-8-30-22-40-34-40Z" fill="var(--sheet)" /><path
      d="M240 206c12-4 22-14 30-40M240 250c12 4 22 14 30 40"
      stroke-width="1"
    />
    <path data-part="bracket" d="M316 112h24v248h-24ZM340 160h32v132h-32Z" fill="url(#hatch)" />
    <path data-part="housing-o-ring" d="M311 120v10M311 344v10" stroke-width="5" />
    <path data-part="shaft" d="M252 217h124v22H252" fill="var(--metal)" />
    <g data-part="shaft-seal"
      ><path d="M290 203h8v14h-8ZM290 239h8v14h-8Z" fill="var(--metal)" /><path
        d="M304 196h12v21h-12ZM304 239h12v21h-12Z"
        fill="var(--sheet)" /><path
        d="m298 206 4 3.500-4 3.500 4 3.500M298 242l4 3.500-4 3.500 4 3.500"
        stroke-width="1.500"
    /></g>
    <path data-part="foot-valve" d="M4 316h44v20l-10 30H14L4 336ZM12 344h28M16 354h20M26 292v24" fill="var(--sheet)" />
    <g data-part="pressure-switch"
      ><rect x="236" y="40" width="72" height="52" rx="4" fill="var(--sheet)" /><path
        d="M272 92v40M252 58l16-8M284 58l16-8M252 62v18M268 62v18M284 62v18M300 62v18"
        stroke-width="1.500"
    /></g>
    <g data-part="pressure-gauge"
      ><circle cx="132" cy="92" r="22" fill="var(--sheet)" /><path d="M132 114v18M132 92l10-12" stroke-width="1.500"
    /></g>
    <path data-part="discharge-pipe" d="M166 92V48h48v44" fill="var(--water)" /><path
      d="M158 92h64v12h-64Z"
      fill="url(#hatch)"
    />
  </g>
</template>
