<script setup lang="ts">
import { VAN_ROOM } from '#core/knowledge/shelf/keeping'
import { NUMBER_STYLES } from '#core/quantity/number-style'
import { readSettings, settingsForm, type SettingsForm } from '~/utils/settings-form'

/** Who the shop is and what it charges: asked once at the start, and changed here. */
const { shop, outlet, problem, load, save } = useShopSettings()
const { problemsOf } = useEntryRules()
const form = ref<SettingsForm>()
const problems = ref<Record<string, string>>({})
const saved = ref(false)
onMounted(async () => {
  await load()
  if (shop.value) form.value = settingsForm(shop.value)
})
useHead({ title: 'Settings · Pike Lamp' })
const isFirst = computed(() => shop.value?.unset === true)

async function keep(): Promise<void> {
  if (!form.value || !shop.value) return
  saved.value = false
  const first = isFirst.value
  const read = readSettings(form.value, shop.value)
  problems.value =
    'problems' in read
      ? read.problems
      : Object.fromEntries(
          Object.entries(problemsOf('shop-set', read.shop)).map(([path, expected]) => [
            path.replace(/^rates\./, ''),
            expected,
          ]),
        )
  if (Object.keys(problems.value).length > 0 || 'problems' in read) return
  await save(read.shop)
  if (first) await navigateTo('/')
  else saved.value = true
}
const MONEY = [
  { key: 'hourly', label: 'an hour', example: '92' },
  { key: 'trip', label: 'a journey', example: '55' },
  { key: 'minimum', label: 'the least a visit comes to', example: '80' },
  { key: 'helperHourly', label: 'a second person, an hour', example: '48' },
  { key: 'downtime', label: 'a pump down until the next visit', example: '60' },
] as const
const WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  place: 'address',
  currency: 'currency',
  afterHours: 'after hours',
  partsMarkup: 'on parts',
  mail: 'mail address',
  workWarrantyMonths: 'warranty on work',
  partWarrantyMonths: 'warranty on a new motor or pump',
  energyPrice: 'a kilowatt-hour',
  vans: 'vans',
  'day.start': 'the day begins',
  'day.end': 'the day ends',
  'day.breakFrom': 'the break',
  'day.breakMinutes': 'the break',
  ...Object.fromEntries(MONEY.map(({ key, label }) => [key, label])),
}
const HOURS = [
  { key: 'start', label: 'the day begins' },
  { key: 'end', label: 'the day ends' },
  { key: 'breakFrom', label: 'the break, from' },
] as const
/** A van's id stays when it is called otherwise, and is not given again. */
function addVan(): void {
  const known = (form.value?.vans ?? []).map(({ id }) => Number(/^van-(\d+)$/.exec(id)?.[1] ?? 0))
  form.value?.vans.push({ id: `van-${Math.max(0, ...known) + 1}`, name: '', people: 1, litres: '' })
}
const ON = { parts: 'on parts', work: 'on work and journey', all: 'on everything' } as const
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Settings" />
    <main class="mx-auto max-w-3xl p-5 max-sm:p-3">
      <p v-if="problem" class="font-bold">{{ problem }}</p>
      <p v-else-if="!form" class="text-slate">Reading the shop</p>
      <form v-else class="grid gap-5" novalidate data-testid="settings" @submit.prevent="keep">
        <p v-if="isFirst" class="text-lg">
          Who you are and what an hour costs: it stands on every sheet. What you leave empty is neither charged nor
          printed.
        </p>
        <fieldset class="grid gap-3 sm:grid-cols-2">
          <legend class="mb-1 text-xl">The shop</legend>
          <SettingsField v-model="form.name" label="Name" :problem="problems.name" test="name" />
          <SettingsField v-model="form.place" label="Address" :problem="problems.place" test="place" />
          <SettingsField
            v-model="form.mail"
            label="Mail address"
            example="shop@example.org"
            :problem="problems.mail"
            test="mail"
          />
          <SettingsField
            v-model="form.currency"
            label="Currency"
            example="USD"
            :problem="problems.currency"
            test="currency"
          />
          <label
            ><span class="label">Units</span
            ><select v-model="form.units" class="field" data-testid="settings-units">
              <option value="us">US: gpm, psi, feet</option>
              <option value="metric">metric: L/s, kPa, metres</option>
            </select></label
          >
          <label
            ><span class="label">Numbers on paper</span
            ><select v-model="form.numbers" class="field" data-testid="settings-numbers">
              <option v-for="(style, id) in NUMBER_STYLES" :key="id" :value="id">{{ style.example }}</option>
            </select></label
          >
          <p v-if="outlet" class="text-slate sm:col-span-2" data-testid="settings-outlet">
            {{
              outlet.by === 'smtp'
                ? `Mail goes to the server ${outlet.host}.`
                : 'Mail is written as files into the outlet of the data folder, until a mail server is set.'
            }}
          </p>
        </fieldset>
        <fieldset class="grid gap-3 sm:grid-cols-2">
          <legend class="mb-1 text-xl">What it charges</legend>
          <SettingsField
            v-for="each in MONEY"
            :key="each.key"
            v-model="form[each.key]"
            :label="each.label"
            :example="each.example"
            :problem="problems[each.key]"
            :test="each.key"
            figure
          />
          <SettingsField
            v-model="form.afterHours"
            label="after hours, times an hour"
            example="1.5"
            :problem="problems.afterHours"
            test="afterHours"
            figure
          />
          <SettingsField
            v-model="form.partsMarkup"
            label="on parts, percent"
            example="25"
            :problem="problems.partsMarkup"
            test="partsMarkup"
            figure
          />
          <SettingsField
            v-model="form.workWarrantyMonths"
            label="warranty on work, months"
            example="12"
            :problem="problems.workWarrantyMonths"
            test="workWarrantyMonths"
            figure
          />
          <SettingsField
            v-model="form.partWarrantyMonths"
            label="warranty on a new motor or pump, months"
            example="24"
            :problem="problems.partWarrantyMonths"
            test="partWarrantyMonths"
            figure
          />
          <SettingsField
            v-model="form.energyPrice"
            label="a kilowatt-hour, as customers pay it"
            example="0.18"
            :problem="problems.energyPrice"
            test="energyPrice"
            figure
          />
          <label class="flex min-h-12 items-center gap-3 sm:col-span-2"
            ><input
              v-model="form.chargesJourney"
              type="checkbox"
              class="size-6 accent-river"
              data-testid="settings-journey"
            />The journey stands on the account</label
          >
        </fieldset>
        <fieldset class="grid gap-3">
          <legend class="mb-1 text-xl">Taxes</legend>
          <div v-for="(tax, index) in form.taxes" :key="index" class="grid gap-2 sm:grid-cols-[1fr_8rem_13rem_auto]">
            <SettingsField
              v-model="tax.name"
              label="name"
              example="Sales tax"
              :problem="problems[`taxes.${index}`]"
              :test="`tax-${index}-name`"
            />
            <SettingsField v-model="tax.percent" label="percent" example="6" :test="`tax-${index}-percent`" figure />
            <label
              ><span class="label">on what</span
              ><select v-model="tax.on" class="field">
                <option v-for="(words, on) in ON" :key="on" :value="on">{{ words }}</option>
              </select></label
            >
            <button type="button" class="button self-end" @click="form.taxes.splice(index, 1)">Drop</button>
          </div>
          <button
            type="button"
            class="button justify-self-start"
            data-testid="add-tax"
            @click="form.taxes.push({ name: '', percent: '', on: 'parts' })"
          >
            Add a tax
          </button>
        </fieldset>
        <fieldset class="grid gap-3">
          <legend class="mb-1 text-xl">Vans and the day</legend>
          <div v-for="(van, index) in form.vans" :key="van.id" class="grid gap-2 sm:grid-cols-[1fr_10rem_10rem_auto]">
            <SettingsField v-model="van.name" label="van" example="The long van" :test="`van-${index}-name`" />
            <label
              ><span class="label">how many ride in it</span
              ><select v-model.number="van.people" class="field" :data-testid="`settings-van-${index}-people`">
                <option v-for="count in 4" :key="count" :value="count">{{ count }}</option>
              </select></label
            >
            <SettingsField
              v-model="van.litres"
              label="room for parts, litres"
              :example="String(VAN_ROOM.litres)"
              :problem="problems[`vans.${index}.litres`]"
              :test="`van-${index}-litres`"
              figure
            />
            <button
              v-if="form.vans.length > 1"
              type="button"
              class="button self-end"
              @click="form.vans.splice(index, 1)"
            >
              Drop
            </button>
          </div>
          <button type="button" class="button justify-self-start" data-testid="add-van" @click="addVan">
            Add a van
          </button>
          <div class="grid gap-3 sm:grid-cols-4">
            <label v-for="each in HOURS" :key="each.key"
              ><span class="label">{{ each.label }}</span
              ><input v-model="form.day[each.key]" type="time" class="field" :data-testid="`settings-day-${each.key}`"
            /></label>
            <SettingsField
              v-model="form.day.breakMinutes"
              label="the break, minutes"
              example="30"
              :problem="problems['day.breakMinutes']"
              test="breakMinutes"
              figure
            />
          </div>
        </fieldset>
        <fieldset class="grid gap-3 sm:grid-cols-3">
          <legend class="mb-1 text-xl">The year</legend>
          <DayOfYear v-model="form.seasons.opening" label="pools open about" test="opening" />
          <DayOfYear v-model="form.seasons.closing" label="pools close about" test="closing" />
          <DayOfYear v-model="form.seasons.thaw" label="cellars are looked at by" test="thaw" />
        </fieldset>
        <p v-if="Object.keys(problems).length > 0" role="alert" class="font-bold">
          Not kept yet:
          {{
            Object.entries(problems)
              .map(([field, words]) => `${WORDS[field] ?? field}: ${words}`)
              .join('; ')
          }}.
        </p>
        <p v-if="saved" role="status">Kept.</p>
        <div class="flex flex-wrap gap-3">
          <button type="submit" class="button" :class="{ 'button-lit': isFirst }" data-testid="settings-keep">
            Keep
          </button>
          <NuxtLink class="button" :to="isFirst ? '/' : '/shop'">{{ isFirst ? 'Later' : 'Back to the shop' }}</NuxtLink>
          <NuxtLink v-if="!isFirst" class="button" to="/prices">Price list</NuxtLink>
          <NuxtLink v-if="!isFirst" class="button" to="/ledger">Ledger</NuxtLink>
        </div>
      </form>
    </main>
  </div>
</template>
