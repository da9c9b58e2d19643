<script setup lang="ts">
const { bolted } = defineProps<{ bolted: boolean }>()
</script>

<template>
  <g>
    <g data-part="strainer">
      <path d="M0 226h40v50H0" fill="var(--water)" />
      <path
        d="M40 166c0-10 6-16 14-16h100c8 0 14 6 14 16v18h44v70h-44v60c0 12-8 20-20 20H60c-12 0-20-8-20-20Z"
        fill="var(--water)"
      />
      <path d="M62 158h84l-12 132H74Z" stroke-dasharray="5 4" />
      <path d="M76 182h56M78 206h52M80 230h48M82 254h44" stroke-width="1" stroke-dasharray="2 4" />
    </g>
    <path data-part="lid" d="M46 132h116v16H46ZM84 120h40v12H84Z" fill="url(#hatch)" />
    <path data-part="lid-o-ring" d="M48 150h112" stroke-width="4" />
    <g data-part="volute">
      <path d="M336 320h-66c-36 0-60-24-60-66v-70c0-42 24-66 60-66V62h50v56h16Z" fill="var(--water)" />
      <path d="M264 52h62v10h-62Z" fill="url(#hatch)" />
    </g>
    <g data-part="diffuser"><path d="M236 158c-10 24-10 112 0 140M236 158h52M236 298h52" stroke-width="1.500" /></g>
    <path data-part="impeller" d="M240 204c10 0 26-12 34-44h16v136h-16c-8-32-24-44-34-44Z" fill="var(--sheet)" /><path
      d="M246 208c12-4 24-16 30-44M246 248c12 4 24 16 30 44"
      stroke-width="1"
    />
    <g v-if="bolted" data-part="lock-screw"><path d="M222 221h12v14h-12ZM234 224h22v8h-22" fill="var(--metal)" /></g>
    <g data-part="seal-plate">
      <path v-if="bolted" d="M336 100h24v252h-24Zm24 60h12v132h-12Z" fill="url(#hatch)" />
      <path v-else d="M336 104h20v244h-20Zm20 70h16v108h-16Z" fill="url(#hatch)" />
    </g>
    <path data-part="housing-o-ring" d="M331 114v10M331 316v10" stroke-width="5" />
    <g v-if="bolted" data-part="cover-bolts"
      ><path
        d="M316 104h52v9h-52ZM308 100h8v17h-8ZM368 102h7v13h-7ZM316 338h70v9h-70ZM308 334h8v17h-8ZM386 336h7v13h-7Z"
        fill="var(--metal)"
    /></g>
    <g v-else data-part="clamp-band"
      ><path d="M326 96h36v13h-36ZM326 343h36v13h-36Z" fill="var(--metal)" /><circle
        cx="344"
        cy="365"
        r="9"
        fill="var(--sheet)"
    /></g>
    <path data-part="shaft" d="M262 217h114v22H262" fill="var(--metal)" />
    <g data-part="shaft-seal">
      <path d="M296 203h8v14h-8ZM296 239h8v14h-8ZM312 200h9v17h-9ZM312 239h9v17h-9Z" fill="var(--metal)" /><path
        d="M324 194h12v23h-12ZM324 239h12v23h-12Z"
        fill="var(--sheet)"
      />
      <path
        d="m304 206 4 3.500-4 3.500 4 3.500M304 242l4 3.500-4 3.500 4 3.500M321 208h3M321 248h3"
        stroke-width="1.500"
      />
    </g>
  </g>
</template>
