import { TINTS, scaled, scaled as sc } from '#core/water/tints'
import { jarColour } from '#core/water/jar'
import { hex } from '#core/spectrum/colour'
import { buildScene } from '#core/sight/scene'
import { waterColumn } from '#core/sight/appearance'
import { diffuseAttenuation, waterOptics } from '#core/water/optics'
import { amountFor, vanishingDepthM } from '#core/water/disc'
import { NOON, seen } from '../tests/reference/scenes'

for (const t of Object.values(TINTS)) {
  console.log(t.id, 'jar', hex(jarColour(t.id)), [0.3, 1, 1.5, 4].map((v) => { const s = buildScene({ ...NOON, tint: t.id, visibilityM: v }); return v + ':' + waterColumn(s, [0.05, 0.5 * v, v, 2 * v]).map(c => hex(c.colour)).join(',') }).join('  '))
  console.log('   ', [0.1, 0.3, 0.6, 1, 2, 4, 8, 12].map((z) => { const am = scaled(t.recipe, amountFor(t.recipe, false, z)); const w = waterOptics(am, false); return z + ': KdZ ' + (diffuseAttenuation(w, 15) * z).toFixed(2) + ' cZ ' + (w.beam[15]! * z).toFixed(1) + ' w0 ' + (w.scattering[15]! / w.beam[15]!).toFixed(2) + ' chl ' + am.chlorophyll.toFixed(1) + ' a ' + am.tannin.toFixed(2) + ' T ' + am.silt.toFixed(1) }).join('\n     '))
}
const lv = (c: string, ch: any) => seen(c, ch).level.sightM.toFixed(3)
console.log('P1 tea', ['white', 'orange', 'chartreuse', 'black'].map(c => c + ' ' + lv(c, { tint: 'tea', visibilityM: 1, depthM: 0.8 })).join('; '))
console.log('P2 silt', ['white', 'black'].map(c => c + ' ' + lv(c, { tint: 'brown', visibilityM: 0.5, depthM: 0.4 })).join('; '))
console.log('P3', ['white', 'black', 'silver'].map(c => c + ' ' + lv(c, { tint: 'blue-clear', visibilityM: 6, depthM: 1 })).join('; '))
