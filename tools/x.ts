import { seen, NOON, OVERCAST, FULL_MOON } from '../tests/reference/scenes'
import { jndBetween } from '#core/sight/look'
const f=(v:number)=>v.toFixed(3)
const lv=(c:string,ch:any,side:'level'|'below'|'above'='level')=>f(seen(c,ch)[side].sightM)
console.log('P1 tea', ['white','orange','chartreuse','black','orange:fluorescent'].map(c=>c+' '+lv(c,{tint:'tea',visibilityM:1,depthM:.8})).join('; '))
console.log('P2 silt', ['white','orange','chartreuse','black','pearl'].map(c=>c+' '+lv(c,{tint:'brown',visibilityM:.5,depthM:.4})).join('; '))
for (const d of [.5,1,3]) console.log('P3 clear', d, ['white','black','silver','chrome','olive','grey','chartreuse'].map(c=>c+' '+lv(c,{tint:'blue-clear',visibilityM:6,depthM:d})).join('; '))
for (const [t,v] of [['tea',1],['brown',.5],['blue-clear',6],['green',1.5]] as const) console.log('P4 below', t, ['white','black','chartreuse','orange','red','olive','clear','smoke','watermelon:translucent'].map(c=>c+' '+lv(c,{tint:t,visibilityM:v,depthM:.1,lure:'walking-topwater'},'below')).join('; '))
const d=(a:string,b:string,ch:any,side:'level'='level')=>jndBetween(seen(a,ch)[side].fish, seen(b,ch)[side].fish)
for (const z of [.3,2,5,8]) for (const fm of [.3,1]) console.log('P5 red v dark brown', z, fm, f(d('red','dark-brown',{tint:'blue-clear',visibilityM:6,depthM:z,fishM:fm})), f(d('dark-red','dark-brown',{tint:'blue-clear',visibilityM:6,depthM:z,fishM:fm})))
console.log('P6', f(d('olive+black*0.12','olive',{lure:'stick-worm',tint:'green',visibilityM:.75,depthM:1,fishM:.6})), f(d('olive+black*0.12','olive',{lure:'stick-worm',tint:'green',visibilityM:4,depthM:1,fishM:.2})))
for (const v of [.6,.75,.9]) console.log('P7', f(d('white+chartreuse*0.4','white',{lure:'spinnerbait',tint:'green',visibilityM:v,depthM:1.2,fishM:1.5,sky:OVERCAST})), f(d('chartreuse','white',{lure:'spinnerbait',tint:'green',visibilityM:v,depthM:1.2,fishM:1.5,sky:OVERCAST})))
console.log('P8 clear', lv('chartreuse:fluorescent',{tint:'blue-clear',visibilityM:5,depthM:3}), lv('chartreuse',{tint:'blue-clear',visibilityM:5,depthM:3}), seen('chartreuse:fluorescent',{tint:'blue-clear',visibilityM:5,depthM:3}).level.contrastBite, seen('chartreuse',{tint:'blue-clear',visibilityM:5,depthM:3}).level.contrastBite,'tea',lv('chartreuse:fluorescent',{tint:'tea',visibilityM:1,depthM:3}), lv('chartreuse',{tint:'tea',visibilityM:1,depthM:3}), seen('chartreuse:fluorescent',{tint:'tea',visibilityM:1,depthM:3}).level.contrastBite, seen('chartreuse',{tint:'tea',visibilityM:1,depthM:3}).level.contrastBite)
const fl=(c:string,ch:any)=>seen(c,{lure:'inshore-spoon',...ch}).flash.toFixed(5)
console.log('P9', fl('silver',{tint:'green',visibilityM:2}), fl('silver',{tint:'green',visibilityM:2,sky:OVERCAST}), fl('silver',{tint:'brown',visibilityM:.3}), 'tea',fl('silver',{tint:'tea',visibilityM:1,depthM:.5}), fl('gold',{tint:'tea',visibilityM:1,depthM:.5}),'clear', fl('silver',{tint:'blue-clear',visibilityM:6,depthM:2}), fl('gold',{tint:'blue-clear',visibilityM:6,depthM:2}), fl('white',{tint:'blue-clear',visibilityM:6,depthM:2}))
console.log('P10', ['black','olive','pearl:translucent','clear','white'].map(c=>c+' '+lv(c,{tint:'green',visibilityM:2,depthM:.05,lure:'walking-topwater',sky:FULL_MOON},'below')).join('; '), 'red v brown', f(d('red','brown',{tint:'green',visibilityM:2,depthM:.5,sky:FULL_MOON,fishM:.5})), 'colour', seen('chartreuse',{tint:'green',visibilityM:2,depthM:.5,sky:FULL_MOON}).level.colourM, seen('chartreuse',{tint:'green',visibilityM:2,depthM:.5}).level.colourM)
import { buildScene } from '#core/sight/scene'
import { look } from '#core/sight/look'
import { finishesOf } from '#core/finish/finish'
const fs=finishesOf('deep-crankbait'); const input={...NOON,lure:'deep-crankbait' as const,depthM:2,visibilityM:1.5}
for (let r=0;r<5;r++){ const t=performance.now(); let n=0; for(let i=0;i<10;i++){ input.depthM=2+i*.01; const s=buildScene(input); for (const x of fs) { look(x,s.stage); n++ } } const dt=performance.now()-t; console.log('ms per 36', (dt/10).toFixed(2), 'per 120', (dt/n*120).toFixed(2)) }
let t=performance.now(); for(let i=0;i<50;i++) buildScene({...input,depthM:2+i*.01}); console.log('scene ms', (performance.now()-t)/50)
