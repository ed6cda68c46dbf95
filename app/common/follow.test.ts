import { type DirectiveBinding, type ObjectDirective, type VNode, effectScope, nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { at, vFollow } from './follow'
import { steady } from './steady'

describe('what follows a finger', () => {
  it('is put to a tenth of a pixel', () => {
    expect(at(12.34, -5)).toEqual({ transform: 'translate(12.3px,-5.0px)' })
  })
  it('is where a getter says at once, after every change, and no longer once it is gone', async () => {
    const { beforeMount, unmounted } = vFollow as ObjectDirective<HTMLElement>
    const y = ref(1)
    const element = { style: { color: 'red' } } as HTMLElement
    const binding = { value: () => at(0, y.value) } as DirectiveBinding
    const none = {} as VNode<never, HTMLElement>
    beforeMount!(element, binding, none, null)
    expect(element.style).toEqual({ color: 'red', transform: 'translate(0.0px,1.0px)' })
    y.value = 2
    await nextTick()
    expect(element.style.transform).toBe('translate(0.0px,2.0px)')
    unmounted!(element, binding, none, null)
    y.value = 3
    await nextTick()
    expect(element.style.transform).toBe('translate(0.0px,2.0px)')
  })
})

describe('what is worked out together', () => {
  it('is the same object until something in it differs', () => {
    const source = ref({ list: ['#111', '#222'], other: 1 })
    const scope = effectScope()
    const list = scope.run(() => steady(() => source.value.list.slice()))!
    const first = list.value
    source.value = { ...source.value, other: 2 }
    expect(list.value).toBe(first)
    source.value = { list: ['#111', '#333'], other: 2 }
    expect(list.value).toEqual(['#111', '#333'])
    source.value = { list: ['#111'], other: 2 }
    expect(list.value).toEqual(['#111'])
    source.value = { list: ['#111', '#333'], other: 2 }
    expect(list.value).toEqual(['#111', '#333'])
    scope.stop()
  })
})
