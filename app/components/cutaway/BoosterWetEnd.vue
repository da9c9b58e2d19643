<template>
  <g>
    <g data-part="hose-connector">
      <path d="M0 204h72v48H0" fill="var(--water)" /><path d="M72 196h20v64H72Z" fill="url(#hatch)" />
      <path d="M244 60V14h48v46" fill="var(--water)" /><path d="M236 60h64v18h-64Z" fill="url(#hatch)" />
    </g>
    <path
      data-part="volute"
      d="M92 204h72v-44c0-46 28-70 70-70h10V78h48v12h38v276h-96c-42 0-70-24-70-70v-44H92Z"
      fill="var(--water)"
    />
    <path data-part="impeller" d="M228 204c14 0 30-12 40-46h20v140h-20c-10-34-26-46-40-46Z" fill="var(--sheet)" /><path
      d="M236 208c12-4 26-18 34-46M236 248c12 4 26 18 34 46"
      stroke-width="1"
    />
    <g data-part="bracket"
      ><path d="M330 90h16v276h-16ZM346 146h26v20h-26ZM346 290h26v20h-26Z" fill="url(#hatch)" /><path
        d="M352 306v20h8v-20"
        fill="var(--paper)"
    /></g>
    <path data-part="housing-o-ring" d="M325 98v10M325 348v10" stroke-width="5" />
    <g data-part="through-bolts"
      ><path
        d="M214 108h150v8H214ZM206 104h8v16h-8ZM364 105h8v14h-8ZM214 340h176v8H214ZM206 336h8v16h-8ZM390 337h8v14h-8Z"
        fill="var(--metal)"
    /></g>
    <path data-part="shaft" d="M250 217h126v22H250" fill="var(--metal)" />
    <g data-part="shaft-seal"
      ><path d="M294 203h8v14h-8ZM294 239h8v14h-8ZM310 200h9v17h-9ZM310 239h9v17h-9Z" fill="var(--metal)" /><path
        d="M320 194h10v23h-10ZM320 239h10v23h-10Z"
        fill="var(--sheet)" /><path
        d="m302 206 4 3.500-4 3.500 4 3.500M302 242l4 3.500-4 3.500 4 3.500"
        stroke-width="1.500"
    /></g>
  </g>
</template>
