<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import { shadesOf } from '@murrabel/core/colour'
import { lookSchema, routes, type BrandLook } from '@murrabel/contract'
import { call, sendFile } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'

/** Colour and logo of what the public sees, with a sample beside them. */
const { t } = useTexts()
const brand = useBrand()
const { busy, problem, fields, run, check } = useBusy()
const own = '#14505c'
const look = shallowRef<BrandLook | null>(null)
const colour = ref<string | null>(null)
const file = useTemplateRef<HTMLInputElement>('file')
function show(fresh: BrandLook): void {
  look.value = fresh
  colour.value = fresh.colour
}
const load = () => run(async () => show(await call(routes.brandLook)))
onMounted(load)
const shades = computed(() => {
  const shown = colour.value?.toLowerCase() ?? own
  return shadesOf(/^#[0-9a-f]{6}$/.test(shown) ? shown : own)
})
async function save(): Promise<void> {
  const body = { colour: colour.value?.toLowerCase() || null }
  if (!check(lookSchema, body)) return
  await run(async () => show(await call(routes.changeLook, { body })))
}
async function take(): Promise<void> {
  const chosen = file.value?.files?.[0]
  if (!chosen) return
  await run(async () => {
    const { logo } = await sendFile(routes.setLogo, { file: chosen, query: [] })
    look.value = { ...look.value!, logo }
  })
  file.value!.value = ''
}
const remove = () =>
  run(async () => {
    await call(routes.removeLogo)
    look.value = { ...look.value!, logo: null }
  })
</script>

<template>
  <section v-if="look" class="look" data-test="look">
    <h2>{{ t('places.look') }}</h2>
    <p class="soft">{{ t('places.lookText') }}</p>
    <div class="both">
      <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
        <FormField :label="t('places.colour')" name="colour" for="brand-colour">
          <div class="line">
            <input
              id="brand-colour"
              type="color"
              :value="colour ?? own"
              @input="colour = ($event.target as HTMLInputElement).value"
            />
            <code v-if="colour">{{ colour }}</code>
            <span v-else class="soft">{{ t('places.ownColour') }}</span>
            <button v-if="colour" type="button" class="plain" @click="colour = null">
              {{ t('places.ownColour') }}
            </button>
          </div>
        </FormField>
        <FormField :label="t('places.logo')" name="logo" for="brand-logo">
          <div class="line">
            <img v-if="look.logo" :src="look.logo" :alt="t('places.logo')" />
            <span v-else class="soft">{{ t('places.noLogo') }}</span>
            <input
              id="brand-logo"
              ref="file"
              class="file"
              type="file"
              accept="image/png,image/jpeg,image/webp,image/avif"
              @change="take"
            />
            <button type="button" class="button" :disabled="busy" @click="file?.click()">
              {{ t('places.logoChoose') }}
            </button>
            <button v-if="look.logo" type="button" class="plain" :disabled="busy" @click="remove">
              {{ t('places.logoRemove') }}
            </button>
          </div>
        </FormField>
        <template #actions>
          <button type="submit" class="button" :disabled="busy">{{ t('places.colourSave') }}</button>
        </template>
      </DraftForm>
      <figure>
        <figcaption class="soft">{{ t('places.lookSample') }}</figcaption>
        <div class="sample" :style="{ borderTopColor: shades.fill }">
          <div class="head">
            <img v-if="look.logo" :src="look.logo" alt="" />
            <b>{{ brand.answer?.brand.name }}</b>
          </div>
          <p :style="{ background: shades.wash }">{{ t('places.sampleSaid') }}</p>
          <span class="opener" :style="{ background: shades.fill, color: shades.onFill }">{{
            t('places.sampleOpen')
          }}</span>
        </div>
      </figure>
    </div>
  </section>
</template>

<style scoped>
.look {
  margin-top: 34px;
  max-width: 980px;
}
h2 {
  font-size: 16px;
  font-weight: 600;
}
.look > .soft {
  margin-bottom: 12px;
  max-width: 720px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 40px;
}
.line {
  display: flex;
  align-items: center;
  gap: 12px;
  flex-wrap: wrap;
}
input[type='color'] {
  width: 56px;
  height: 34px;
  padding: 2px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--sheet);
}
.file {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
img {
  max-width: 120px;
  max-height: 44px;
}
figure {
  margin: 0;
}
figcaption {
  font-size: 13px;
  margin-bottom: 6px;
}
/* Customers' pages are light, whatever those are who set them up. */
.sample {
  color-scheme: light;
  background: #fff;
  color: #1e2b33;
  border: 1px solid var(--line);
  border-top: 4px solid;
  border-radius: var(--corner);
  padding: 12px 14px 14px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
}
.sample p {
  align-self: flex-end;
  padding: 6px 10px;
  border-radius: var(--corner);
  font-size: 14px;
}
.opener {
  align-self: flex-end;
  padding: 8px 16px;
  border-radius: var(--corner);
  font-weight: 600;
}
@media (max-width: 900px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
