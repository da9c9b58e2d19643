<template>
  <g>
    <g data-part="intake-screen"
      ><path d="M0 60h16v330H0" fill="url(#hatch)" /><path d="M0 90v280" stroke="var(--water)" stroke-width="10" /><path
        d="M16 204h20v48H16M20 204v48M26 204v48M32 204v48"
        stroke-width="1.500"
    /></g>
    <g data-part="suction-pipe"
      ><path d="M36 204h54v48H36" fill="var(--water)" /><path
        d="M90 192h24v72H90ZM96 192v72M102 192v72M108 192v72"
        fill="var(--metal)"
        stroke-width="1.500"
    /></g>
    <path
      data-part="volute"
      d="M114 204h46c2-62 26-104 66-104h-8V78h56v22h46v256h-96c-42 0-62-46-64-104h-46Z"
      fill="var(--water)"
    />
    <g data-part="check-valve"><path d="M214 78V24h56v54M214 58h56M224 58l36-14" fill="var(--water)" /></g>
    <path data-part="discharge-pipe" d="M214 24V4M270 24V4" />
    <path data-part="impeller" d="M232 204c12 0 26-12 34-44h18v136h-18c-8-32-22-44-34-44Z" fill="var(--sheet)" /><path
      d="M238 208c12-4 22-16 30-44M238 248c12 4 22 16 30 44"
      stroke-width="1"
    />
    <path data-part="bracket" d="M320 100h22v256h-22ZM342 156h30v20h-30ZM342 280h30v20h-30Z" fill="url(#hatch)" />
    <path data-part="housing-o-ring" d="M315 110v10M315 336v10" stroke-width="5" />
    <path
      data-part="volute-bolts"
      d="M300 106h58v9h-58ZM292 102h8v17h-8ZM300 340h58v9h-58ZM292 336h8v17h-8Z"
      fill="var(--metal)"
    />
    <path data-part="shaft" d="M250 217h126v22H250" fill="var(--metal)" />
    <g data-part="shaft-seal"
      ><path d="M290 203h8v14h-8ZM290 239h8v14h-8Z" fill="var(--metal)" /><path
        d="M306 196h14v21h-14ZM306 239h14v21h-14Z"
        fill="var(--sheet)" /><path
        d="m298 206 4 3.500-4 3.500 4 3.500M298 242l4 3.500-4 3.500 4 3.500"
        stroke-width="1.500"
    /></g>
  </g>
</template>
