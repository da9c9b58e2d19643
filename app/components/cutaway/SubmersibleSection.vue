<script setup lang="ts">
/** A submersible laid on its side: head and stages left, motor right, and what stands above ground beside it. */
const { sealed, box } = defineProps<{ sealed: boolean; box: boolean }>()
const stages = [0, 1, 2, 3, 4].map((index) => 150 + index * 44)
</script>

<template>
  <g>
    <g class="above">
      <path d="M0 132h796" stroke="var(--slate)" stroke-dasharray="2 6" />
      <path data-part="drop-pipe" d="M28 116v74M60 116v74" /><path d="M20 104h48v12H20Z" fill="url(#hatch)" />
      <path d="M68 84h150v20H68" fill="var(--water)" data-part="discharge-pipe" />
      <g data-part="tank"
        ><path
          d="M330 20h66c12 0 20 8 20 18v62c0 10-8 18-20 18h-66c-12 0-20-8-20-18V38c0-10 8-18 20-18Z"
          fill="var(--sheet)" /><path
          d="M310 78c30-14 74 14 106 0v22c0 10-8 18-20 18h-66c-12 0-20-8-20-18Z"
          fill="var(--water)" /><circle cx="363" cy="16" r="4"
      /></g>
      <path d="M218 84h92v20h-92" fill="var(--water)" data-part="tank-tee" />
      <g data-part="pressure-switch" transform="translate(-58 0)"
        ><rect x="230" y="26" width="58" height="42" rx="4" fill="var(--sheet)" /><path
          d="M259 68v16M242 40l14-6M264 40l14-6M242 44v14M256 44v14M264 44v14M278 44v14"
          stroke-width="1.500"
      /></g>
      <g data-part="pressure-gauge" transform="translate(58 0)"
        ><circle cx="196" cy="58" r="16" fill="var(--sheet)" /><path d="M196 74v10M196 58l8-8" stroke-width="1.500"
      /></g>
      <g data-part="relief-valve" transform="translate(142 0)"
        ><path d="M134 84V64h20v20M138 64v-14h12v14M130 50h28" fill="var(--sheet)"
      /></g>
      <g v-if="box"
        ><rect x="490" y="24" width="150" height="92" rx="4" fill="var(--sheet)" data-part="control-box" /><g
          data-part="start-relay"
          ><rect x="502" y="40" width="38" height="30" /><path d="M510 62l12-14" /></g
        ><g data-part="start-capacitor"><rect x="552" y="40" width="34" height="58" rx="14" fill="var(--sheet)" /></g
        ><g data-part="run-capacitor"><rect x="596" y="40" width="34" height="58" rx="14" fill="var(--sheet)" /></g
      ></g>
    </g>
    <g data-part="cable"
      ><path d="M44 190C44 168 90 170 130 176H400c30 0 40 6 60 10" stroke-width="5" /><path
        d="M360 170h40v14h-40Z"
        fill="var(--metal)"
        data-part="splice"
    /></g>
    <g data-part="check-valve"
      ><path d="M20 234h54v92H20ZM74 244h46v72H74" fill="var(--water)" /><path d="M34 250v60M34 280l26-20M34 280l26 20"
    /></g>
    <g data-part="stages">
      <path d="M120 208h260v144H120Z" fill="url(#hatch)" />
      <path
        v-for="x in stages"
        :key="x"
        :d="`M${x} 222h30v46h-30ZM${x} 292h30v46h-30ZM${x + 8} 228l16 34M${x + 8} 332l16-34`"
        fill="var(--sheet)"
        stroke-width="1.500"
      />
    </g>
    <path data-part="stack-clip" d="M370 262h8v36h-8Z" fill="var(--metal)" />
    <g data-part="intake-screen"
      ><path d="M380 214h56v132h-56Z" fill="var(--water)" /><path
        d="M390 214v132M402 214v132M414 214v132M426 214v132"
        stroke-width="1.200"
        stroke-dasharray="3 4"
    /></g>
    <path data-part="coupling" d="M404 262h40v36h-40Z" fill="var(--metal)" />
    <path data-part="cable-guard" d="M120 196h316v8H120Z" fill="var(--metal)" />
    <path data-part="shaft" d="M128 272h590v16H128Z" fill="var(--metal)" />
    <g data-part="motor"><path d="M436 206h300c12 0 20 8 20 20v108c0 12-8 20-20 20H436Z" fill="var(--sheet)" /></g>
    <path data-part="run-winding" d="M486 222h180v38H486ZM486 300h180v38H486Z" fill="var(--metal)" />
    <path data-part="rotor" d="M494 262h164v36H494Z" fill="url(#hatch)" />
    <path data-part="shaft" d="M436 272h282v16H436Z" fill="var(--metal)" />
    <g data-part="bearings"
      ><path d="M450 252h22v18h-22ZM450 290h22v18h-22ZM676 252h22v18h-22ZM676 290h22v18h-22Z" fill="var(--sheet)"
    /></g>
    <path data-part="thrust-bearing" d="M718 244h14v72h-14ZM734 250h10v60h-10Z" fill="var(--metal)" />
    <g data-part="lead-connector"><path d="M452 206v-22h30v22M458 196h18" fill="var(--sheet)" /></g>
    <path v-if="sealed" data-part="pump-end" d="M112 204h330v152H112Z" stroke-width="5" />
    <path v-else data-part="end-bell" d="M436 200h10v160h-10Z" fill="url(#hatch)" />
  </g>
</template>
