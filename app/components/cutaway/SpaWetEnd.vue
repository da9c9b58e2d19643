<template>
  <g>
    <g data-part="union">
      <path d="M0 196h66v64H0" fill="var(--water)" /><path
        d="M66 184h30v88H66ZM72 184v88M80 184v88M88 184v88"
        fill="var(--metal)"
        stroke-width="1.500"
      />
      <path d="M196 58V8h64v50" fill="var(--water)" /><path
        d="M184 50h88v28h-88ZM184 58h88M184 66h88"
        fill="var(--metal)"
        stroke-width="1.500"
      />
    </g>
    <path
      data-part="volute"
      d="M96 196h52c4-70 34-110 48-118h64c30 6 44 18 56 34v232c-18 22-44 34-76 34-56 0-92-46-92-118H96Z"
      fill="var(--water)"
    />
    <path data-part="impeller" d="M214 196c18 2 38-12 50-46h18v156h-18c-12-34-32-48-50-46Z" fill="var(--sheet)" /><path
      d="M222 204c16-2 32-18 42-48M222 252c16 2 32 18 42 48"
      stroke-width="1"
    />
    <path data-part="seal-plate" d="M316 108h22v240h-22ZM338 162h34v132h-34Z" fill="url(#hatch)" />
    <path data-part="housing-o-ring" d="M311 116v10M311 330v10" stroke-width="5" />
    <path
      data-part="cover-screws"
      d="M300 112h50v8h-50ZM292 108h8v16h-8ZM300 336h50v8h-50ZM292 332h8v16h-8Z"
      fill="var(--metal)"
    />
    <path data-part="shaft" d="M240 217h136v22H240" fill="var(--metal)" />
    <g data-part="shaft-seal"
      ><path d="M286 203h8v14h-8ZM286 239h8v14h-8ZM300 200h8v17h-8ZM300 239h8v17h-8Z" fill="var(--metal)" /><path
        d="M308 194h10v23h-10ZM308 239h10v23h-10Z"
        fill="var(--sheet)" /><path
        d="m294 206 4 3.500-4 3.500 4 3.500M294 242l4 3.500-4 3.500 4 3.500"
        stroke-width="1.500"
    /></g>
    <path data-part="drain" d="M196 372h20v16h-20Z" fill="var(--metal)" />
  </g>
</template>
