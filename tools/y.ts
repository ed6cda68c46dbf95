import { NOON } from '../tests/reference/scenes'
import { buildScene } from '#core/sight/scene'
import { look } from '#core/sight/look'
import { finishesOf } from '#core/finish/finish'
const fs=finishesOf('deep-crankbait'); const input={...NOON,lure:'deep-crankbait' as const,depthM:2,visibilityM:1.5}
for (let r=0;r<40;r++){ const s=buildScene(input); const t=performance.now(); let n=0; for(let i=0;i<30;i++){ for (const x of fs) { look(x,s.stage); n++ } } const dt=performance.now()-t; console.log('look only ms per 120', (dt/n*120).toFixed(2)) }
