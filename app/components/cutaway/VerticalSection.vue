<script setup lang="ts">
import { MOTOR_HAS } from '#core/motor/nameplate'
import type { MotorType } from '#core/knowledge/vocabulary'

/** A vertical motor on a pump head, shims between. */
const { motorType } = defineProps<{ motorType: MotorType }>()
const can = computed(() =>
  MOTOR_HAS.runCapacitor(motorType)
    ? 'run-capacitor'
    : MOTOR_HAS.startCapacitor(motorType)
      ? 'start-capacitor'
      : undefined,
)
const coils = [
  [318, 96],
  [318, 108],
  [318, 120],
  [318, 166],
  [318, 178],
  [318, 190],
  [478, 96],
  [478, 108],
  [478, 120],
  [478, 166],
  [478, 178],
  [478, 190],
] as const
</script>

<template>
  <g>
    <path
      data-part="fan-cover"
      d="M298 48V34c0-8 6-14 14-14h172c8 0 14 6 14 14v14M320 20v28M350 20v28M446 20v28M476 20v28"
      fill="var(--sheet)"
      stroke-width="1.500"
    />
    <path data-part="fan" d="M340 40c30-10 86-10 116 0" />
    <rect x="288" y="48" width="220" height="192" rx="10" fill="var(--sheet)" />
    <g data-part="run-winding"
      ><path d="M300 88h40v112h-40ZM456 88h40v112h-40Z" fill="var(--metal)" /><circle
        v-for="[x, y] in coils"
        :key="`${x}-${y}`"
        :cx="x"
        :cy="y"
        r="4"
        stroke-width="1"
    /></g>
    <path data-part="rotor" d="M346 92h104v104H346Z" fill="url(#hatch)" />
    <path data-part="shaft" d="M387 42h22v318h-22Z" fill="var(--metal)" />
    <g data-part="bearings"
      ><template v-for="y in [58, 212]" :key="y"
        ><rect x="362" :y="y" width="24" height="20" fill="var(--sheet)" /><circle
          cx="374"
          :cy="y + 10"
          r="6.500" /><rect x="410" :y="y" width="24" height="20" fill="var(--sheet)" /><circle
          cx="422"
          :cy="y + 10"
          r="6.500" /></template
    ></g>
    <path
      v-if="MOTOR_HAS.startSwitch(motorType)"
      data-part="start-switch"
      d="M362 82h12v8h-12ZM422 82h12v8h-12Z"
      fill="var(--sheet)"
    />
    <g data-part="terminal-board"
      ><rect x="508" y="120" width="44" height="60" fill="var(--sheet)" /><circle cx="522" cy="138" r="3" /><circle
        cx="538"
        cy="138"
        r="3" /><circle cx="530" cy="160" r="3"
    /></g>
    <g v-if="can" :data-part="can"
      ><rect x="240" y="96" width="40" height="96" rx="18" fill="var(--sheet)" /><path d="M252 96v-10M268 96v-10"
    /></g>
    <g data-part="shims"
      ><path
        d="M300 240h40v5h-40ZM300 246h40v3h-40ZM456 240h40v5h-40ZM456 246h40v3h-40Z"
        fill="var(--metal)"
        stroke-width="1.200"
    /></g>
    <path data-part="bracket" d="M288 249h220v20h-66v30h-88v-30h-66Z" fill="url(#hatch)" />
    <path
      data-part="shaft-seal"
      d="M372 300h14v16h-14ZM410 300h14v16h-14ZM374 318h12v10h-12ZM410 318h12v10h-12Z"
      fill="var(--sheet)"
    />
    <path data-part="housing-o-ring" d="M300 304h12M484 304h12" stroke-width="5" />
    <path data-part="volute" d="M300 308h196v66c0 14-8 22-22 22H322c-14 0-22-8-22-22Z" fill="var(--water)" />
    <path data-part="discharge-pipe" d="M496 324h96v44h-96" fill="var(--water)" />
    <path data-part="impeller" d="M330 352h136v18H330ZM366 370h64v14h-64Z" fill="var(--sheet)" />
    <path data-part="coupling" d="M380 276h36v14h-36Z" fill="var(--metal)" />
    <g data-part="strainer"
      ><path d="M366 396h64v30h-64ZM376 396v30M388 396v30M400 396v30M412 396v30M424 396v30" stroke-width="1.500"
    /></g>
    <path data-part="suction-pipe" d="M366 426h64v14h-64Z" fill="var(--water)" />
  </g>
</template>
