<script setup lang="ts">
import { MOTOR_HAS } from '#core/motor/nameplate'
import type { MotorType } from '#core/knowledge/vocabulary'

const { motorType } = defineProps<{ motorType: MotorType }>()
const cans = computed(() => {
  const [run, start] = [MOTOR_HAS.runCapacitor(motorType), MOTOR_HAS.startCapacitor(motorType)]
  if (run && start)
    return [
      { part: 'run-capacitor', x: 428, width: 52 },
      { part: 'start-capacitor', x: 488, width: 56 },
    ]
  return run
    ? [{ part: 'run-capacitor', x: 434, width: 100 }]
    : start
      ? [{ part: 'start-capacitor', x: 434, width: 100 }]
      : []
})
const coils = [
  [400, 146],
  [400, 158],
  [400, 170],
  [572, 146],
  [572, 158],
  [572, 170],
  [400, 280],
  [400, 292],
  [400, 304],
  [572, 280],
  [572, 292],
  [572, 304],
] as const
const bearings = [
  [376, 196],
  [376, 234],
  [604, 196],
  [604, 234],
] as const
</script>

<template>
  <g>
    <path d="M424 325v33M614 325v33M404 358h236v12H404Z" />
    <rect x="372" y="130" width="284" height="195" rx="12" fill="var(--sheet)" />
    <g data-part="run-winding">
      <path
        d="M388 142c-7 14-7 28 0 42h24v-42Zm196 0c7 14 7 28 0 42h-24v-42Z
          M388 274c-7 14-7 26 0 38h24v-38Zm196 0c7 14 7 26 0 38h-24v-38Z"
        fill="var(--sheet)"
        stroke-width="1.500"
      />
      <circle v-for="[x, y] in coils" :key="`${x}-${y}`" :cx="x" :cy="y" r="4" stroke-width="1" />
      <path d="M412 142h148v42H412ZM412 274h148v38H412Z" fill="var(--metal)" />
    </g>
    <path data-part="rotor" d="M418 190h136v76H418Z" fill="url(#hatch)" />
    <path data-part="shaft" d="M290 217h378v22H290Z" fill="var(--metal)" />
    <g data-part="bearings">
      <g v-for="[x, y] in bearings" :key="`${x}-${y}`"
        ><rect :x="x" :y="y" width="23" height="21" fill="var(--sheet)" /><circle
          :cx="x + 11.5"
          :cy="y + 10.5"
          r="6.500"
      /></g>
    </g>
    <path
      v-if="MOTOR_HAS.startSwitch(motorType)"
      data-part="start-switch"
      d="M582 196h12v12h-12Zm0 52h12v12h-12ZM578 190l6 6M578 266l6-6"
      fill="var(--sheet)"
    />
    <path data-part="fan" d="M640 178c8 30 8 70 0 100" />
    <g data-part="terminal-board"
      ><rect x="612" y="146" width="32" height="34" fill="var(--sheet)" stroke-width="1.500" /><circle
        cx="622"
        cy="157"
        r="2.500" /><circle cx="634" cy="157" r="2.500" /><circle cx="628" cy="170" r="2.500"
    /></g>
    <path d="M418 130V94c0-8 6-14 14-14h104c8 0 14 6 14 14v36" fill="var(--sheet)" />
    <g v-for="can in cans" :key="can.part" :data-part="can.part"
      ><rect :x="can.x" y="92" :width="can.width" height="32" rx="15" fill="var(--sheet)" /><path
        :d="`M${can.x + can.width} 101h8M${can.x + can.width} 115h8`"
    /></g>
    <g v-if="motorType === 'electronic'" data-part="drive-electronics"
      ><rect x="434" y="90" width="100" height="32" fill="var(--sheet)" /><path
        d="M448 106h14l6-9 8 18 8-18 6 9h14"
        stroke-width="1.500"
    /></g>
  </g>
</template>
