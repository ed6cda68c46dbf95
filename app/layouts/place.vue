<script setup lang="ts">
import Sheet from '~/common/Sheet.vue'
import { usePhone } from '~/common/usePhone'
import { usePlaceSheet } from '~/common/useSheet'
import PlaceTabs from '~/shell/PlaceTabs.vue'
import TopBar from '~/shell/TopBar.vue'
import WhereSheet from '~/water/sheets/WhereSheet.vue'

/**
 * The frame of every place: the bar, whole on a desk and in two parts on a phone, with the places under the thumb; the
 * place's own parts, those `below` under the bar's foot; and the sheet that is open over them.
 */
const props = withDefaults(
  defineProps<{
    /** Columns and rows of a desk. */
    desk: string
    /** Room that a phone leaves for what is fixed at its foot. */
    foot?: string
    /** The sheet that tells where and when, where it is not the frame's own. */
    where?: string
    /** A sheet over the whole of a desk. */
    wide?: boolean
    /** Which row of a desk it lies over, where that is not the second. */
    over?: string
  }>(),
  { foot: 'pb-14.5', where: 'where', over: '' },
)
const phone = usePhone()
const { sheet, title, covered, open, close } = usePlaceSheet()
</script>

<template>
  <main
    tabindex="-1"
    class="min-h-dvh outline-none bg-page text-ink"
    :class="phone ? ['flex flex-col', props.foot] : ['grid h-dvh overflow-hidden', props.desk]"
  >
    <TopBar class="col-span-full" :part="phone ? 'head' : 'whole'" @where="open(props.where)">
      <slot name="bar" />
    </TopBar>
    <slot />
    <TopBar v-if="phone" class="mt-auto" part="foot" @where="open(props.where)">
      <slot name="bar" />
    </TopBar>
    <slot name="below" />
    <div v-if="phone" class="fixed inset-x-0 bottom-0 z-20" :inert="covered">
      <slot name="thumb" />
      <PlaceTabs foot />
    </div>
    <Sheet
      v-if="sheet"
      :key="sheet"
      :class="phone ? '' : props.over"
      :title="title"
      :phone="phone"
      :wide="props.wide"
      @close="close"
    >
      <WhereSheet v-if="sheet === 'where'" @close="close" />
      <slot v-else name="sheet" />
    </Sheet>
  </main>
</template>
